import type { DesignContent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { standardDesign } from '../box/standardDesign.ts';
import { constantsWith, defaultConstants } from '../constants/registry.ts';
import { autumnList } from './autumn.ts';
import { beesOfSeams } from './cluster.ts';
import { estimatedWinter } from './estimatedClimate.ts';
import { winterAhead, winterNeed } from './forecast.ts';
import { AUDITS, LEFT, season as onDay, plain, scene } from './preparation.test.kit.ts';
import { prepareRoom } from './preparation.ts';
import { type SideBySide, sideBySide } from './sideBySide.ts';
import { uaOf } from './uaOf.ts';

const ten = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [10] });
const two = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [5, 5] });
const season = winterAhead(estimatedWinter(), '2026-10-10', 48);
const ask = (design: DesignContent, more: Partial<SideBySide> = {}) => {
  const [room] = deriveBox(design).compartments;
  return sideBySide({
    design,
    bays: room?.bays ?? [],
    seams: 5,
    stores_kg: 6,
    neighbours: [],
    keeps: 6,
    end: 'left',
    rooms: [],
    constants: defaultConstants,
    ...season,
    ...more,
  });
};
const named = (ways: ReturnType<typeof ask>, name: RegExp) => {
  const way = ways.find((each) => name.test(each.name));
  if (!way) throw new Error(`No way is called ${name}: ${ways.map((each) => each.name).join('; ')}`);
  return way;
};

describe('one colony in all the ways it could be wintered', () => {
  const ways = ask(ten);
  const [asItStands] = ways;

  it('stands as every other page reckons it, and its months come to what it needs', () => {
    const [room] = deriveBox(ten).compartments;
    const ua_WK = (room && uaOf(ten, room, new Set(), defaultConstants, 0)) ?? 0;
    expect(asItStands?.ua_WK).toBeCloseTo(ua_WK, 9);
    const bees_kg = beesOfSeams(5, room?.frames[0]?.format.pitch_mm ?? 0, defaultConstants.litresPerKg);
    expect(asItStands?.need_kg).toBeCloseTo(winterNeed({ bees_kg, ua_WK, ...season }, defaultConstants), 9);
    for (const { months, need_kg } of ways)
      expect(months.reduce((sum, { used_kg }) => sum + used_kg, 0)).toBeCloseTo(need_kg, 9);
    expect(asItStands?.short_kg).toBe(0);
    expect(ask(ten, { stores_kg: 1 })[0]?.short_kg).toBeCloseTo((asItStands?.need_kg ?? 0) * (4 / 3) - 1, 9);
    expect(ask(ten, { stores_kg: undefined })[0]?.short_kg).toBeUndefined();
  });

  it('orders them as walls and air do: reduced below as it is, insulated below that, and none of the rest worse', () => {
    const [reduced, insulated] = [named(ways, /^Reduced$/), named(ways, /^Reduced, 60/)];
    expect(reduced.ua_WK).toBeLessThan(asItStands?.ua_WK ?? 0);
    expect(insulated.ua_WK).toBeLessThan(reduced.ua_WK);
    expect([reduced.frames, asItStands?.frames]).toEqual([6, 10]);
    expect(reduced.litres).toBeLessThan(asItStands?.litres ?? 0);
    for (const less of [/foam on the cover/, /Foil-bubble/, /Wrapped/, /row of five/, /Entrance reduced/])
      expect(named(ways, less).ua_WK).toBeLessThan(insulated.ua_WK + 1e-9);
    for (const each of ways) {
      expect(each.why).toMatch(/[.]$/);
      expect(each.need_kg).toBeLessThanOrEqual((asItStands?.need_kg ?? 0) + 1e-9);
    }
  });

  it('shows the school that is not the box’s own: a vent is closed where there is one, and cracked where there is none', () => {
    const vented = named(ways, /^Closed above/);
    expect(vented.name).toBe('Closed above, cavity reduced');
    expect(vented.ua_WK).toBeLessThan(named(ways, /^Reduced, 60/).ua_WK);
    expect(ways.some(({ name }) => name.startsWith('Cracked above'))).toBe(false);
    const tight: DesignContent = {
      ...ten,
      layers: ten.layers.map((layer) =>
        layer.kind === 'body'
          ? { ...layer, vents: [], entrances: layer.entrances.filter(({ height }) => height.mm < 50) }
          : layer,
      ),
    };
    const closed = ask(tight);
    expect(closed.some(({ name }) => name.startsWith('Closed above'))).toBe(false);
    expect(named(closed, /^Cracked above/).ua_WK).toBeGreaterThan(named(closed, /^Reduced, 60/).ua_WK);
  });

  it('drips where the cover is the coldest, and runs down the walls once it is the warmest', () => {
    const waterIn = (way: ReturnType<typeof named>) => new Set(way.months.map(({ water }) => water));
    const heavy = ask(ten, { seams: 8, keeps: 10 });
    expect(waterIn(named(heavy, /Wrapped/))).toContain('drips');
    expect(waterIn(named(heavy, /foam on the cover/))).not.toContain('drips');
  });

  it('offers company only where a room over a divider is free, and counts who lives there', () => {
    expect(ways.some(({ name }) => name.startsWith('As a pair'))).toBe(false);
    const alone = ask(two, { keeps: 5, seams: 4.5 });
    const pair = named(alone, /^As a pair/);
    expect(pair.dwindled).toBeLessThan(alone[0]?.dwindled ?? 0);
    expect(pair.ua_WK).toBeLessThan(alone[0]?.ua_WK ?? 0);
    const right = deriveBox(two).compartments[1]?.bays ?? [];
    const together = ask(two, { keeps: 5, seams: 4.5, neighbours: [{ bays: right, seams: 4.5 }] });
    expect(together.some(({ name }) => name.startsWith('As a pair'))).toBe(false);
    expect(together[0]).toMatchObject({
      ua_WK: expect.closeTo(pair.ua_WK, 9),
      dwindled: pair.dwindled,
    });
  });

  it('winters it in each free room at hand by that room’s own walls', () => {
    const nucleus = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [6] });
    const bays = deriveBox(nucleus).compartments[0]?.bays ?? [];
    const there = named(
      ask(ten, { rooms: [{ name: 'a “Six”', design: nucleus, bays, neighbours: [] }] }),
      /^In a “Six”/,
    );
    expect(there.frames).toBe(6);
    expect(there.ua_WK).toBeCloseTo(ask(nucleus, { keeps: 6 })[0]?.ua_WK ?? 0, 9);
  });

  it('takes the company of the box that it goes to, and never that of its own, whatever their bays are called', () => {
    const [left, right] = deriveBox(two).compartments.map(({ bays }) => bays);
    const living = (seams: number) => [{ bays: right ?? [], seams }];
    const free = (neighbours: SideBySide['neighbours']) => ({
      rooms: [{ name: 'the other', design: two, bays: left ?? [], neighbours }],
    });
    const moved = (asked: Partial<SideBySide>) => named(ask(two, { keeps: 5, ...asked }), /^In the other/);
    const alone = moved(free([]));
    expect(moved(free(living(5))).ua_WK).toBeLessThan(alone.ua_WK);
    expect(moved({ ...free([]), neighbours: living(5) })).toEqual(alone);
  });

  it('stands pushed together where it does, in every way but that of another box', () => {
    const row = { boxes: 2, place: 0 };
    const [stands, pushed] = [ask(ten)[0], ask(ten, { row })[0]];
    expect(pushed?.ua_WK).toBeLessThan(stands?.ua_WK ?? 0);
    const bays = deriveBox(two).compartments[0]?.bays ?? [];
    const rooms = [{ name: 'the other', design: two, bays, neighbours: [] }];
    expect(named(ask(ten, { row, rooms }), /^In the other/)).toEqual(
      named(ask(ten, { rooms }), /^In the other/),
    );
  });

  it('says what the list and the page of the colony say', () => {
    const { state, box, compartment } = scene(AUDITS);
    const [line] = autumnList(state, [box], onDay);
    const { seams = 0, stores_kg } = line ?? {};
    const found = prepareRoom(state, box, compartment, { seams, stores_kg }, LEFT, onDay);
    const keeps = found?.frames.filter(({ to }) => to !== null).length ?? 0;
    const beside = ask(plain, { seams, stores_kg, keeps });
    expect(beside[0]?.dwindled).toBe(line?.dwindled);
    expect(beside[0]?.ua_WK).toBeCloseTo(found?.asItIs.ua_WK ?? 0, 9);
    const reduced = named(beside, /^Reduced, 60/);
    expect(reduced.frames).toBe(keeps);
    expect(reduced.ua_WK).toBeCloseTo(found?.fitted.ua_WK ?? 0, 9);
    expect(reduced.need_kg).toBeCloseTo(found?.need_kg ?? 0, 9);
    expect(reduced.short_kg).toBeCloseTo(found?.short_kg ?? 0, 9);
  });

  it('follows the figures of the yard', () => {
    const constants = constantsWith({ winterInsulation_mm: 0, outside_RH: 0.3 });
    expect(ask(ten, { constants }).some(({ name }) => name === 'Reduced, 0 mm behind the follower')).toBe(
      true,
    );
  });
});

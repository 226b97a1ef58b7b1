import type { DesignContent, EntranceState } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { withPart } from '../box/parts.ts';
import { mainBody, sheetsOf } from '../box/stack.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { openingsOf, type Standing } from './breathing.ts';

function breathes(design: DesignContent, standing?: Standing) {
  const model = deriveBox(design);
  const [first] = model.compartments;
  if (!first) throw new Error('A box without a compartment.');
  return openingsOf(design, model, first, defaultConstants, standing);
}
const area = (design: DesignContent, standing?: Standing): number =>
  breathes(design, standing).reduce((sum, { area_cm2 }) => sum + area_cm2, 0);

const nucleus = familyDesign('nucleus');
const inState = (state: EntranceState): DesignContent =>
  mainBody(nucleus).entrances.reduce((now, { id }) => withPart(now, id, { state }), nucleus);
const holes_cm2 = mainBody(nucleus).entrances.reduce(
  (sum, { width, tall, shape }) => sum + ((shape === 'round' ? Math.PI / 4 : 1) * width.mm * tall.mm) / 100,
  0,
);

describe('what a compartment breathes through', () => {
  it('is the area of its holes by the state that each is in', () => {
    expect(area(inState('open'))).toBeCloseTo(holes_cm2, 9);
    expect(area(inState('reduced'))).toBeCloseTo(0.25 * holes_cm2, 9);
    expect(area(inState('workersOnly'))).toBeCloseTo(0.4 * holes_cm2, 9);
    expect(area(inState('vent'))).toBeCloseTo(0.6 * holes_cm2, 9);
    expect(area(inState('closed'))).toBe(0);
  });

  it('loses its flight entrances when it is shut, and keeps what was on vent', () => {
    expect(area(inState('open'), { entrances: 'closed' })).toBe(0);
    expect(area(inState('open'), { entrances: 'vent' })).toBeCloseTo(0.6 * holes_cm2, 9);
    expect(area(inState('vent'), { entrances: 'closed' })).toBeCloseTo(0.6 * holes_cm2, 9);
    expect(area(inState('closed'), { entrances: 'vent' })).toBe(0);
  });

  it('has a mesh floor by its free area, but for one that lies on the ground', () => {
    const mesh: DesignContent = { ...inState('closed'), floor: { ...nucleus.floor, kind: 'mesh', mesh: 3 } };
    const { insideWidth, insideLength } = mainBody(nucleus);
    expect(area(mesh)).toBeCloseTo((0.6 * insideWidth.mm * insideLength.mm) / 100, 6);
    expect(area({ ...mesh, floor: { ...mesh.floor, mesh: 1.2 } })).toBeCloseTo(
      (0.5 * insideWidth.mm * insideLength.mm) / 100,
      6,
    );
    expect(area(mesh, { grounded: true })).toBe(0);
  });

  it('has the floor under itself alone, and none in a storey above; so with a hole in the cover', () => {
    const design = familyDesign('threeWay');
    const meshed: DesignContent = { ...design, floor: { ...design.floor, kind: 'mesh', mesh: 3 } };
    const model = deriveBox(meshed);
    const of = (index: number) => {
      const room = model.compartments[index];
      if (!room) throw new Error('A three-way has three rooms.');
      const flat = openingsOf(meshed, model, room, defaultConstants, { entrances: 'closed' }).filter(
        ({ height_m }) => height_m === 0,
      );
      return { flat, own: (room.x[1] - room.x[0]) * mainBody(meshed).insideLength.mm };
    };
    for (const index of [0, 1, 2]) {
      const { flat, own } = of(index);
      expect(flat).toHaveLength(1);
      expect(flat[0]?.area_cm2).toBeCloseTo((0.6 * own) / 100, 6);
    }
    // The frame that is shown above a nucleus has its floor far below.
    const shown = familyDesign('observation');
    expect(shown.floor.kind).toBe('mesh');
    const storeys = deriveBox(shown);
    const flat = storeys.compartments.map(
      (room) =>
        openingsOf(shown, storeys, room, defaultConstants).filter(({ tall_m }) => tall_m === 0.01).length,
    );
    expect(flat).toEqual([1, 0]);
  });

  it('of a hole that opens into another room has no share: that air is not from outside', () => {
    const changer = familyDesign('observation');
    const model = deriveBox(changer);
    const [below] = model.compartments;
    const holes = model.passages.filter(({ reason }) => reason === 'hole');
    expect(holes.length).toBeGreaterThan(0);
    if (!below) throw new Error('It has a room below.');
    const roofed = openingsOf(changer, model, below, defaultConstants).filter(
      ({ tall_m }) => tall_m === 0.003,
    );
    expect(roofed).toEqual([]);
  });

  it('has a hole in the cover as far as what closes it lets air through', () => {
    const holed = (closedBy: 'nothing' | 'mesh' | 'excluder' | 'plug'): DesignContent => {
      const design = inState('closed');
      const cover = sheetsOf(design).find(({ what }) => what === 'board');
      const hole = {
        id: 'h',
        x: { mm: 80 },
        y: { mm: 200 },
        width: { mm: 40 },
        length: { mm: 50 },
        closedBy,
      };
      return withPart(design, cover?.id ?? '', { holes: [hole] });
    };
    const roofed = { ...nucleus.roof, room: { mm: 60 } };
    const open = area({ ...holed('nothing'), roof: roofed });
    // 40 × 50 mm, whole.
    expect(open).toBeCloseTo(20, 6);
    expect(area({ ...holed('mesh'), roof: roofed })).toBeCloseTo(0.6 * open, 6);
    expect(area({ ...holed('excluder'), roof: roofed })).toBeCloseTo(0.5 * open, 6);
    expect(area({ ...holed('plug'), roof: roofed })).toBe(0);
  });
});

import type { DesignContent, Family } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { withPart } from '../box/parts.ts';
import { mm } from '../box/plainParts.ts';
import { bodiesOf, mainBody } from '../box/stack.ts';
import { constantsWith, defaultConstants, registry } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { atRest } from './atRest.ts';
import { boxPhysics } from './boxPhysics.ts';
import { type Conditions, usualConditions } from './conditions.ts';
import { wallLayers } from './materials.ts';
import { heatNetwork } from './network.ts';
import { shutFor, shutHere } from './occasions.ts';
import { rowOf } from './row.ts';
import { scenesOf } from './scene.ts';
import { shutAtLast } from './shutBox.ts';
import { shutBoxOf, ventsWider } from './shutDesign.ts';
import { sunAt } from './sun.ts';
import { OUTSIDE, rsi, solveWarmth } from './warmth.ts';

const january = usualConditions({ outside_C: -5, bees: 'calm', brood: false }, defaultConstants);
const sum = (design: DesignContent, more: Partial<Conditions>) =>
  boxPhysics(design, { ...january, ...more }).compartments.reduce((all, { bees }) => all + bees.heat_W, 0);

describe('a row of boxes', () => {
  it('warms each other: two less than one alone, amid five less than two, at either end the same', () => {
    for (const family of ['nucleus', 'threeWay', 'observation', 'allInOne'] as const) {
      const design = familyDesign(family);
      const at = (boxes: number, place: number) => sum(design, { row: { boxes, place } });
      expect(at(1, 0)).toBeCloseTo(sum(design, {}), 9);
      expect(at(2, 0)).toBeLessThan(sum(design, {}));
      expect(at(5, 2)).toBeLessThan(at(2, 0));
    }
    const threeWay = familyDesign('threeWay');
    expect(sum(threeWay, { row: { boxes: 2, place: 0 } })).toBeCloseTo(
      sum(threeWay, { row: { boxes: 2, place: 1 } }),
      9,
    );
  });

  it('keeps every square centimetre: what met the air on a side meets the neighbour', () => {
    const design = familyDesign('threeWay');
    const model = deriveBox(design);
    const one = heatNetwork(design, model, defaultConstants);
    const side = one.faces.filter((face) => face.side === 'left' && face.between[1] === OUTSIDE);
    const area = (faces: readonly { area_m2: number }[]) =>
      faces.reduce((all, { area_m2 }) => all + area_m2, 0);
    const row = rowOf(one, model, { boxes: 3, place: 1 });
    expect(area(row.faces)).toBeCloseTo(3 * area(one.faces) - 2 * area(side), 9);
  });

  it('of warm neighbours takes nothing from a box in the middle that is no colder', () => {
    const { surfaces, spaces } = boxPhysics(familyDesign('nucleus'), {
      ...january,
      row: { boxes: 3, place: 1 },
    });
    const inside = spaces[0]?.inside_C ?? Number.NaN;
    const joint = surfaces.filter(({ face }) => face.side === 'left' && face.between[1] !== OUTSIDE);
    expect(joint.length).toBeGreaterThan(0);
    // The neighbours at the ends are a little colder; the wall between lies far nearer to the box than to the air.
    for (const { surface_C } of joint) expect(inside - surface_C).toBeLessThan(0.15 * (inside + 5));
  });
});

describe('ground and sky', () => {
  it('a floor on warmer earth costs less, on colder more, and a roof under a clear night more', () => {
    const design = familyDesign('nucleus');
    expect(sum(design, { ground_C: 5 })).toBeLessThan(sum(design, { ground_C: -5 }));
    expect(sum(design, { ground_C: -5 })).toBeLessThan(sum(design, {}));
    const inside = (clearNight: boolean) =>
      boxPhysics(design, { ...january, clearNight }).compartments[0]?.inside_C ?? 0;
    expect(inside(true)).toBeLessThan(inside(false));
    expect(inside(false) - inside(true)).toBeLessThan(4);
  });
});

describe('a shut box', () => {
  const summer = usualConditions({ outside_C: 28, bees: 'alarmed', brood: true }, defaultConstants);
  it('has no air through its flight entrances; on vent it lasts longer', () => {
    const design = familyDesign('nucleus');
    const shut = (shutOn: 'closed' | 'vent') =>
      boxPhysics(design, { ...summer, shutOn }).compartments[0]?.shut;
    expect(shut('closed')?.steady_C).toBeGreaterThan(shut('vent')?.steady_C ?? 0);
    expect(shut('closed')?.flow_m3s).toBeLessThanOrEqual(shut('vent')?.flow_m3s ?? 0);
  });

  it('is asked about for each thing it is shut for; bees at rest last longer than alarmed ones', () => {
    for (const family of ['nucleus', 'threeWay', 'foldedSheet', 'starter'] as const) {
      const answers = shutFor(familyDesign(family), summer);
      expect(answers.map(({ key }) => key)).toEqual(['travel', 'outing', 'starter', 'wasps']);
      const [travel, outing] = answers;
      expect(travel?.inside_C).toBeGreaterThan(outing?.inside_C ?? 0);
      const long = (minutes: number | null | undefined) => minutes ?? Number.POSITIVE_INFINITY;
      expect(long(outing?.danger_min)).toBeGreaterThanOrEqual(long(travel?.danger_min));
      for (const { fanning_min, danger_min } of answers)
        expect(long(danger_min)).toBeGreaterThanOrEqual(long(fanning_min));
    }
  });

  it('is asked about where it stands: the sun of the hour, on the side that suffers first, and none at night', () => {
    const glazed = familyDesign('observation');
    const mild = usualConditions({ outside_C: 20, bees: 'resting', brood: true }, defaultConstants);
    for (const [latitude_deg, noon, night] of [
      [48.2, '2026-06-21T11:00:00Z', '2026-06-21T23:00:00Z'],
      [-41.3, '2026-12-21T00:30:00Z', '2026-12-21T12:30:00Z'],
    ] as const) {
      const longitude_deg = latitude_deg > 0 ? 16.4 : 174.8;
      const high = sunAt(noon, latitude_deg, longitude_deg);
      expect(high.altitude_deg).toBeGreaterThan(60);
      const at = shutHere(glazed, 'outing', mild, high);
      const long = (answer: typeof at) => answer?.sun?.least_min ?? Number.POSITIVE_INFINITY;
      expect(at?.sun?.inside_C).toBeGreaterThan(at?.shade.inside_C ?? 100);
      // No way of turning it is worse than the one that is told.
      for (const turn of [0, 90, 180, 270]) {
        const sun = { place: high, front_deg: (high.bearing_deg + turn) % 360, paint: 'wood' as const };
        const [, outing] = shutFor(glazed, { ...mild, sun });
        expect(outing?.least_min ?? Number.POSITIVE_INFINITY).toBeGreaterThanOrEqual(long(at));
      }
      const dark = shutHere(glazed, 'outing', mild, sunAt(night, latitude_deg, longitude_deg));
      expect(dark?.sun).toBeUndefined();
      expect(dark?.shade).toEqual(at?.shade);
      // The shade is what the same box is told for an outing without sun.
      expect(at?.shade).toEqual(shutFor(glazed, mild)[1]);
    }
  });

  it('that is made to be shown has air when it is shut, at 18 °C and at 25, for all the hours that are reckoned', () => {
    for (const outside_C of [18, 25]) {
      const conditions = usualConditions({ outside_C, bees: 'resting', brood: true }, defaultConstants);
      const [, outing] = shutFor(familyDesign('observation'), conditions);
      expect(outing).toMatchObject({ key: 'outing', warning: null, stale_min: null });
    }
  });

  it('that has air on one side alone is warned about before it travels', () => {
    const closed = mainBody(familyDesign('nucleus'));
    const bare = withPart(familyDesign('nucleus'), closed.id, { vents: [] });
    expect(shutFor(bare, summer)[0]?.warning).toContain('no air at all');
    const meshed = { ...bare, floor: { ...bare.floor, kind: 'mesh' as const, mesh: 3 } };
    expect(shutFor(meshed, summer)[0]?.warning).toContain('wants it on two');
    expect(shutFor(meshed, summer)[1]?.warning).toBeNull();
    expect(shutFor(familyDesign('foldedSheet'), summer)[0]?.warning).not.toContain('wants it on two');
  });
});

describe('vents that are too small', () => {
  it('say by how much: so much wider they keep it out of danger, and a tenth less does not', () => {
    const design = familyDesign('threeWay');
    const conditions = usualConditions({ outside_C: 27, bees: 'resting', brood: true }, defaultConstants);
    const vented: Conditions = { ...conditions, shutOn: 'vent' };
    const times = ventsWider(design, vented) ?? Number.NaN;
    expect(times).toBeGreaterThan(1);
    const { scene } = scenesOf(design, vented);
    const rest = atRest(scene);
    const hottest = (wider: number) =>
      Math.max(...shutAtLast(shutBoxOf(scene, rest, wider), defaultConstants));
    expect(hottest(times)).toBeLessThanOrEqual(38);
    expect(hottest(times * 0.9)).toBeGreaterThan(38);
    const wasps = shutFor(design, conditions).find(({ key }) => key === 'wasps');
    expect(wasps?.warning).toContain(
      `about ${times < 3 ? times.toFixed(1) : Math.ceil(times)} times as much`,
    );
    // What is never over it while it can be shut wants nothing wider, whatever it came to at last.
    for (const outside_C of [0, 10, 18, 24])
      for (const { danger_min, warning } of shutFor(design, { ...conditions, outside_C }))
        if (danger_min === null) expect(warning ?? '').not.toContain('too small');
    // Where the air is that hot itself, no vent helps.
    expect(shutFor(design, { ...conditions, outside_C: 39 })[3]?.warning).toContain('no vent helps');
  });
});

describe('the figures of the registry', () => {
  it('each moves what it is about, and those of the calendar nothing', () => {
    const design: DesignContent = {
      ...familyDesign('followerReduced'),
      floor: { ...familyDesign('followerReduced').floor, kind: 'tray' },
    };
    const answer = (constants: Record<string, number>) =>
      JSON.stringify(
        [-8, 12, 30, 40].map((outside_C) =>
          boxPhysics(design, {
            ...usualConditions({ outside_C, bees: 'calm', brood: true }, constantsWith(constants)),
            insulation_mm: 20,
            shutOn: 'vent',
          }),
        ),
      );
    const plain = answer({});
    const moves = [
      'heatCalm_Wkg',
      'broodNest_C',
      'covered',
      'discharge',
      'clustered',
      'outside_RH',
      'waterOfStores',
      'rsiWall',
      'rsiFloor',
      'rsiInner',
      'rse',
      'pine_WmK',
      'plywood_WmK',
      'foam_WmK',
      'stillAir_R',
      'airHeat_Jm3K',
      'beesHeat_JkgK',
      'combFrame_kg',
      'fanning_C',
      'danger_C',
      'slump_C',
      'heatMeans_Wkg',
      'latentShare',
      'clusters_C',
      'about_C',
      'fans_LsKg',
      'carriesWater_kghKg',
      'outsideWarm_RH',
      'dampTo_C',
      'dryFrom_C',
      'mildDay_C',
      'airFills',
      'rsiWet',
      'clusterFilm_Wm2K',
      'surfaceBrood_C',
      'least_Wkg',
      'storesHeat_MJkg',
      'litresPerKg',
    ] as const;
    for (const name of moves)
      expect([name, answer({ [name]: defaultConstants[name] * 1.02 }) === plain]).toEqual([name, false]);
    for (const name of ['eggsFrom_d', 'glass_WmK'] as const)
      expect(answer({ [name]: registry[name].range[0] })).toBe(plain);
  });
});

/** Heat through every layer cell by cell and minute by minute, until nothing changes: another way to the same temperatures. */
function byFiniteDifferences(family: Family, outside_C: number, heat_W: number): Map<string, number> {
  const design = familyDesign(family);
  const model = deriveBox(design);
  const { faces, flows } = heatNetwork(design, model, defaultConstants);
  const films = rsi(defaultConstants);
  const CELLS = 4;
  const air = new Map(model.spaces.map(({ id }) => [id, outside_C]));
  const walls = faces.map((face) => {
    const film = (end: string) => (end === OUTSIDE ? defaultConstants.rse : films[face.kind]);
    const cells = face.layers.flatMap(({ thickness_mm, lambda_WmK }) =>
      Array.from({ length: CELLS }, () => thickness_mm / 1_000 / lambda_WmK / CELLS),
    );
    // Resistances from air to the middle of the first cell, from middle to middle, and to the other air.
    const between = [film(face.between[0]), ...cells, film(face.between[1])];
    const steps = [
      (between[0] as number) + (cells[0] as number) / 2,
      ...cells.slice(1).map((r, index) => (r + (cells[index] as number)) / 2),
      (cells.at(-1) as number) / 2 + (between.at(-1) as number),
    ];
    return { face, steps, cells: cells.map(() => outside_C) };
  });
  const living = model.compartments.filter(({ frames }) => frames.length > 0).map(({ spaces }) => spaces[0]);
  const at = (name: string): number => (name === OUTSIDE ? outside_C : (air.get(name) ?? outside_C));
  for (let turn = 0; turn < 60_000; turn++) {
    let moved = 0;
    const gained = new Map<string, number>();
    const weight = new Map<string, number>();
    const flow = (id: string, g: number, from: number) => {
      gained.set(id, (gained.get(id) ?? 0) + g * from);
      weight.set(id, (weight.get(id) ?? 0) + g);
    };
    for (const { face, steps, cells } of walls) {
      const [a, b] = face.between;
      cells.forEach((_, index) => {
        const [before, after] = [cells[index - 1] ?? at(a), cells[index + 1] ?? at(b)];
        const [left, right] = [1 / (steps[index] as number), 1 / (steps[index + 1] as number)];
        cells[index] = (before * left + after * right) / (left + right);
      });
      flow(a, face.area_m2 / (steps[0] as number), cells[0] as number);
      if (b !== OUTSIDE) flow(b, face.area_m2 / (steps.at(-1) as number), cells.at(-1) as number);
    }
    for (const { between, flow_m3s } of flows) {
      flow(between[0], 1_200 * flow_m3s, at(between[1]));
      if (between[1] !== OUTSIDE) flow(between[1], 1_200 * flow_m3s, at(between[0]));
    }
    for (const { id } of model.spaces) {
      const next = ((gained.get(id) ?? 0) + (living.includes(id) ? heat_W : 0)) / (weight.get(id) ?? 1);
      moved = Math.max(moved, Math.abs(next - at(id)));
      air.set(id, next);
    }
    if (moved < 1e-9) break;
  }
  return air;
}

describe('the network', () => {
  it.each(['nucleus', 'threeWay', 'followerReduced'] as const)(
    'of %s agrees with heat followed cell by cell through every layer',
    (family) => {
      const design = familyDesign(family);
      const model = deriveBox(design);
      const living = model.compartments
        .filter(({ frames }) => frames.length > 0)
        .map(({ spaces }) => spaces[0]);
      const { spaces } = solveWarmth(
        {
          outside_C: -5,
          spaces: model.spaces.map(({ id }) => ({ name: id, heat_W: living.includes(id) ? 6 : 0 })),
          ...heatNetwork(design, model, defaultConstants),
        },
        defaultConstants,
      );
      const slow = byFiniteDifferences(family, -5, 6);
      for (const { name, inside_C } of spaces) expect(inside_C).toBeCloseTo(slow.get(name) ?? Number.NaN, 4);
    },
  );
});

describe('a pane', () => {
  it('keeps warm by what it is of and how thick, its door before it', () => {
    const glazed = bodiesOf(familyDesign('observation')).find(({ glass }) => glass.length > 0);
    if (!glazed) throw new Error('an observation box has panes');
    const [side = 'left'] = glazed.glass;
    const constants = defaultConstants;
    expect(wallLayers({ ...glazed, doors: false }, side, constants)).toEqual([
      { thickness_mm: 4, lambda_WmK: constants.glass_WmK },
    ]);
    const pane = { material: 'plastic' as const, thickness: mm(6) };
    expect(wallLayers({ ...glazed, pane, doors: true }, side, constants)).toEqual([
      { thickness_mm: 6, lambda_WmK: constants.plastic_WmK },
      { thickness_mm: 20, lambda_WmK: constants.foam_WmK },
    ]);
  });
});

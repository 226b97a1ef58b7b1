import { describe, expect, it } from 'vitest';
import { designProblems } from '../box/designProblems.ts';
import { withPart } from '../box/parts.ts';
import { mm } from '../box/plainParts.ts';
import { mainBody } from '../box/stack.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { families } from '../families/families.ts';
import { arrangements, surestFirst } from './arrangements.ts';
import type { Conditions } from './conditions.ts';
import { sunAt } from './sun.ts';

const winter: Conditions = {
  outside_C: -3,
  outside_RH: 0.85,
  heat_Wkg: 12,
  brood: false,
  constants: defaultConstants,
};
const shut: Conditions = {
  ...winter,
  outside_C: 30,
  heat_Wkg: 40,
  brood: true,
  sun: { place: sunAt('2026-07-01T11:00:00Z', 48, 15), front_deg: 180, paint: 'dark' },
};
const by = (all: ReturnType<typeof arrangements>, key: string) => all.find((each) => each.key === key);

describe('what each change would bring', () => {
  it('starts from the box as drawn, and every change can be built, for every family', () => {
    for (const { family } of families) {
      const design = familyDesign(family);
      const all = arrangements(design, winter);
      expect(all[0]).toMatchObject({ key: 'drawn', design });
      for (const each of all) {
        expect(designProblems(each.design)).toEqual([]);
        expect(Number.isFinite(each.heat_W)).toBe(true);
      }
    }
  });

  it('puts the surest cure of a drip first, and leaves a box that does not drip in order', () => {
    const plain = familyDesign('nucleus');
    const lined = withPart(plain, mainBody(plain).id, { lining: { material: 'foam', thickness: mm(18.9) } });
    const dripping = arrangements(lined, winter);
    expect(dripping[0]?.drips).toBe(true);
    const [drawn, ...cures] = surestFirst(dripping);
    expect(drawn?.key).toBe('drawn');
    expect(cures).toHaveLength(dripping.length - 1);
    const dry = cures.filter(({ drips }) => !drips);
    expect(cures.slice(0, dry.length)).toEqual(dry);
    for (const [index, { condensate_gDay }] of dry.slice(1).entries())
      expect(condensate_gDay).toBeGreaterThanOrEqual(dry[index]?.condensate_gDay ?? 0);
    const still = arrangements(familyDesign('threeWay'), { ...winter, outside_C: 5 });
    expect(surestFirst(still)).toBe(still);
  });

  it('never needs more to keep warm with insulation, nor with fewer openings', () => {
    const all = arrangements(familyDesign('threeWay'), winter);
    const drawn = by(all, 'drawn');
    for (const key of ['roof', 'foil', 'walls', 'reduced', 'highShut', 'pushed']) {
      expect(by(all, key)?.heat_W).toBeLessThanOrEqual(drawn?.heat_W ?? 0);
      expect(by(all, key)?.walls_WK).toBeLessThanOrEqual(drawn?.walls_WK ?? 0);
    }
    // Heat and stores are one figure: 12.7 MJ to a kilogram.
    expect(drawn?.stores_kgMonth).toBeCloseTo(((drawn?.heat_W ?? 0) * 30 * 86_400) / 12.7e6, 9);
  });

  it('makes more water where less air goes', () => {
    const all = arrangements(familyDesign('nucleus'), winter);
    expect(by(all, 'highShut')?.condensate_gDay).toBeGreaterThan(by(all, 'drawn')?.condensate_gDay ?? 0);
  });

  it('gives a shut box longer in the shade, and painted white, than dark in the sun', () => {
    const all = arrangements(familyDesign('foldedSheet'), shut);
    const minutes = (key: string) => by(all, key)?.minutes ?? Number.POSITIVE_INFINITY;
    expect(minutes('drawn')).toBeLessThan(60);
    expect(minutes('white')).toBeGreaterThan(minutes('drawn'));
    expect(minutes('shade')).toBeGreaterThan(minutes('white'));
  });

  it('offers insulation behind a follower only where there is one', () => {
    expect(by(arrangements(familyDesign('followerReduced'), winter), 'follower')?.walls_WK).toBeLessThan(
      by(arrangements(familyDesign('followerReduced'), winter), 'drawn')?.walls_WK ?? 0,
    );
    expect(by(arrangements(familyDesign('nucleus'), winter), 'follower')).toBeUndefined();
  });
});

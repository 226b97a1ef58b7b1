import { describe, expect, it } from 'vitest';
import { coverSheet } from '../box/plainParts.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { usualConditions } from './conditions.ts';
import { shutFor } from './occasions.ts';
import { scenesOf } from './scene.ts';
import { skyOver } from './sky.ts';
import { irradiance, sunAt } from './sun.ts';

const noon = sunAt('2026-06-21T11:00:00Z', 48, 15);
const sun = { place: noon, front_deg: 180, paint: 'wood' } as const;
const mild = usualConditions({ outside_C: 20, bees: 'resting', brood: true }, defaultConstants);
const through = (design: ReturnType<typeof familyDesign>, doorsOpen = false): number => {
  const { scene } = scenesOf(design, { ...mild, sun });
  const { through_W } = skyOver(scene.network.faces, { sun, doorsOpen }, defaultConstants);
  return [...through_W.values()].reduce((sum, each) => sum + each, 0);
};
const withDoors = (doors: boolean) => {
  const design = familyDesign('observation');
  return {
    ...design,
    layers: design.layers.map((layer) => (layer.kind === 'body' ? { ...layer, doors } : layer)),
  };
};

describe('sun on a box', () => {
  it('comes in by bare panes, not by closed doors, and by doors that stand open', () => {
    expect(through(withDoors(false))).toBeGreaterThan(10);
    expect(through(withDoors(true))).toBe(0);
    expect(through(withDoors(true), true)).toBe(through(withDoors(false)));
  });

  it('comes in by a glazed roof as much as falls on it flat, less what the glass keeps', () => {
    const plain = familyDesign('nucleus');
    const under = (layers: typeof plain.layers) => ({
      ...plain,
      layers,
      roof: { ...plain.roof, kind: 'glazed' as const },
    });
    const bodies = plain.layers.filter(({ kind }) => kind === 'body');
    const design = under(bodies);
    expect(through(under([...bodies, coverSheet('mesh', { what: 'mesh' })]))).toBe(through(design));
    expect(through(under([...bodies, coverSheet('board', { what: 'board' })]))).toBe(0);
    const { scene } = scenesOf(design, mild);
    const area_m2 = scene.network.faces
      .filter((face) => face.glazed && face.part === 'cover')
      .reduce((sum, face) => sum + face.area_m2, 0);
    expect(area_m2).toBeGreaterThan(0.05);
    expect(through(design)).toBeCloseTo(area_m2 * 0.85 * irradiance(noon, 0, 0), 6);
  });

  it('shortens an outing with the doors open, and a journey with them closed far less', () => {
    const low = { ...sun, place: sunAt('2026-06-21T07:00:00Z', 48, 15) };
    const least = (key: string, lit: boolean) => {
      const found = shutFor(withDoors(true), { ...mild, ...(lit ? { sun: low } : {}) }).find(
        (each) => each.key === key,
      );
      return found?.inside_C ?? Number.NaN;
    };
    const gain = (key: string) => least(key, true) - least(key, false);
    expect(gain('outing')).toBeGreaterThan(3 * gain('wasps'));
  });

  it('is none at night, when a clear sky draws on covers alone', () => {
    const { scene } = scenesOf(familyDesign('nucleus'), mild);
    const { outer_K, through_W } = skyOver(scene.network.faces, { clearNight: true }, defaultConstants);
    expect(through_W.size).toBe(0);
    scene.network.faces.forEach((face, index) => {
      const open = face.kind === 'cover' && face.between[1] === 'outside';
      expect(outer_K[index]).toBe(open ? -4 : 0);
    });
  });
});

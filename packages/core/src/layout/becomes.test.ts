import { describe, expect, it } from 'vitest';
import { withBody } from '../box/parts.ts';
import { mainBody } from '../box/stack.ts';
import { checkDesign } from '../check/check.ts';
import { familyDesign } from '../families/build.ts';
import { become, becomings } from './becomes.ts';

describe('what a body could become', () => {
  const four = mainBody(familyDesign('fourWay'));
  const all = becomings(four);

  it('is every set of its grooves, as it stands first', () => {
    expect(all).toHaveLength(8);
    expect(new Set(all.map(({ standing }) => standing.join())).size).toBe(8);
    expect(all[0]).toMatchObject({ pulled: [], added: [], close: [] });
  });

  it('turns four into five and five, and into a plain ten (handbook 2)', () => {
    const frames = (pulled: number[]) =>
      all
        .find((each) => each.pulled.join() === pulled.map((index) => four.grooves[index]?.id).join())
        ?.compartments.map((compartment) => compartment.frames);
    expect(frames([0, 2])).toEqual([5, 5]);
    expect(frames([0, 1, 2])).toEqual([10]);
  });

  it('lists the holes to close at any divider that is pulled: those of the part that gives way', () => {
    const sides = (ids: readonly string[]) =>
      ids.map((id) => four.entrances.find((each) => each.id === id)?.side);
    for (const { pulled, close, compartments } of all) {
      // Two holes for each of four compartments at the start; each compartment keeps two.
      expect(close).toHaveLength(8 - 2 * compartments.length);
      if (pulled.length === 0) expect(close).toEqual([]);
    }
    expect(sides(all.find(({ pulled }) => pulled.join() === four.grooves[0]?.id)?.close ?? [])).toEqual([
      'front',
      'front',
    ]);
  });

  it('counts a hole in a side wall to the outermost part, and of parts alike keeps those of the left', () => {
    const three = mainBody(familyDesign('threeWay'));
    const sideOf = new Map(three.entrances.map(({ id, side }) => [id, side]));
    const closed = (...pulled: number[]) =>
      becomings(three)
        .find((each) => each.pulled.join() === pulled.map((index) => three.grooves[index]?.id).join())
        ?.close.map((id) => sideOf.get(id));
    // Each part has a low and a high one.
    expect(closed(0)).toEqual(['front', 'front']);
    expect(closed(1)).toEqual(['right', 'right']);
    expect(closed(0, 1)).toEqual(['front', 'front', 'right', 'right']);
  });

  it('leaves a sound box where it says so', () => {
    for (const each of all.filter(({ sound, pulled }) => sound && pulled.length > 0)) {
      const design = withBody(familyDesign('fourWay'), four.id, (body) => become(body, each));
      expect(checkDesign(design).filter(({ holds, severity }) => !holds && severity === 'danger')).toEqual(
        [],
      );
    }
  });
});

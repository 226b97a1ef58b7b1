import type { DesignContent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { checkDesign } from '../check/check.ts';
import { familyDesign } from '../families/build.ts';
import { families } from '../families/families.ts';
import { partIdsOf } from './designProblems.ts';
import { deriveBox } from './model.ts';
import { bodiesOf, sheetsOf } from './stack.ts';
import { withCover, withExcluder, withRim, withStorey } from './stackAdds.ts';

const names = families.map(({ family }) => family);
/** What a box is held to and does not keep, by what it is and where. */
const wrong = (design: DesignContent, severity: string): string[] =>
  checkDesign(design).flatMap((each) =>
    !each.holds && each.severity === severity ? [`${each.kind} ${each.sentence}`] : [],
  );
const fresh = (before: DesignContent, after: DesignContent): string[] =>
  ['fault', 'danger'].flatMap((severity) =>
    wrong(after, severity).filter((each) => !wrong(before, severity).includes(each)),
  );
const covers = (design: DesignContent) =>
  wrong(design, 'care').filter((each) => each.startsWith('innerCover'));
const framesOf = (design: DesignContent): number =>
  bodiesOf(design).reduce(
    (sum, { bays }) => sum + bays.reduce((all, { frames }) => all + frames.length, 0),
    0,
  );

describe.each(names)('onto %s', (family) => {
  const design = familyDesign(family);

  it('comes a storey with frames of its kind under the inner cover, and nothing is wrong by it', () => {
    const taller = withStorey(design);
    const ids = partIdsOf(taller);
    expect(new Set(ids).size).toBe(ids.length);
    expect(framesOf(taller)).toBeGreaterThan(framesOf(design));
    expect(covers(taller)).toEqual(covers(design));
    expect(fresh(design, taller)).toEqual([]);
    // Each compartment goes on above: none is joined to another, none is new.
    expect(deriveBox(taller).compartments).toHaveLength(deriveBox(design).compartments.length);
  });

  it('comes a rim, parted as what is below, and joins nobody', () => {
    const higher = withRim(design);
    const ids = partIdsOf(higher);
    expect(new Set(ids).size).toBe(ids.length);
    expect(framesOf(higher)).toBe(framesOf(design));
    expect(covers(higher)).toEqual(covers(design));
    expect(fresh(design, higher)).toEqual([]);
  });

  it('comes an excluder between its two uppermost bodies, and a cover on top of all', () => {
    const taller = withStorey(design);
    const parted = withExcluder(taller);
    const at = parted.layers.findIndex(
      (layer) => layer.kind === 'sheet' && layer.what === 'excluder' && !taller.layers.includes(layer),
    );
    expect(parted.layers[at + 1]?.kind).toBe('body');
    expect(parted.layers.slice(at + 1).filter(({ kind }) => kind === 'body').length).toBe(
      parted.layers.slice(at + 1).findLastIndex(({ kind }) => kind === 'body') + 1,
    );
    const covered = withCover(design);
    expect(covered.layers.at(-1)).toMatchObject({ kind: 'sheet', what: 'board' });
    expect(sheetsOf(covered)).toHaveLength(sheetsOf(design).length + 1);
  });
});

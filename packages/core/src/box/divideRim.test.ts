import { describe, expect, it } from 'vitest';
import { checkDesign } from '../check/check.ts';
import { familyDesign } from '../families/build.ts';
import { isRim, withRimDivided } from './divideRim.ts';
import { deriveBox } from './model.ts';
import { withLayers } from './parts.ts';
import { coverSheet, emptyBody, mm } from './plainParts.ts';
import { bodiesOf, mainBody } from './stack.ts';

/** A three-way body under a cover with a hole for each, a feeder rim on top. */
const fed = () => {
  const design = familyDesign('threeWay');
  const body = mainBody(design);
  return withLayers(design, (layers, ids) => {
    const holes = deriveBox(design).compartments.map(({ x }) => ({
      id: ids.next('hole'),
      x: mm((x[0] + x[1]) / 2),
      y: mm(230),
      width: mm(40),
      length: mm(40),
      closedBy: 'nothing' as const,
    }));
    const rim = { ...emptyBody(ids.next('body'), ids.next('bay'), { ...body, depth: mm(60) }), rebate: null };
    return [
      ...layers.filter(({ kind }) => kind === 'body'),
      coverSheet(ids.next('sheet'), { thickness: mm(12), holes }),
      rim,
      coverSheet(ids.next('sheet')),
    ];
  });
};
const rimOf = (design: ReturnType<typeof fed>) => bodiesOf(design).find(isRim)?.id ?? '';
const joins = (design: ReturnType<typeof fed>) =>
  checkDesign(design).filter(
    ({ kind, holds }) => !holds && (kind === 'feederShared' || kind === 'twoQueens'),
  );

describe('a feeder rim', () => {
  it('over several compartments joins them, and parts them when it is divided as they are', () => {
    expect(
      joins(fed())
        .map(({ kind }) => kind)
        .sort(),
    ).toEqual(['feederShared', 'twoQueens']);
    const divided = withRimDivided(fed(), rimOf(fed()));
    expect(joins(divided)).toEqual([]);
    expect(deriveBox(divided).spaces.filter(({ kind }) => kind === 'rim')).toHaveLength(3);
    // Divided again it is the same rim with new boards, not a rim of twice as many.
    expect(
      deriveBox(withRimDivided(divided, rimOf(divided))).spaces.filter(({ kind }) => kind === 'rim'),
    ).toHaveLength(3);
  });

  it('stays whole where nothing below is parted', () => {
    const plain = familyDesign('nucleus');
    expect(withRimDivided(plain, mainBody(plain).id)).toBe(plain);
    expect(isRim(mainBody(plain))).toBe(false);
  });
});

import type { DesignContent } from '@yellow-cell/contract';
import { expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { withLayers, withPart } from '../box/parts.ts';
import { coverSheet, mm } from '../box/plainParts.ts';
import { bodiesOf, sheetsOf } from '../box/stack.ts';
import { withStorey } from '../box/stackAdds.ts';
import { familyDesign } from '../families/build.ts';
import { checkDesign } from './check.ts';

const nucleus = () => familyDesign('nucleus');

/** A storey over a nucleus that serves so, a board between them with a hole that a bee escape closes. */
const overEscape = (use: 'colony' | 'stores'): DesignContent => {
  const storeys = withStorey(nucleus());
  const [, upper] = bodiesOf(storeys);
  const parted = withLayers(storeys, (layers, ids) =>
    layers.flatMap((layer) =>
      layer.id === upper?.id
        ? [
            coverSheet(ids.next('sheet'), {
              thickness: mm(12),
              each: false,
              holes: [
                {
                  id: ids.next('hole'),
                  x: mm(90),
                  y: mm(200),
                  width: mm(40),
                  length: mm(40),
                  closedBy: 'escape',
                },
              ],
            }),
            layer,
          ]
        : [layer],
    ),
  );
  return (upper?.bays ?? []).reduce((now, { id }) => withPart(now, id, { use }), parted);
};

it('a bee escape empties what is above it, parts its room from the one below, and is no way back', () => {
  const clears = (design: DesignContent) => checkDesign(design).filter(({ kind }) => kind === 'escapeClears');
  const harmed = clears(overEscape('colony'));
  expect(harmed).toMatchObject([
    {
      holds: false,
      severity: 'danger',
      sentence: expect.stringMatching(/all bees of .+ go down to .+ and do not come back/),
    },
  ]);
  // Its fix was tried.
  expect(harmed[0]?.fix?.label).toBe('Lay an excluder over it instead');
  const stores = overEscape('stores');
  expect(clears(stores)).toMatchObject([
    { holds: true, sentence: expect.stringMatching(/lets bees down to .+, and not back/) },
  ]);
  const { compartments, passages } = deriveBox(stores);
  expect(compartments).toHaveLength(2);
  expect(passages.filter(({ down }) => down)).toMatchObject([{ reason: 'hole', gap_mm: 8 }]);
  const shut = sheetsOf(stores).find(({ holes }) => holes.some(({ closedBy }) => closedBy === 'escape'));
  const covered = withLayers(stores, (layers, ids) =>
    layers.flatMap((layer) =>
      layer.id === shut?.id ? [layer, coverSheet(ids.next('sheet'), { each: false })] : [layer],
    ),
  );
  expect(clears(covered)).toMatchObject([
    { holds: false, sentence: 'The bee escape leads nowhere: what lies over or under it closes it.' },
  ]);
  expect(clears(nucleus())).toEqual([]);
});

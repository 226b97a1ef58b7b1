import type { Mark } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { familyDesign } from '../families/build.ts';
import { type DriftRisk, differClearly, MARK_COLOURS, MARK_SHAPES, markUnlike } from './drift.ts';
import { deriveBox } from './model.ts';
import { withPart } from './parts.ts';
import { mm } from './plainParts.ts';
import { mainBody } from './stack.ts';

type Place = { side: 'front' | 'back' | 'left' | 'right'; along: number };
const DISC: Mark = { shape: 'disc', colour: 'yellow' };
const BARS: Mark = { shape: 'bars', colour: 'blue' };

/** The worst risk between two compartments with one entrance each at these places. */
function risk(a: Place, b: Place, marks: [Mark | null, Mark | null] = [null, null]): DriftRisk | undefined {
  const design = familyDesign('twoWayBody');
  const { entrances } = mainBody(design);
  const placed = entrances.reduce((now, { id }, index) => {
    const [place, mark] = index < 2 ? [a, marks[0]] : [b, marks[1]];
    return withPart(now, id, { side: place.side, along: mm(place.along), mark });
  }, design);
  const found = deriveBox(placed).drifts.filter(
    ({ between }) => between[0] === entrances[0]?.id && between[1] === entrances[2]?.id,
  );
  return found[0]?.risk;
}

describe('drift between two entrances (handbook 2, finding home)', () => {
  it.each<[string, Place, Place, DriftRisk]>([
    ['one side, near', { side: 'front', along: 130 }, { side: 'front', along: 230 }, 'high'],
    ['one side, far', { side: 'front', along: 60 }, { side: 'front', along: 300 }, 'medium'],
    ['next side', { side: 'left', along: 230 }, { side: 'front', along: 280 }, 'low'],
    ['opposite sides', { side: 'front', along: 90 }, { side: 'back', along: 280 }, 'lowest'],
  ])('%s', (_, a, b, expected) => {
    expect(risk(a, b)).toBe(expected);
  });

  it('drops a step where marks differ in shape and colour, and not for one of them', () => {
    const [a, b]: Place[] = [
      { side: 'front', along: 130 },
      { side: 'front', along: 230 },
    ] as [Place, Place];
    if (!a || !b) throw new Error('two places');
    expect(risk(a, b, [DISC, BARS])).toBe('medium');
    expect(risk(a, b, [DISC, { ...BARS, colour: 'yellow' }])).toBe('high');
    expect(risk(a, b, [DISC, null])).toBe('high');
  });

  it('is held down by marks that are proposed one after another', () => {
    const marks: Mark[] = [];
    for (let count = 0; count < 4; count++) marks.push(markUnlike(marks));
    for (const [index, mark] of marks.entries())
      for (const other of marks.slice(index + 1)) expect(differClearly(mark, other)).toBe(true);
    // Beyond four colours only the shape or colour can differ, and no mark is given twice.
    for (let count = 4; count < 40; count++) marks.push(markUnlike(marks));
    expect(new Set(marks.map(({ shape, colour }) => shape + colour)).size).toBe(40);
  });
});

it('a mark where all of ours are taken is the first of them', () => {
  const all = MARK_SHAPES.flatMap((shape) => MARK_COLOURS.map((colour): Mark => ({ shape, colour })));
  expect(markUnlike(all)).toEqual(DISC);
});

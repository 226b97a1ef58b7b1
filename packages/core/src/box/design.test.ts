import { DesignContent } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxFromSide } from '../drawing/elevation.ts';
import { boxFromAbove } from '../drawing/fromAbove.ts';
import { boxInSection } from '../drawing/section.ts';
import { familyDesign } from '../families/build.ts';
import { families } from '../families/families.ts';
import { columnsOf, framesIn } from './columns.ts';
import { designChanges } from './designChanges.ts';
import { designProblems, fitQuestionOf, partIdsOf } from './designProblems.ts';
import {
  dividerRange,
  hasEqualSlack,
  thicknessOf,
  withCompartmentCount,
  withCompartments,
  withDividerAt,
  withEqualSlack,
  withFrameMoved,
  withFramesIn,
  withSizes,
  withThickness,
} from './editDesign.ts';
import { sidesOf } from './entrances.ts';
import { compartmentBays, deriveBox } from './model.ts';
import { withBody, withoutPart, withPart } from './parts.ts';
import { mm } from './plainParts.ts';
import { upgradeDesign } from './schemaVersion.ts';
import { bodiesOf, mainBody } from './stack.ts';
import { standardDesign } from './standardDesign.ts';

function threeWay(frames: readonly number[] = [3, 3, 3], thickness = 9.5): DesignContent {
  return standardDesign({ format: 'langstroth-deep', thickness: mm(thickness), frames });
}
const body = mainBody;
const firstBoard = (design: DesignContent): string => body(design).boards[0]?.id ?? '';
const places = (design: DesignContent): number[] => body(design).grooves.map(({ at }) => at.mm);

describe('a drawn design', () => {
  it('has the places and slacks that fit gives', () => {
    const { compartments, boards } = deriveBox(threeWay());
    expect(compartments.flatMap(({ fits }) => fits.map(({ slack_mm }) => slack_mm))).toEqual([
      expect.closeTo(13.3, 6),
      expect.closeTo(13.3, 6),
      expect.closeTo(13.3, 6),
    ]);
    expect(boards.map(({ x }) => x[0])).toEqual([118, 245.5]);
  });

  it('keeps the ids of parts through every edit and never gives one twice', () => {
    const counts = fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(fc.array(counts, { minLength: 1, maxLength: 8 }), (edits) => {
        let design = threeWay();
        const everGiven = new Set(partIdsOf(design));
        for (const frames of edits) {
          const before = new Set(partIdsOf(design));
          design = withCompartments(design, frames, mm(3));
          const ids = partIdsOf(design);
          expect(new Set(ids).size).toBe(ids.length);
          for (const id of ids) {
            if (!before.has(id)) expect(everGiven.has(id)).toBe(false);
            everGiven.add(id);
          }
          expect(body(design).bays).toHaveLength(body(design).grooves.length + 1);
        }
      }),
    );
  });

  it('adds up: compartments and boards come to the inside width, slack and frames to the compartment', () => {
    const rows = fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(
        rows,
        fc.double({ min: 3, max: 12, noNaN: true }),
        fc.double({ min: 250, max: 600, noNaN: true }),
        (frames, thickness, width) => {
          const design = withSizes(threeWay(frames, thickness), body(threeWay()).id, {
            insideWidth: mm(width),
          });
          fc.pre(designProblems(design).length === 0);
          const { compartments, boards, spaces } = deriveBox(design);
          const widths = compartments.reduce((sum, { fits }) => sum + (fits[0]?.width_mm ?? 0), 0);
          expect(widths + boards.length * thickness).toBeCloseTo(width, 6);
          for (const { fits } of compartments)
            for (const fit of fits) expect(fit.slack_mm + fit.frames * 34.9).toBeCloseTo(fit.width_mm, 6);
          for (const { block } of spaces) expect(block.x[1]).toBeGreaterThan(block.x[0]);
        },
      ),
    );
  });

  it('says by how much a typed place is wrong, at that groove', () => {
    const [problem] = designProblems(
      withDividerAt(threeWay(), body(threeWay()).boards[1]?.id ?? '', mm(380)),
    );
    expect(problem).toMatchObject({
      path: 'layers.0.grooves.1.at',
      sentence: expect.stringContaining('16.5 mm outside the right wall'),
    });
  });

  it('names the groove that is wrong also where there are more than ten', () => {
    const rows = Array.from({ length: 13 }, () => 1);
    const wide = withSizes(threeWay(rows, 3.2), body(threeWay()).id, { insideWidth: mm(900) });
    const last = body(wide).boards[11]?.id ?? '';
    const [problem] = designProblems(withDividerAt(wide, last, mm(899)));
    expect(problem?.path).toBe('layers.0.grooves.11.at');
  });

  it('divides the body that is named', () => {
    const two = familyDesign('changer');
    const upper = bodiesOf(two).at(-1)?.id ?? '';
    const divided = withCompartmentCount(two, 2, upper);
    expect(bodiesOf(divided).map(({ bays }) => bays.length)).toEqual(
      bodiesOf(two).map(({ id, bays }) => (id === upper ? 2 : bays.length)),
    );
  });

  it('has a roof without a rim where there is no room below it', () => {
    const roofs = (room: number) => {
      const design = threeWay();
      return deriveBox({ ...design, roof: { ...design.roof, room: mm(room) } }).solids.filter(
        ({ id }) => id === 'roof',
      );
    };
    expect([roofs(0).length, roofs(20).length]).toEqual([1, 5]);
  });

  it('lets a divider go just as far as its neighbours leave room', () => {
    const design = threeWay();
    const [least, most] = dividerRange(body(design), firstBoard(design));
    for (const place of [least, most])
      expect(designProblems(withDividerAt(design, firstBoard(design), mm(place)))).toEqual([]);
    expect(designProblems(withDividerAt(design, firstBoard(design), mm(most + 0.6)))).not.toEqual([]);
  });

  it('goes back to equal slack, and its entrances with it', () => {
    const moved = withDividerAt(threeWay(), firstBoard(threeWay()), mm(90));
    expect(hasEqualSlack(body(moved))).toBe(false);
    expect(body(moved).entrances).toEqual(body(threeWay()).entrances);
    expect(places(withEqualSlack(moved))).toEqual(places(threeWay()));
    expect(hasEqualSlack(body(threeWay([3, 2, 2, 3], 120)))).toBe(true); // impossible, and still answerable
  });

  it('joins bays where a groove holds no board', () => {
    const pulled = withoutPart(threeWay(), firstBoard(threeWay()));
    expect(compartmentBays(pulled).map((bays) => bays.length)).toEqual([2, 1]);
    expect(fitQuestionOf(body(pulled)).frames).toEqual([6, 3]);
    expect(designProblems(pulled)).toEqual([]);
  });

  it('gives each compartment entrances on a side that it touches, and each just its own', () => {
    for (const count of [1, 2, 3, 4, 5, 7]) {
      const design = threeWay(
        Array.from({ length: count }, () => 1),
        3,
      );
      deriveBox(design).compartments.forEach(({ entrances }, index) => {
        expect(entrances).toHaveLength(2);
        for (const { opening, serves } of entrances) {
          expect(sidesOf(index, count)).toContain(opening.side);
          expect(serves).toHaveLength(1);
        }
      });
    }
  });

  it('keeps the frames there are when compartments come or go', () => {
    const design = threeWay([3, 2, 3]);
    const frames = (changed: DesignContent) => framesIn(body(changed));
    expect(frames(withCompartmentCount(design, 4))).toEqual([3, 2, 3, 3]);
    expect(frames(withCompartmentCount(design, 2))).toEqual([3, 2]);
    const [a, b] = body(design).bays;
    expect(frames(withFramesIn(design, b?.id ?? '', 4))).toEqual([3, 4, 3]);
    const moved = withFrameMoved(design, a?.frames[0]?.id ?? '', b?.id ?? '', 1);
    expect(frames(moved)).toEqual([2, 3, 3]);
    expect(body(moved).bays[1]?.frames[1]).toEqual(a?.frames[0]);
  });

  it('spreads dividers again where they stood at equal slack, and leaves them where somebody put them', () => {
    const { id } = body(threeWay());
    const moved = withDividerAt(threeWay(), firstBoard(threeWay()), { mm: 130, typed: '13 cm' });
    expect(hasEqualSlack(body(withSizes(threeWay(), id, { insideWidth: mm(380) })))).toBe(true);
    expect(places(withSizes(moved, id, { insideWidth: mm(380) }))).toEqual(places(moved));
    expect(places(withThickness(moved, mm(4)))).toEqual(places(moved));
    const thin = withThickness(threeWay(), { mm: 3.175, typed: '1/8"' });
    expect(hasEqualSlack(body(thin))).toBe(true);
    expect(thicknessOf(body(thin))).toEqual({ mm: 3.175, typed: '1/8"' });
  });

  it('names what changed between two versions', () => {
    const { id } = body(threeWay());
    const after = withCompartments(withSizes(threeWay(), id, { insideWidth: mm(375) }), [4, 5], mm(6));
    expect(designChanges(threeWay(), after)).toEqual([
      'The inside width: 373 mm became 375 mm.',
      'The frames: 3/3/3 became 4/5.',
      'The divider kinds: tight, tight became tight.',
      'The divider thickness: 9.5 mm became 6 mm.',
      expect.stringContaining('The dividers: at 118 mm, 245.5 mm became at'),
      expect.stringContaining('The reach of the dividers'),
      expect.stringContaining('The entrances'),
    ]);
    expect(designChanges(after, after)).toEqual([]);
    const before = body(threeWay());
    const pane = { material: 'plastic' as const, thickness: mm(6) };
    const glazed = withPart(threeWay(), before.id, { glass: ['left'], pane, material: 'plywood' });
    expect(designChanges(threeWay(), glazed)).toEqual([
      'The material: pine became plywood.',
      'The panes: none became plastic of 6 mm at left.',
    ]);
    expect(designChanges(threeWay(), { ...threeWay(), floor: { ...threeWay().floor, lip: mm(20) } })).toEqual(
      ['The floor: solid, lip 10 mm became solid, lip 20 mm.'],
    );
  });

  it('refuses parts that name missing or doubled parts', () => {
    const refused = (change: Parameters<typeof withBody>[2]) =>
      designProblems(withBody(threeWay(), body(threeWay()).id, change))[0]?.sentence;
    expect(refused((now) => ({ ...now, bays: now.bays.slice(1) }))).toContain('make 3 bays');
    expect(
      refused((now) => ({ ...now, boards: now.boards.map((board) => ({ ...board, groove: 'none' })) })),
    ).toContain('no groove');
    expect(
      refused((now) => ({ ...now, grooves: now.grooves.map((groove) => ({ ...groove, id: 'same' })) })),
    ).toContain('used twice');
    expect(
      refused((now) => ({ ...now, grooves: now.grooves.map((groove) => ({ ...groove, depth: mm(25) })) })),
    ).toContain('through the wall');
  });
});

describe('a stored design', () => {
  const old = {
    schemaVersion: 1,
    format: {
      id: 'own',
      name: 'Own',
      topBar_mm: 483,
      bodyLength_mm: 448,
      depth_mm: 232,
      pitch_mm: 34.9,
      hung: false,
      barWidth_mm: 25,
    },
    insideWidth: { mm: 373 },
    insideLength: { mm: 465 },
    depth: { mm: 244 },
    wall: { mm: 19 },
    lastPart: 8,
    grooves: [{ id: 'groove-2', at: { mm: 184 } }],
    boards: [{ id: 'board-3', groove: 'groove-2', kind: 'tight', thickness: { mm: 5 } }],
    bays: [
      { id: 'bay-1', frames: ['slot-4', 'slot-5'] },
      { id: 'bay-6', frames: ['slot-7'] },
    ],
    entrances: [{ id: 'entrance-8', bay: 'bay-1', side: 'front', along: { mm: 92 }, diameter: { mm: 25 } }],
  };

  it('of the first schema is raised to a stack with the same parts', () => {
    const raised = upgradeDesign(old);
    expect(raised.ok).toBe(true);
    const design = DesignContent.parse(raised.ok ? raised.design : undefined);
    expect(designProblems(design)).toEqual([]);
    const { compartments } = deriveBox(design);
    expect(compartments.map(({ bays }) => bays)).toEqual([['bay-1'], ['bay-6']]);
    expect(compartments[0]?.entrances.map(({ id }) => id)).toEqual(['entrance-8']);
    expect([design.family, body(design).bays[0]?.frames]).toEqual([
      'twoWayBody',
      [
        { id: 'slot-4', holds: 'comb' },
        { id: 'slot-5', holds: 'comb' },
      ],
    ]);
    expect(partIdsOf(design)).toEqual(
      expect.arrayContaining(['groove-2', 'board-3', 'slot-4', 'slot-5', 'slot-7']),
    );
  });

  it('is refused where newer, or where it does not say', () => {
    expect(upgradeDesign({ schemaVersion: 99 })).toMatchObject({
      ok: false,
      problem: { sentence: expect.stringContaining('newer program') },
    });
    expect(upgradeDesign({})).toMatchObject({ ok: false });
  });
});

describe('what a compartment holds', () => {
  it('is by its comb: a deep frame has about 7,000 cells and 2,162 bees (handbook 2 and 5)', () => {
    const [whole] = deriveBox(threeWay([1])).compartments;
    expect(whole?.measures.bees).toBeCloseTo(2_162, -1);
    expect(whole?.measures.cells).toBeGreaterThan(6_900);
    expect(whole?.measures.stores_kg).toBeCloseTo(2.9, 1);
    expect(deriveBox(threeWay()).compartments[0]?.measures.litres).toBeCloseTo((118 * 465 * 254) / 1e6, 6);
  });
});

describe('the drawings', () => {
  it('from above keep every part inside the body, and no two frames or boards overlap', () => {
    const counts = fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(counts, (frames) => {
        const design = threeWay(frames, 3.2);
        fc.pre(designProblems(design).length === 0);
        const model = deriveBox(design);
        fc.pre(model.compartments.every(({ fits }) => fits.every(({ slack_mm }) => slack_mm >= 0)));
        const { rects, x, y } = boxFromAbove(model);
        for (const rect of rects) {
          expect(rect.x).toBeGreaterThanOrEqual(x[0] - 1e-9);
          expect(rect.x + rect.width).toBeLessThanOrEqual(x[1] + 1e-9);
          expect(rect.y).toBeGreaterThanOrEqual(y[0] - 1e-9);
          expect(rect.y + rect.height).toBeLessThanOrEqual(y[1] + 1e-9);
        }
        const across = rects
          .filter(({ role }) => role === 'frame' || role === 'divider')
          .sort((a, b) => a.x - b.x);
        across.slice(1).forEach((rect, index) => {
          const before = across[index];
          expect(rect.x).toBeGreaterThanOrEqual((before?.x ?? 0) + (before?.width ?? 0) - 1e-9);
        });
      }),
    );
  });

  it('from the sides and cut open stand within one outline, for every family', () => {
    for (const { family } of families) {
      const model = deriveBox(familyDesign(family));
      const sides = (['front', 'back', 'left', 'right'] as const).map((side) => boxFromSide(model, side));
      const cuts = (['across', 'along'] as const).map((view) => boxInSection(model, view));
      for (const { rects, x, y } of [...sides, ...cuts])
        for (const rect of rects) {
          expect(rect.width).toBeGreaterThan(0);
          expect(rect.x).toBeGreaterThanOrEqual(x[0] - 1e-6);
          expect(rect.x + rect.width).toBeLessThanOrEqual(x[1] + 1e-6);
          expect(rect.y + rect.height).toBeLessThanOrEqual(y[1] + 1e-6);
        }
      expect(sides[0]?.y).toEqual(cuts[0]?.y);
      const holes = sides.flatMap(({ rects }) =>
        rects.filter(({ role }) => role === 'entrance' || role === 'vent'),
      );
      expect(holes).toHaveLength(model.openings.length);
    }
  });

  it('cut open show the gap that a board leaves under it', () => {
    const design = withPart(threeWay(), firstBoard(threeWay()), { down: mm(0) });
    const { rects } = boxInSection(deriveBox(design), 'across');
    const board = rects.find(({ role, id }) => role === 'divider' && id === firstBoard(design));
    expect(board?.y).toBe(10);
    expect(rects.some(({ role, id, y }) => role === 'divider' && id !== firstBoard(design) && y === 0)).toBe(
      true,
    );
  });

  it('measure compartments and divider thicknesses up to the whole', () => {
    const { dimensions } = boxFromAbove(deriveBox(threeWay()));
    const widths = dimensions
      .filter(({ row, axis }) => axis === 'x' && row === 1)
      .map(({ from, to }) => to - from);
    expect(widths.reduce((sum, width) => sum + width, 0) + 2 * 9.5).toBeCloseTo(373, 9);
    expect(columnsOf(body(threeWay()))).toHaveLength(3);
  });
});

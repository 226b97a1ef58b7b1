import type { BuildPart, DesignContent, Joint } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { newDesign } from '../box/newDesign.ts';
import { withBody, withPart } from '../box/parts.ts';
import { mm } from '../box/plainParts.ts';
import { mainBody } from '../box/stack.ts';
import { standardBody } from '../box/standardDesign.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { families } from '../families/families.ts';
import { observation } from '../families/observation.ts';
import { lengthOf } from '../geometry/block.ts';
import { layFlat, volumeOf } from './layFlat.ts';
import { parts } from './parts.ts';
import { piecesOf } from './pieces.ts';

/** The handbook's reference body: five frames in 18 mm board, with an 18 × 18 rim and an entrance of 70. */
function referenceBody(): DesignContent {
  const plain = newDesign({
    ...standardBody('langstroth-deep', mm(197)),
    wall: mm(18),
    thickness: mm(9.5),
    frames: [5],
  });
  const low = withBody(plain, mainBody(plain).id, (body) => ({
    ...body,
    entrances: [
      {
        id: 'slot',
        side: 'front',
        along: mm(98.5),
        height: mm(-9),
        width: mm(70),
        tall: mm(18),
        shape: 'slot',
        state: 'open',
        mark: null,
      },
    ],
  }));
  return {
    ...low,
    floor: { ...low.floor, thickness: mm(18), lip: mm(18) },
    roof: { ...low.roof, thickness: mm(18) },
  };
}
const named = (all: readonly BuildPart[], name: string): BuildPart => {
  const found = all.find((part) => part.name === name);
  if (!found) throw new Error(`No part ${name} among ${all.map((part) => part.name).join(', ')}`);
  return found;
};
const size = ({ length_mm, width_mm, count }: BuildPart) => [count, length_mm, width_mm];

describe('the reference body', () => {
  const { parts: all, closures } = parts({ design: referenceBody() });
  it('gives the handbook’s figures', () => {
    expect(size(named(all, 'Side'))).toEqual([2, 501, 244]);
    const ends = all.filter(({ name }) => name === 'End');
    expect(ends.map(({ length_mm, width_mm }) => [length_mm, width_mm])).toEqual(ends.map(() => [197, 244]));
    expect(ends.reduce((sum, { count }) => sum + count, 0)).toBe(2);
    const rebate = ends[0]?.machining.find(({ kind }) => kind === 'rebate');
    expect(rebate).toMatchObject({ depth_mm: 9.5, height_mm: 16, y_mm: 228, width_mm: 197, face: 'inner' });
    expect(size(named(all, 'Floor panel'))).toEqual([1, 233, 501]);
    expect(size(named(all, 'Rim strip, front'))).toEqual([2, 63.5, 18]);
    expect(closures.every(({ holds }) => holds)).toBe(true);
  });

  it('names both figures where its strips do not close', () => {
    const wide = { ...referenceBody(), floor: { ...referenceBody().floor, strips: [mm(64), mm(64)] } };
    const off = parts({ design: wide }).closures.filter(({ holds }) => !holds);
    expect(off.map(({ sentence }) => sentence)).toEqual([
      'strips and entrance of the front rim comes to 198 mm, and 197 mm is wanted: 1 mm too much.',
    ]);
  });
});

const everyDesign: readonly (readonly [string, DesignContent])[] = [
  ...families.map(({ family }) => [family as string, familyDesign(family)] as const),
  ['lifting', observation('lifting')],
  ['wall', observation('wall')],
  ['two columns', observation('columns')],
];

describe.each(everyDesign)('%s', (_, design) => {
  it('closes, with every joint, and every part is real', () => {
    for (const joint of ['butt', 'rebate', 'box'] as const) {
      const answer = parts({ design, joint });
      expect(answer.closures.filter(({ holds }) => !holds)).toEqual([]);
      for (const part of answer.parts) {
        expect(part.rings[0]?.length).toBeGreaterThanOrEqual(4);
        expect(part.weight_kg).toBeGreaterThan(0);
        for (const { x_mm, y_mm, width_mm, height_mm } of part.machining) {
          expect(Math.min(x_mm, y_mm)).toBeGreaterThanOrEqual(-1e-9);
          expect(x_mm + width_mm).toBeLessThanOrEqual(part.length_mm + 1e-9);
          expect(y_mm + height_mm).toBeLessThanOrEqual(part.width_mm + 1e-9);
        }
      }
      expect(new Set(answer.parts.map(({ key }) => key)).size).toBe(answer.parts.length);
    }
  });
});

/** Volume of the walls of a body in the derived model, in mm³: another way to what its boards come to. */
function wallVolume(design: DesignContent): number {
  return deriveBox(design)
    .solids.filter(({ id, kind }) => id === mainBody(design).id && kind === 'wall')
    .reduce((sum, { x, y, z }) => sum + lengthOf(x) * lengthOf(y) * lengthOf(z), 0);
}

describe('boards', () => {
  const joints = fc.constantFrom<Joint>('butt', 'rebate', 'box');
  it('of a body come to the volume of its walls in the model, whatever the joint', () => {
    const squareHoles = (design: DesignContent) =>
      mainBody(design).entrances.reduce((now, { id }) => withPart(now, id, { shape: 'slot' }), design);
    fc.assert(
      fc.property(
        fc.constantFrom('nucleus', 'twoWayBody', 'threeWay', 'fourWay', 'starter', 'bank'),
        joints,
        fc.double({ min: 12, max: 40, noNaN: true }),
        (family, joint, wall) => {
          const plain = squareHoles(familyDesign(family as 'nucleus'));
          const design = withPart(plain, mainBody(plain).id, { wall: mm(wall) });
          const boards = piecesOf(design, joint, defaultConstants.pieceOver_mm).filter(
            ({ of, name }) => of === mainBody(design).id && /^(Side|End)/.test(name),
          );
          const made = boards.reduce((sum, piece) => sum + volumeOf(layFlat(piece)), 0);
          // A drilled hole crosses no corner, a groove no rebate of another board: what is cut is cut once.
          expect(made / wallVolume(design)).toBeCloseTo(1, 6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('of a divider reach into both grooves less the play, and its ears fill the rebates', () => {
    const design = familyDesign('threeWay');
    const divider = named(parts({ design }).parts, 'Divider');
    const body = mainBody(design);
    const groove = body.grooves[0];
    expect(divider.count).toBe(2);
    // Ears lie further out than the grooves are deep: the blank is as long as they are.
    const reach = Math.max(groove?.depth.mm ?? 0, body.rebate?.width.mm ?? 0);
    expect(divider.length_mm).toBeCloseTo(body.insideLength.mm + 2 * reach, 9);
    expect(divider.width_mm).toBeCloseTo(body.depth.mm + design.floor.lip.mm, 9);
    const xs = divider.rings[0]?.map(([x]) => x) ?? [];
    const low = divider.rings[0]?.filter(([, y]) => y === 0).map(([x]) => x) ?? [];
    expect(Math.max(...low) - Math.min(...low)).toBeCloseTo(
      body.insideLength.mm + 2 * ((groove?.depth.mm ?? 0) - (groove?.play.mm ?? 0) / 2),
      9,
    );
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(divider.length_mm, 9);
  });

  it('weigh what their wood does, and a heavy body is lifted by two', () => {
    const { weights } = parts({ design: familyDesign('bank') });
    expect(weights.empty_kg).toBeGreaterThan(4);
    expect(weights.full_kg).toBeGreaterThan(weights.season_kg);
    expect(weights.season_kg).toBeGreaterThan(weights.empty_kg);
    expect(weights.sentence).toContain('two lift it');
    expect(parts({ design: familyDesign('nucleus') }).weights.sentence).toContain('one can lift it');
    const honey = familyDesign('nucleus');
    // A deep frame of honey is about 2.9 kg (handbook 4).
    const { full_kg, empty_kg } = parts({ design: honey }).weights;
    expect((full_kg - empty_kg) / 5 - defaultConstants.frame_kg).toBeCloseTo(2.86, 1);
  });
});

describe('a folded sheet', () => {
  it('has a net that folds to its room: bend lines apart by the room and the bends', () => {
    const design = familyDesign('foldedSheet');
    const net = named(parts({ design }).parts, 'Folded sheet');
    const body = mainBody(design);
    const across = net.bends
      .filter(({ from, to }) => from[0] === to[0] && from[1] > 0)
      .map(({ from }) => from[0]);
    const bend = (Math.PI / 4) * net.thickness_mm;
    expect(Math.max(...across) - Math.min(...across)).toBeCloseTo(body.insideWidth.mm + bend, 6);
    expect(net.rings).toHaveLength(1 + body.entrances.length + body.vents.length);
    expect(net.length_mm).toBeCloseTo(
      body.insideWidth.mm + 2 * (body.depth.mm + design.floor.lip.mm) + 2 * bend,
      6,
    );
  });
});

describe('panes', () => {
  const paned = (pane?: { material: 'glass' | 'plastic'; thickness: { mm: number } }) => {
    const design = familyDesign('observation');
    const layers = design.layers.map((layer) =>
      layer.kind === 'body' && layer.glass.length > 0 && pane ? { ...layer, pane } : layer,
    );
    return parts({ design: { ...design, layers } }).parts.filter(({ name }) => /^Pane(?! rail)/.test(name));
  };

  it('are glass of 4 mm, or what was chosen, and weigh by it', () => {
    const [glass] = paned();
    expect(glass).toMatchObject({ material: 'glass', thickness_mm: 4 });
    const [acrylic] = paned({ material: 'plastic', thickness: { mm: 6 } });
    expect(acrylic).toMatchObject({ material: 'plastic', thickness_mm: 6 });
    // As large, half as thick again, of half the density.
    expect((acrylic?.weight_kg ?? 0) / (glass?.weight_kg ?? 1)).toBeCloseTo((1.5 * 1_270) / 2_500, 2);
  });
});

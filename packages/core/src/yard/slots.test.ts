import type { DesignContent } from '@yellow-cell/contract';
import { expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { familyDesign } from '../families/build.ts';
import { observation } from '../families/observation.ts';
import { compartmentsOf } from './compartments.ts';
import { fold } from './fold.ts';
import { slotsOf } from './slots.ts';
import type { Known } from './state.ts';
import { DESIGN, threeWayDesign, told, YARD } from './story.test.kit.ts';

/** Places of the first room of a box of this design, in which bees live. */
function placesIn(content: DesignContent) {
  const design = threeWayDesign();
  const known: Known = {
    designs: new Map([
      [DESIGN, { ...design, versions: design.versions.map((each) => ({ ...each, content })) }],
    ]),
    yards: new Set([YARD]),
  };
  const [room] = deriveBox(content).compartments;
  if (!room) throw new Error('a box has a room');
  const state = fold(known, [
    told('boxBuilt', '2026-05-01', { box: 'box-1', label: 'G1', design: DESIGN, version: 1 }),
    told('stocked', '2026-05-02', {
      box: 'box-1',
      colony: 'colony-1',
      bays: [...room.bays],
      frames: { sealedBrood: 1, stores: 1, drawn: 1 },
      shakes: 2,
      openBrood: false,
    }),
  ]);
  expect(state.toSettle).toEqual([]);
  const box = state.boxes.get('box-1');
  const [compartment] = box ? compartmentsOf(state, known.designs, box) : [];
  if (!box || !compartment) throw new Error('the box stands');
  return slotsOf(state, box, room, compartment);
}

it('places are numbered through, and named by their bodies where a room goes through several', () => {
  expect(placesIn(observation('columns')).map(({ number, body }) => [number, body])).toEqual([
    [1, 'Front 1'],
    [2, 'Back 1'],
    [3, 'Front 2'],
    [4, 'Back 2'],
    [5, 'Front 3'],
    [6, 'Back 3'],
  ]);
  expect(placesIn(familyDesign('nucleus')).map(({ number, body }) => [number, body])).toEqual(
    [1, 2, 3, 4, 5].map((number) => [number, undefined]),
  );
});

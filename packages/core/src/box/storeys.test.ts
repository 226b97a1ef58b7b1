import type { Body, DesignContent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { checkDesign } from '../check/check.ts';
import { familyDesign } from '../families/build.ts';
import { observation } from '../families/observation.ts';
import { deriveBox } from './model.ts';
import { withLayers, withPart } from './parts.ts';
import { coverSheet, EXCLUDER_SLOT_MM, emptyBody, mm } from './plainParts.ts';
import { bodiesOf, mainBody } from './stack.ts';
import { withRim, withStorey } from './stackAdds.ts';

const named = (design: DesignContent, name: string): Body => {
  const found = bodiesOf(design).find((body) => body.name === name);
  if (!found) throw new Error(`There is no ${name}.`);
  return found;
};
const roomsOf = (design: DesignContent): number[] =>
  deriveBox(design).compartments.map(({ bays }) => bays.length);
const fails = (design: DesignContent, kind: string): boolean =>
  checkDesign(design).some((each) => each.kind === kind && !each.holds);
/** A rim of the main body's size, not parted, laid on it. */
const underRim = (design: DesignContent): DesignContent =>
  withLayers(design, ([first, ...rest], ids) => {
    const main = mainBody(design);
    const rim = { ...emptyBody(ids.next('body'), ids.next('bay'), main), depth: mm(40), rebate: null };
    return first ? [first, rim, ...rest] : [];
  });

describe('two columns behind the same glass', () => {
  const wall = observation('columns');

  it('are one compartment of six frames, that its one entrance in the rim serves', () => {
    const [room, ...more] = deriveBox(wall).compartments;
    expect(more).toEqual([]);
    expect(room?.name).toBe('Front 1 and Back 1');
    expect(room?.frames).toHaveLength(6);
    expect(room?.entrances).toHaveLength(1);
    expect(room?.bodies.map(({ name }) => name)).toEqual([
      'Front 1',
      'Back 1',
      'Front 2',
      'Back 2',
      'Front 3',
      'Back 3',
    ]);
    expect(room?.bodies.flatMap(({ bays }) => bays)).toEqual(room?.bays);
    expect(room?.rims).toEqual([named(wall, 'Crossing below'), named(wall, 'Crossing above')].map(bayOf));
  });

  it('stay one by either rim, and are two where a sheet lies in both ways', () => {
    const above = named(wall, 'Crossing above').id;
    const low = withLayers(wall, (layers) => layers.filter(({ id }) => id !== above));
    expect(roomsOf(low)).toEqual([6]);
    const shut = withLayers(low, ([below, ...rest], ids) =>
      below ? [below, coverSheet(ids.next('sheet'), { each: false }), ...rest] : [],
    );
    expect(roomsOf(shut)).toEqual([3, 3]);
    expect(deriveBox(shut).compartments.flatMap(({ entrances }) => entrances)).toEqual([]);
    const excluded = withLayers(low, ([below, ...rest], ids) =>
      below ? [below, coverSheet(ids.next('sheet'), { each: false, slot: EXCLUDER_SLOT_MM }), ...rest] : [],
    );
    // Workers pass, the queen does not: one colony's, yet two compartments.
    expect(roomsOf(excluded)).toEqual([3, 3]);
  });

  it('show a storey of another width as open', () => {
    const wide = withPart(wall, named(wall, 'Back 2').id, { insideWidth: mm(100) });
    expect(fails(wide, 'closedJoint')).toBe(true);
    expect(fails(wall, 'closedJoint')).toBe(false);
  });
});
const bayOf = ({ bays }: Body): string | undefined => bays[0]?.id;

describe('a rim between bodies', () => {
  it('joins those without a divider, whichever lies above', () => {
    expect(roomsOf(withStorey(withRim(familyDesign('nucleus'))))).toEqual([2]);
  });

  it('joins no compartments of one body: over a divided one it is a fault, and still two compartments', () => {
    const open = underRim(familyDesign('twoWayBody'));
    expect(roomsOf(open)).toEqual([1, 1]);
    expect(fails(open, 'feederShared')).toBe(true);
    expect(deriveBox(open).compartments.map(({ rims }) => rims)).toEqual([[], []]);
  });

  it('lets a colony in by an entrance of its own', () => {
    const rimmed = underRim(familyDesign('nucleus'));
    const main = mainBody(rimmed);
    const rim = bodiesOf(rimmed).find(({ id }) => id !== main.id);
    const [door] = main.entrances;
    if (!rim || !door) throw new Error('a nucleus has an entrance');
    const moved = withPart(withPart(rimmed, main.id, { entrances: [] }), rim.id, {
      entrances: [{ ...door, height: mm(20) }],
    });
    expect(deriveBox(moved).compartments[0]?.entrances).toHaveLength(1);
    expect(fails(moved, 'servesOne')).toBe(false);
    expect(fails(moved, 'hasFlight')).toBe(false);
  });
});

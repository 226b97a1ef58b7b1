import type { Body, DesignContent, Sheet } from '@yellow-cell/contract';
import { newDesign } from '../box/newDesign.ts';
import { type PartIds, withLayers } from '../box/parts.ts';
import { coverSheet, emptyBody, MESH_MM, mm } from '../box/plainParts.ts';
import { mainBody } from '../box/stack.ts';
import { standardBody, standardDesign } from '../box/standardDesign.ts';

/** Boxes that show bees behind glass, as practitioners build them (handbook 2, family 12). Lengths in mm. */
export type ObservationKind = 'display' | 'lifting' | 'wall' | 'columns';

const DEEP = 'langstroth-deep';

const GLASS_WALL_MM = 4;

export const observation = (kind: ObservationKind): DesignContent => OBSERVATIONS[kind]();

const OBSERVATIONS: Readonly<Record<ObservationKind, () => DesignContent>> = {
  display: shownFrame,
  lifting: liftingTop,
  wall: standingWall,
  columns: wallOfTwoColumns,
};

/** One shown frame over a nucleus, an excluder between. */
function shownFrame(): DesignContent {
  const nucleus = standardDesign({
    format: DEEP,
    insideWidth: { mm: 190.5, typed: '7 1/2"' },
    thickness: mm(9.5),
    frames: [5],
    family: 'observation',
  });
  const body = mainBody(nucleus);
  const width = 42;
  const x = (body.insideWidth.mm - width) / 2;
  // Shut for hours among people: air from below, and out at both ends above (handbook 8, display frame).
  const floor = { ...nucleus.floor, kind: 'mesh' as const, mesh: MESH_MM };
  const roof = { ...nucleus.roof, kind: 'glazed' as const, each: true };
  return withLayers({ ...nucleus, floor, roof }, (layers, ids) => {
    const sheet: Sheet = coverSheet(ids.next('sheet'), {
      thickness: mm(12),
      each: false,
      fits: body.format.name,
      holes: [
        {
          id: ids.next('hole'),
          x: mm(body.insideWidth.mm / 2),
          y: mm(body.insideLength.mm / 2),
          width: mm(30),
          length: mm(380),
          closedBy: 'excluder',
        },
      ],
    });
    const shown = emptyBody(ids.next('body'), ids.next('bay'), {
      ...body,
      insideWidth: mm(width),
      depth: mm(body.depth.mm),
      wall: body.wall,
    });
    const bay = shown.bays[0] as Body['bays'][number];
    const top: Body = {
      ...shown,
      name: 'Display',
      glass: ['left', 'right'],
      offset: { x: mm(x), y: mm(0) },
      bays: [{ ...bay, use: 'held', frames: [{ id: ids.next('slot'), holds: 'display' }] }],
      vents: (['front', 'back'] as const).map((side) => ({
        id: ids.next('vent'),
        side,
        along: mm(width / 2),
        height: mm(body.depth.mm - 40),
        width: mm(20),
        tall: mm(40),
        mesh: MESH_MM,
      })),
    };
    const cover = coverSheet(ids.next('sheet'), { each: false });
    const [nuc] = layers as [Body];
    const below: Body = {
      ...nuc,
      name: 'Nucleus',
      bays: nuc.bays.map((each) => ({ ...each, use: 'bees' as const })),
    };
    return [below, sheet, top, cover];
  });
}

/** A glazed rim over a whole body; bees come up when the tray is pulled. */
function liftingTop(): DesignContent {
  const plain = standardDesign({
    format: DEEP,
    insideWidth: mm(373),
    thickness: mm(9.5),
    frames: [9],
    family: 'observation',
  });
  const body = mainBody(plain);
  return withLayers(
    { ...plain, roof: { ...plain.roof, kind: 'glazed', thickness: mm(GLASS_WALL_MM) } },
    (layers, ids) => {
      const tray = coverSheet(ids.next('sheet'), { what: 'tray', each: false });
      const rim: Body = {
        ...emptyBody(ids.next('body'), ids.next('bay'), { ...body, depth: mm(260) }),
        name: 'Glazed top',
        rebate: null,
        glass: ['front', 'back', 'left', 'right'],
      };
      return [...layers.filter(({ kind }) => kind === 'body'), tray, rim];
    },
  );
}

const WALL_WIDTH_MM = 42;
const STOREYS = 3;

/** A storey of a standing wall: one shown frame between two panes, behind insulated doors. */
function glazed(ids: PartIds, more: Partial<Body> = {}): Body {
  const body = emptyBody(ids.next('body'), ids.next('bay'), standardBody(DEEP, mm(WALL_WIDTH_MM)));
  return {
    ...body,
    glass: ['left', 'right'],
    doors: true,
    bays: body.bays.map((bay) => ({
      ...bay,
      use: 'colony',
      frames: [{ id: ids.next('slot'), holds: 'display' }],
    })),
    ...more,
  };
}

/** Three frames one above another between panes, behind insulated doors. */
function standingWall(): DesignContent {
  const one = standardBody(DEEP, mm(WALL_WIDTH_MM));
  const plain = newDesign({ ...one, thickness: mm(9.5), frames: [1], family: 'observation' });
  return withLayers(plain, ([first, ...rest], ids) =>
    first?.kind === 'body'
      ? [{ ...first, glass: ['left', 'right'], doors: true }, glazed(ids), glazed(ids), ...rest]
      : [],
  );
}

/** Heights, in mm, of the rims in which bees cross from one column to the other: with what the bodies leave under and over their frames, still less than they build in (handbook 2, what a gap does: 22 mm over a floor, 13 mm between frames and a cover). */
const CROSSING_MM = { below: 16, above: 6 } as const;

/** Six frames, two by two behind the same doors: between the columns a post that carries the lugs, below and above a rim in which bees cross. */
function wallOfTwoColumns(): DesignContent {
  const one = standardBody(DEEP, mm(WALL_WIDTH_MM));
  const plain = newDesign({ ...one, thickness: mm(9.5), frames: [1], family: 'observation' });
  const post = 2 * one.wall.mm;
  const length = 2 * one.insideLength.mm + post;
  return withLayers({ ...plain, floor: { ...plain.floor, lip: mm(0) } }, (layers, ids) => {
    const rim = (name: string, depth: number): Body => ({
      ...emptyBody(ids.next('body'), ids.next('bay'), { ...one, insideLength: mm(length), depth: mm(depth) }),
      name,
      rebate: null,
    });
    const door: Body['entrances'][number] = {
      id: ids.next('entrance'),
      side: 'front',
      along: mm(WALL_WIDTH_MM / 2),
      height: mm(CROSSING_MM.below / 2),
      width: mm(30),
      tall: mm(8),
      shape: 'slot',
      state: 'open',
      mark: null,
    };
    const behind = { offset: { x: mm(0), y: mm(one.insideLength.mm + post) }, beside: true };
    const storeys = Array.from({ length: STOREYS }, (_, index) => [
      glazed(ids, { name: `Front ${index + 1}` }),
      glazed(ids, { name: `Back ${index + 1}`, ...behind }),
    ]).flat();
    const covers = layers.filter(({ kind }) => kind === 'sheet');
    return [
      { ...rim('Crossing below', CROSSING_MM.below), entrances: [door] },
      ...storeys,
      rim('Crossing above', CROSSING_MM.above),
      ...covers,
    ];
  });
}

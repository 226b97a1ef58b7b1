import type { Bay, DesignContent, Entrance, FitAnswer, ReachQuestion } from '@yellow-cell/contract';
import { type Block, hull, lengthOf, type Span } from '../geometry/block.ts';
import { refuse } from '../problems.ts';
import { placesIn } from './columns.ts';
import { designProblems } from './designProblems.ts';
import { type Drift, driftOf } from './drift.ts';
import { fitOf } from './fit.ts';
import { gap } from './gap.ts';
import { type Gap, gapsOf } from './gaps.ts';
import { type Limits, limitsOf } from './limits.ts';
import { type Measures, measuresOf } from './measures.ts';
import { type Passage, passagesOf } from './passages.ts';
import { type FrameSolid, type PlacedOpening, type Solids, solidsOf } from './solids.ts';
import { framedGroups, type Space, spacesOf, spacesServed } from './spaces.ts';
import { openStrips, type Stack, stackOf } from './stack.ts';
import { storeysOf } from './storeys.ts';

/** An opening through a wall and the spaces it comes out in. */
export interface ServedOpening extends PlacedOpening {
  serves: readonly { space: string; clear_mm: number }[];
}
export const isEntrance = (opening: ServedOpening): opening is ServedOpening & { opening: Entrance } =>
  'state' in opening.opening;

/** A space for frames between two neighbouring boundaries, over all the bodies that it opens through. */
export interface Compartment {
  name: string;
  bays: readonly string[];
  spaces: readonly string[];
  /** Its bays by the bodies that it opens through, from below. */
  bodies: readonly { name: string; bays: readonly string[] }[];
  /** Rims that open to it alone: its bees cross and come in there. */
  rims: readonly string[];
  /** In its lowest body. */
  x: Span;
  block: Block;
  use: Bay['use'];
  frames: readonly FrameSolid[];
  entrances: readonly (ServedOpening & { opening: Entrance })[];
  /** Of each column, from the left and from below. */
  fits: readonly (FitAnswer['compartments'][number] & { space: string })[];
  measures: Measures;
}
/** What a design is in space. Drawing, checks and all later models read this, never the parameters. */
export interface BoxModel extends Solids {
  stack: Stack;
  spaces: readonly Space[];
  passages: readonly Passage[];
  gaps: readonly Gap[];
  openings: readonly ServedOpening[];
  compartments: readonly Compartment[];
  drifts: readonly Drift[];
  openStrips: readonly Block[];
}

const derived = new WeakMap<DesignContent, BoxModel>();

/** Derives the box from its design with all its boards standing. Throws `ProblemsError` where the design cannot be. */
export function deriveBox(design: DesignContent): BoxModel {
  const known = derived.get(design);
  if (known) return known;
  refuse(designProblems(design));
  const stack = stackOf(design);
  const solids = solidsOf(design, stack);
  const spaces = spacesOf(design, stack);
  const passages = passagesOf(stack, spaces, solids);
  const openings = solids.openings.map(
    (opening): ServedOpening => ({
      ...opening,
      serves: spacesServed(spaces, opening, opening.body, opening.opening.side).map(({ space, clear }) => ({
        space: space.id,
        clear_mm: clear,
      })),
    }),
  );
  const compartments = compartmentsIn(stack, spaces, passages, solids.frames, openings);
  const model: BoxModel = {
    ...solids,
    stack,
    spaces,
    passages,
    gaps: gapsOf(design, stack, spaces, solids),
    openings,
    compartments,
    drifts: driftsIn(compartments, limitsOf(design)),
    openStrips: openStrips(stack),
  };
  derived.set(design, model);
  return model;
}

function compartmentsIn(
  stack: Stack,
  spaces: readonly Space[],
  passages: readonly Passage[],
  frames: readonly FrameSolid[],
  openings: readonly ServedOpening[],
): Compartment[] {
  const framed = stack.bodies.flatMap(({ body }) =>
    framedGroups(body)
      .map((bays) =>
        spaces.filter(
          (space) =>
            space.kind === 'frames' && space.bays.some(({ id }) => bays.some((bay) => bay.id === id)),
        ),
      )
      .filter((group) => group.length > 0),
  );
  return storeysOf(framed, spaces, passages).map(({ spaces: group, rims }): Compartment => {
    const ids = group.map(({ id }) => id);
    const entered = [...ids, ...rims.map(({ id }) => id)];
    const bays = group.flatMap((space) => space.bays);
    const own = frames.filter(({ bay }) => bays.some(({ id }) => id === bay));
    const lowest = Math.min(...group.map(({ block }) => block.z[0]));
    const low = group.filter(({ block }) => block.z[0] === lowest);
    const x = hull(low.map(({ block }) => block.x));
    const y = hull(low.map(({ block }) => block.y));
    return {
      name: nameIn(low),
      bays: bays.map(({ id }) => id),
      spaces: ids,
      bodies: bodiesIn(group),
      rims: rims.map(({ id }) => id),
      x,
      block: { x, y, z: low[0]?.block.z ?? [lowest, lowest] },
      use: bays.find(({ use }) => use !== 'nothing')?.use ?? 'nothing',
      frames: own,
      entrances: openings
        .filter(isEntrance)
        .filter(({ serves }) =>
          serves.some(({ space, clear_mm }) => entered.includes(space) && letsBeesIn(clear_mm)),
        ),
      fits: group.map(fitOfSpace),
      measures: measuresOf(group, own),
    };
  });
}

function bodiesIn(group: readonly Space[]): Compartment['bodies'] {
  const ids = [...new Set(group.map(({ body }) => body?.body.id))];
  return ids.map((id) => {
    const own = group.filter(({ body }) => body?.body.id === id);
    return { name: own[0]?.name ?? '', bays: own.flatMap(({ bays }) => bays.map((bay) => bay.id)) };
  });
}

/** By its lowest room; by that of each column where it stands in several bodies beside one another. */
const nameIn = (low: readonly Space[]): string =>
  bodiesIn(low)
    .map(({ name }) => name)
    .join(' and ');

const letsBeesIn = (clear_mm: number): boolean => gap({ gap_mm: clear_mm }).passes.includes('worker');

function fitOfSpace(space: Space): Compartment['fits'][number] {
  const format = space.bays[0]?.format ?? space.body?.body.format;
  const spacing = format ?? { pitch_mm: 1 };
  return { space: space.id, ...fitOf(lengthOf(space.block.x), placesIn(space.bays), spacing) };
}

function driftsIn(compartments: readonly Compartment[], limits: Limits): Drift[] {
  return compartments.flatMap((a, index) =>
    compartments
      .slice(index + 1)
      .flatMap((b) =>
        a.entrances.flatMap((one) =>
          b.entrances.filter(({ id }) => id !== one.id).map((other) => driftOf(one, other, limits)),
        ),
      ),
  );
}

/** Bays grouped into compartments, in order. */
export function compartmentBays(design: DesignContent): readonly (readonly string[])[] {
  return deriveBox(design).compartments.map(({ bays }) => bays);
}

/** What `reach` is asked about a box, with those in it. */
export function reachQuestionOf(
  { spaces, passages, openings }: BoxModel,
  occupants: ReachQuestion['occupants'],
): ReachQuestion {
  return {
    spaces: spaces.map(({ id }) => id),
    passages: passages.map(({ between, gap_mm }) => ({ between: [between[0], between[1]], gap_mm })),
    occupants,
    entrances: openings.filter(isEntrance).flatMap(({ opening, serves }) => {
      const to = serves.filter(({ clear_mm }) => letsBeesIn(clear_mm)).map(({ space }) => space);
      return to.length === 0 ? [] : [{ to, state: opening.state }];
    }),
  };
}

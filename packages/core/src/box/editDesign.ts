import type { Body, DesignContent, FitAnswer, Length, Slot } from '@yellow-cell/contract';
import { framesIn } from './columns.ts';
import { fitQuestionOf } from './designProblems.ts';
import { entrancesAsProposed, withProposedEntrances } from './entrances.ts';
import { fit, fitProblems } from './fit.ts';
import { bodyWith, type PartIds, withBody } from './parts.ts';
import { mm, tightBoard, USUAL } from './plainParts.ts';
import { bodiesOf, mainBody } from './stack.ts';

/**
 * The drawing board's moves on one body, each a pure function from design to design. Parts keep their ids through
 * every edit, and an id once given is not given again (`lastPart` counts them). `body` is an id; by default the main body's.
 */
const USUAL_THICKNESS_MM = 9.5;
const USUAL_FRAMES = 3;

/** As many compartments as `frames` has numbers, all dividers `thickness`, at places of equal slack, entrances as proposed. */
export function withCompartments(
  design: DesignContent,
  frames: readonly number[],
  thickness: Length,
  body = mainBody(design).id,
): DesignContent {
  const lip = bodiesOf(design)[0]?.id === body ? design.floor.lip.mm : 0;
  const keeps = (now: Body) => now.bays.length === frames.length && now.entrances.length > 0;
  const next = withBody(design, body, (now, ids) => {
    const bays = frames.map((count, index): Body['bays'][number] => {
      const bay = now.bays[index] ?? {
        id: ids.next('bay'),
        frames: [],
        format: null,
        use: usualUse(design, frames.length),
      };
      const slots = slotsFor(bay.frames, count, ids);
      const use = bay.use === 'nothing' && count > 0 ? usualUse(design, frames.length) : bay.use;
      return { ...bay, use, frames: slots };
    });
    const grooves = bays.slice(1).map(
      (_, index) =>
        now.grooves[index] ?? {
          id: ids.next('groove'),
          at: mm(0),
          depth: mm(USUAL.grooveDepth),
          play: mm(USUAL.groovePlay),
        },
    );
    const boards = grooves.map(({ id }) => {
      const old = now.boards.find(({ groove }) => groove === id);
      return old ? { ...old, thickness } : tightBoard(ids.next('board'), id, thickness, lip);
    });
    return { ...now, bays, grooves, boards };
  });
  const even = withEqualSlack(next, body);
  const before = bodiesOf(design).find(({ id }) => id === body);
  return before && keeps(before) ? even : withProposedEntrances(even, body);
}

/** One compartment keeps a colony; several are there to mate queens. */
const usualUse = ({ family }: DesignContent, count: number): Body['bays'][number]['use'] =>
  count > 1 || family === 'smallFormat' ? 'mating' : 'colony';

/** Moves every divider so that all compartments have the same slack. Where that cannot be, they stand at equal widths. */
export function withEqualSlack(design: DesignContent, body = mainBody(design).id): DesignContent {
  return rearranged(design, body, evened);
}

function evened(body: Body): Body {
  const places = equalPlaces(body);
  const standing = new Set(body.boards.map(({ groove }) => groove));
  let place = 0;
  const grooves = body.grooves.map((groove) =>
    standing.has(groove.id) ? { ...groove, at: mm(places[place++]?.at_mm ?? groove.at.mm) } : groove,
  );
  return { ...body, grooves };
}

/** Changes a body; entrances that stood where they are proposed stand so again afterwards, others stay. */
function rearranged(
  design: DesignContent,
  id: string,
  change: (body: Body, ids: PartIds) => Body,
): DesignContent {
  const asProposed = entrancesAsProposed(design, id);
  const next = withBody(design, id, change);
  return asProposed ? withProposedEntrances(next, id) : next;
}

/** The same, and dividers that stood at equal slack stand so again; others stay where they were put. */
function revised(
  design: DesignContent,
  id: string,
  change: (body: Body, ids: PartIds) => Body,
): DesignContent {
  return rearranged(design, id, (now, ids) => {
    const next = change(now, ids);
    return hasEqualSlack(now) ? evened(next) : next;
  });
}

/** A body's sizes or format. */
export function withSizes(
  design: DesignContent,
  id: string,
  sizes: Partial<Pick<Body, 'format' | 'insideWidth' | 'insideLength' | 'depth' | 'wall' | 'rebate'>>,
): DesignContent {
  return revised(design, id, (now) => ({ ...now, ...sizes }));
}

/** True where all dividers stand at equal slack already. */
export function hasEqualSlack(body: Body): boolean {
  const places = equalPlaces(body);
  return fitQuestionOf(body).dividers.every(
    ({ at_mm = 0 }, index) => Math.abs(at_mm - (places[index]?.at_mm ?? 0)) < SAME_PLACE_MM,
  );
}
/** Typed places are rounded to what a rule can show; nearer than this is the same place. */
const SAME_PLACE_MM = 0.05;

export function equalPlaces(body: Body): FitAnswer['dividers'] {
  const question = fitQuestionOf(body);
  const dividers = question.dividers.map(({ thickness_mm }) => ({ thickness_mm }));
  if (fitProblems({ ...question, dividers }).length === 0) return fit({ ...question, dividers }).dividers;
  const step = question.insideWidth_mm / question.frames.length;
  return dividers.map(({ thickness_mm }, index) => ({
    at_mm: (index + 1) * step - thickness_mm / 2,
    thickness_mm,
  }));
}

/** Sets one divider's face nearer x = 0. The place may be impossible; `designProblems` then says by how much. Holes stay where they are drilled. */
export function withDividerAt(design: DesignContent, board: string, at: Length): DesignContent {
  const body = bodyWith(design, board);
  const groove = body?.boards.find(({ id }) => id === board)?.groove;
  if (!body || !groove) return design;
  return withBody(design, body.id, (now) => ({
    ...now,
    grooves: now.grooves.map((each) => (each.id === groove ? { ...each, at } : each)),
  }));
}

/** The places, in mm, that a divider can take without leaving its neighbours any overlap. */
export function dividerRange(body: Body, board: string): readonly [number, number] {
  const { dividers } = fitQuestionOf(body);
  const groove = body.boards.find(({ id }) => id === board)?.groove;
  const standing = body.grooves.filter(({ id }) => body.boards.some((each) => each.groove === id));
  const index = standing.findIndex(({ id }) => id === groove);
  const before = dividers[index - 1];
  const room = (dividers[index + 1]?.at_mm ?? body.insideWidth.mm) - (dividers[index]?.thickness_mm ?? 0);
  const least = before ? (before.at_mm ?? 0) + before.thickness_mm : 0;
  return [least + LEAST_COMPARTMENT_MM, room - LEAST_COMPARTMENT_MM];
}
const LEAST_COMPARTMENT_MM = 0.5;

/** The one thickness of a body's dividers, or the usual one where it has none. */
export const thicknessOf = ({ boards }: Body): Length => boards[0]?.thickness ?? mm(USUAL_THICKNESS_MM);

/** So many compartments: those there are keep their frames, new ones get as many as the last. */
export function withCompartmentCount(
  design: DesignContent,
  count: number,
  id = mainBody(design).id,
): DesignContent {
  const body = bodiesOf(design).find((each) => each.id === id) ?? mainBody(design);
  const frames = framesIn(body);
  const next = Array.from({ length: count }, (_, index) => frames[index] ?? frames.at(-1) ?? USUAL_FRAMES);
  return withCompartments(design, next, thicknessOf(body), id);
}

/** So many frames in one bay; dividers at equal slack stay so. */
export function withFramesIn(design: DesignContent, bay: string, count: number): DesignContent {
  const body = bodyWith(design, bay);
  if (!body) return design;
  return revised(design, body.id, (now, ids) => ({
    ...now,
    bays: now.bays.map((each) =>
      each.id === bay ? { ...each, frames: slotsFor(each.frames, count, ids) } : each,
    ),
  }));
}

const slotsFor = (now: readonly Slot[], count: number, ids: PartIds): Slot[] =>
  Array.from({ length: count }, (_, slot): Slot => now[slot] ?? { id: ids.next('slot'), holds: 'comb' });

/** All dividers of a body of this thickness. */
export function withThickness(
  design: DesignContent,
  thickness: Length,
  id = mainBody(design).id,
): DesignContent {
  return revised(design, id, (now) => ({
    ...now,
    boards: now.boards.map((board) => ({ ...board, thickness })),
  }));
}

/** Moves a frame from one bay to a place among those of another of the same body. */
export function withFrameMoved(
  design: DesignContent,
  slot: string,
  to: string,
  place: number,
): DesignContent {
  const body = bodyWith(design, slot);
  const frame = body?.bays.flatMap(({ frames }) => frames).find(({ id }) => id === slot);
  if (!body || !frame || !body.bays.some(({ id }) => id === to)) return design;
  return withBody(design, body.id, (now) => ({
    ...now,
    bays: now.bays.map((bay) => {
      const rest = bay.frames.filter(({ id }) => id !== slot);
      return bay.id === to
        ? { ...bay, frames: [...rest.slice(0, place), frame, ...rest.slice(place)] }
        : { ...bay, frames: rest };
    }),
  }));
}

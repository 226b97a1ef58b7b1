import type { Constants } from '../constants/registry.ts';
import type { BoxView } from '../yard/boxView.ts';
import type { YardState } from '../yard/state.ts';
import { type Kin, kinOf } from '../yard/warn/joining.ts';
import { withoutQueen } from '../yard/withoutQueen.ts';
import type { AutumnLine } from './autumn.ts';
import { beesOfSeams, seamsOfBees } from './cluster.ts';
import { type Room, roomOf } from './wayWinter.ts';
import type { YardWay } from './yardWay.ts';

/** Free rooms that a colony may move to are so many, its own box’s first: forty boxes have more than can be weighed. */
const MOST_ROOMS = 20;
/** Who may join whom is asked of so many, the nearest in walking order. */
const NEAREST = 6;

/** What a yard has, of which the ways of its colonies are made. */
export interface YardMeans {
  state: YardState;
  /** Colonies of which enough is known, in walking order. */
  known: readonly AutumnLine[];
  free: readonly Room[];
  /** Boxes of one kind that can be pushed together. */
  beside: readonly (readonly [BoxView, BoxView])[];
  constants: Constants;
}

/** The ways of a colony: to stay, be reduced or pushed together, move into a free room, or join another; without a queen only to join, where anybody can take it. */
export function waysOf(line: AutumnLine, { state, known, free, beside, constants }: YardMeans): YardWay[] {
  const at = known.indexOf(line);
  const near = known.filter(
    (other, place) =>
      other !== line && !joined(other) && Math.abs(place - at) <= NEAREST && takes(other, line, constants),
  );
  const joins = near.map(
    (into): YardWay => ({ act: 'combine', line, into, kin: kinOfLines(state, line, into), sugar_kg: 0 }),
  );
  const own = roomOf(line.box, line.room);
  if (joined(line) && joins.length > 0) return joins;
  const stays: YardWay = { act: 'leave', line, at: line, sugar_kg: 0 };
  const seams = line.seams ?? 0;
  const reduces: YardWay[] =
    line.room.frames - seams >= constants.reduceSpare ? [{ act: 'reduce', line, at: line, sugar_kg: 0 }] : [];
  const fits = free.filter(
    ({ room, compartment }) =>
      room.frames >= Math.ceil(seams) &&
      room.frames <= Math.ceil(seams) + constants.winterRoomOver &&
      compartment.frames[0]?.format.id === own?.compartment.frames[0]?.format.id,
  );
  const nearest = fits
    .toSorted((a, b) => Number(b.box === line.box) - Number(a.box === line.box))
    .slice(0, MOST_ROOMS);
  const row = beside.flatMap((pair) =>
    pair.includes(line.box) ? pair.filter((box) => box !== line.box) : [],
  );
  const rowed = row.length > 0 && own ? [stays, ...reduces] : [];
  return [
    stays,
    ...reduces,
    ...rowed.map((way): YardWay => ({ ...way, row })),
    ...nearest.map((to): YardWay => ({ act: 'move', line, at: to, sugar_kg: 0 })),
    ...(line.dwindled !== undefined && line.dwindled > 0 ? joins : []),
  ];
}

const joined = (line: AutumnLine): boolean => withoutQueen(line.room.status);

const kinOfLines = (state: YardState, a: AutumnLine, b: AutumnLine): Kin =>
  a.room.colony && b.room.colony ? kinOf(state, a.room.colony, b.room.colony) : 'unknown';

/** Boxes of one kind that stand next to each other, each with the nearest of its kind within reach: the one by its label first. */
export function likeBeside(
  lines: readonly AutumnLine[],
  { rowWithin_m }: Constants,
): (readonly [BoxView, BoxView])[] {
  const boxes = [...new Set(lines.map(({ box }) => box))];
  const far = (a: BoxView, b: BoxView): number => {
    const [here, there] = [a.box.place, b.box.place];
    return here && there
      ? Math.hypot(here.east_m - there.east_m, here.north_m - there.north_m)
      : Number.POSITIVE_INFINITY;
  };
  const pairs = boxes.flatMap((box): (readonly [BoxView, BoxView])[] => {
    const [nearest] = boxes
      .filter((each) => each !== box && each.design === box.design && far(each, box) <= rowWithin_m)
      .sort((a, b) => far(a, box) - far(b, box));
    return nearest ? [boxes.indexOf(nearest) < boxes.indexOf(box) ? [nearest, box] : [box, nearest]] : [];
  });
  return pairs.filter((pair, at) => pairs.findIndex(([a, b]) => a === pair[0] && b === pair[1]) === at);
}

/** The fewer join the more, and both find room where these live. */
function takes(
  { seams: own = 0, room, box }: AutumnLine,
  { seams = 0, room: { status } }: AutumnLine,
  { litresPerKg }: Constants,
): boolean {
  const pitch_mm = box.model.compartments[room.position]?.frames[0]?.format.pitch_mm ?? 0;
  const bees = (count: number) => beesOfSeams(count, pitch_mm, litresPerKg);
  const together = seamsOfBees(bees(own) + bees(seams), pitch_mm, litresPerKg);
  return together <= room.frames && (seams <= own || withoutQueen(status));
}

/** What a way is in work, in minutes. */
export function workOf({ act, sugar_kg, kin, row }: YardWay, constants: Constants): number {
  const { winterLeave_min, winterReduce_min, winterMove_min, winterCombine_min, winterFeed_min } = constants;
  const { winterRow_min, winterStrangers_min } = constants;
  const own = {
    reduce: winterReduce_min,
    move: winterMove_min,
    pair: winterMove_min,
    combine: winterCombine_min,
  };
  return (
    (act === 'leave' || act === 'feed' ? winterLeave_min : own[act]) +
    (sugar_kg > 0 ? winterFeed_min : 0) +
    (row ? winterRow_min : 0) +
    (kin === 'strangers' ? winterStrangers_min : 0)
  );
}

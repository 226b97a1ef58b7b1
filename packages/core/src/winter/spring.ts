import { type Day, daysBetween, earlier, plusDays } from '../calendar/days.ts';
import { showDay } from '../calendar/showDay.ts';
import type { Constants } from '../constants/registry.ts';
import { countOf } from '../say/words.ts';
import type { BoxView, CompartmentView } from '../yard/boxView.ts';
import { type InBox, roomName } from '../yard/roomName.ts';
import type { YardState } from '../yard/state.ts';
import { withoutQueen } from '../yard/withoutQueen.ts';
import { NOT_WINTERED } from './autumn.ts';
import { beesOfSeams } from './cluster.ts';
import type { Band, WinterMonth } from './forecast.ts';
import { isAnother } from './preparation.ts';
import { SPRING_D, type SpringGrowth, springGrowth } from './springGrowth.ts';
import { type Watching, watchList } from './watch.ts';

/** What a colony asks for as it comes out of winter. */
export type SpringAct = 'unite' | 'count' | 'feed' | 'part' | 'widen' | 'room' | 'leave';

/** A colony on its way from the end of winter into the season. */
export interface SpringLine extends InBox {
  act: SpringAct;
  why: string;
  /** How its bees grow; undefined where they were not counted. */
  growth: SpringGrowth | undefined;
  /** Its bees in kg on the day that is asked for, or on the first day after winter where that lies ahead. */
  now: ({ on: Day } & Band) | undefined;
  /** The free room that it can go to. */
  into: InBox | undefined;
}

/** The first day after the months of a winter: of the one that a day is in, or of the one before it. By the calendar, which has leap years. */
export function springFrom(months: readonly WinterMonth[], on: Day): Day {
  const year = Number(on.slice(0, 4));
  if (months[0]?.name === 'April') return `${year}-10-01`;
  return `${on.slice(5, 7) >= OCTOBER ? year + 1 : year}-04-01`;
}
const OCTOBER = '10';

/** Whether brood has begun again, and the yard is led into its season. */
export function isSpring({ months, on, latitude_deg, constants }: Watching): boolean {
  const from = springFrom(months, on);
  const year = Number(from.slice(0, 4));
  const shortest = latitude_deg < 0 ? `${year}-06-21` : `${year - 1}-12-21`;
  return daysBetween(shortest, on) >= constants.broodFrom_d && daysBetween(from, on) < SPRING_D;
}

/**
 * The yard as it comes out of winter (handbook 7, after): who is united, fed, parted from its partner, given frames or
 * a larger room, by when, and which free rooms can take them: each is named once, for who is crowded first.
 */
export function springList(state: YardState, boxes: readonly BoxView[], asked: Watching): SpringLine[] {
  const from = springFrom(asked.months, asked.on);
  const lastOfWinter = { ...asked, on: earlier(asked.on, plusDays(from, -1)) };
  const watched = new Map(watchList(state, boxes, lastOfWinter).map((line) => [line.room, line]));
  const grown = boxes.flatMap((box) =>
    box.compartments.flatMap((room): Grown[] => {
      // What was made up since is of the season.
      if (!room.colony || room.colony.stockedOn >= from) return [];
      if (room.shares !== undefined || NOT_WINTERED.includes(room.role)) return [];
      const growth = springGrowth(box, room, watched.get(room), { ...asked, from });
      const now = growth?.course.find(({ on }) => on >= asked.on) ?? growth?.course.at(-1);
      return [{ box, room, growth, now }];
    }),
  );
  const housing = housed(grown, boxes, asked.constants);
  return grown
    .map((each): SpringLine => ({ ...each, ...lineOf(each, housing.get(each.room), asked) }))
    .sort((a, b) => ORDER.indexOf(a.act) - ORDER.indexOf(b.act) || crowdedOn(a).localeCompare(crowdedOn(b)));
}
const ORDER: readonly SpringAct[] = ['unite', 'feed', 'part', 'widen', 'room', 'count', 'leave'];

type Grown = Pick<SpringLine, 'box' | 'room' | 'growth' | 'now'>;
const NEVER = '9999';
/** The day that it is to be ready for: that on which it is crowded as expected, or if all goes well. */
const crowdedOn = ({ growth }: Pick<Grown, 'growth'>): Day =>
  growth?.crowded.expected ?? growth?.crowded.early ?? NEVER;

/** Where a colony goes that outgrows its room: a free one; or it stays, and its partner goes. */
interface Housing {
  into?: InBox;
  partner?: Grown;
  stays?: true;
}

/** Free rooms, and partners that are parted, given to who is crowded first. */
function housed(
  grown: readonly Grown[],
  boxes: readonly BoxView[],
  constants: Constants,
): ReadonlyMap<CompartmentView, Housing> {
  const free = boxes.flatMap((box) =>
    box.compartments.flatMap((room): InBox[] => (room.colony ? [] : [{ box, room }])),
  );
  const housing = new Map<CompartmentView, Housing>();
  const thrives = (each: Grown) => crowdedOn(each) !== NEVER && !isTooFew(each, constants);
  for (const each of grown.filter(thrives).sort((a, b) => crowdedOn(a).localeCompare(crowdedOn(b)))) {
    const partner = grown.find((other) => isBeside(other, each));
    if (partner && housing.get(partner.room)?.into) {
      housing.set(each.room, { partner, stays: true });
      continue;
    }
    if (!partner && (each.growth?.widen.length ?? 0) > 0) continue;
    const at = bestFor(each, free);
    const into = at < 0 ? undefined : free.splice(at, 1)[0];
    housing.set(each.room, { ...(into ? { into } : {}), ...(partner ? { partner } : {}) });
  }
  return housing;
}

const isBeside = (other: Grown, { box, room }: Grown): boolean =>
  other.box === box && Math.abs(other.room.position - room.position) === 1 && isAnother(other.room, room);

/** The free room with most combs of its own kind, a box that stands empty as a whole first; -1 where none has more than its own. */
function bestFor({ box, room }: Grown, free: readonly InBox[]): number {
  const formatOf = (each: InBox) => each.box.model.compartments[each.room.position]?.frames[0]?.format.id;
  const rank = (each: InBox): number =>
    formatOf(each) !== formatOf({ box, room }) || each.room.frames <= room.frames
      ? -1
      : each.room.frames + (each.box.compartments.every(({ colony }) => !colony) ? WHOLE_BOX : 0);
  return free.reduce((best, each, at) => {
    const ofBest = free[best];
    return rank(each) > (ofBest ? rank(ofBest) : -1) ? at : best;
  }, -1);
}
const WHOLE_BOX = 100;

/** Too few to grow by themselves: as few as count for lost before winter. */
function isTooFew({ box, room, now }: Grown, { springSeams, litresPerKg }: Constants): boolean {
  const pitch_mm = box.model.compartments[room.position]?.frames[0]?.format.pitch_mm ?? 0;
  return now !== undefined && now.middle < beesOfSeams(springSeams, pitch_mm, litresPerKg);
}

function lineOf(
  each: Grown,
  housing: Housing = {},
  { on, constants }: Watching,
): Pick<SpringLine, 'act' | 'why' | 'into'> {
  const { room, growth, now } = each;
  const { into, partner, stays } = housing;
  const line = { into };
  if (withoutQueen(room.status))
    return { ...line, act: 'unite', why: 'No queen: its bees join another colony, if they are worth it.' };
  if (!growth || !now)
    return {
      ...line,
      act: 'count',
      why: 'Its bees are not counted: on a mild day from above, under the lid, without digging.',
    };
  if (isTooFew(each, constants))
    return {
      ...line,
      act: 'unite',
      why:
        now.middle > 0
          ? `About ${now.middle.toFixed(1)} kg of bees${now.on > on ? ` by ${showDay(now.on, on)}` : ''}, fewer than ${countOf(constants.springSeams, 'seam')}, too few to grow by themselves: united with another, once she is seen to lay workers; or above a strong one, an excluder between.`
          : 'So few are not likely to live to spring: see on a mild day whether they do, and unite what is left.',
    };
  const { lowOn, widen, crowded } = growth;
  if (lowOn !== undefined && daysBetween(on, lowOn) <= constants.feedAhead_d)
    return {
      ...line,
      act: 'feed',
      why: `Brood takes its stores: kept in by the weather, they run low by about ${showDay(lowOn, on)}. Fed until there is forage, without a break.`,
    };
  if (crowdedOn(each) === NEVER)
    return { ...line, act: 'leave', why: 'It has room, and as far as is known stores: left to grow.' };
  const when = `Its bees fill its ${countOf(growth.frames, 'comb')} ${windowWords(crowded, on)}`;
  if (partner && stays)
    return {
      ...line,
      act: 'part',
      why: `${when}. Once ${roomName(partner)} has gone the board between them comes out, its holes are closed, and all the box is its own.`,
    };
  const goes = into
    ? `${roomName(into)} is free, with ${countOf(into.room.frames, 'comb')}`
    : 'no free room here has more combs of its kind';
  if (partner)
    return { ...line, act: 'part', why: `${when}. Parted from ${roomName(partner)} before that: ${goes}.` };
  if (widen.length > 0)
    return {
      ...line,
      act: 'widen',
      why: `${when}. The follower goes out a frame at a time as seams fill: ${widen.map((day) => showDay(day, on)).join(', ')}.`,
    };
  return { ...line, act: 'room', why: `${when}. A second storey, or a larger room: ${goes}.` };
}

function windowWords({ early, expected, late }: SpringGrowth['crowded'], on: Day): string {
  const [from, about, to] = [early, expected, late].map((day) => day && showDay(day, on));
  if (expected !== undefined && expected <= on) return 'already';
  if (!about) return `by ${from} if all goes well, else later`;
  return `about ${about}${from === to ? '' : ` (${from ?? about} to ${to ?? 'later'})`}`;
}

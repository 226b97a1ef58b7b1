import type { WinteringQuestion } from '@yellow-cell/contract';
import type { BoxView } from '../yard/boxView.ts';
import { roomName } from '../yard/roomName.ts';
import type { YardState } from '../yard/state.ts';
import type { AutumnLine } from './autumn.ts';
import type { WinterSeason } from './preparation.ts';
import { company, pushed, reinforced } from './together.ts';
import { type Room, roomOf, winterOfWay } from './wayWinter.ts';
import { doing, type YardWay } from './yardWay.ts';
import { likeBeside, waysOf, workOf } from './yardWays.ts';

export interface YardChoice {
  question: WinteringQuestion;
  /** Ways as they stand in the question, colony by colony. */
  ways: readonly (readonly YardWay[])[];
  /** Colonies of which too little is known to choose for them. */
  unknown: readonly AutumnLine[];
}

/** Company that saves least is left out beyond so many. */
const MOST_PAIRS = 5_000;

/**
 * A yard before winter as one choice (handbook 7, whole yard): each colony stays, is reduced, moves into a free room,
 * joins another, or is pushed together with a box of its kind; company over a divider, and walls that touch, count for
 * both. Bees of strangers are more work to join than those of one family. Its prices are those of a colony, a kilogram, an hour.
 */
export function yardChoice(
  state: YardState,
  lines: readonly AutumnLine[],
  boxes: readonly BoxView[],
  season: WinterSeason,
  prices: WinteringQuestion['prices'],
): YardChoice {
  const { constants } = season;
  const known = lines.filter(({ seams }) => seams !== undefined && seams > 0);
  const free = boxes.flatMap((box): Room[] =>
    box.compartments.flatMap((room) => (room.colony ? [] : (roomOf(box, room) ?? []))),
  );
  const index = new Map(known.map((line, at) => [line, at]));
  const beside = likeBeside(known, constants);
  const ways = known.map((line) => waysOf(line, { state, known, free, beside, constants }));
  const winters = ways.map((some) => some.map((way) => winterOfWay(way, season)));
  const question: WinteringQuestion = {
    prices,
    colonies: known.map((line, colony) => ({
      name: roomName(line),
      options: (ways[colony] ?? []).map((way, option) => {
        const winter = winters[colony]?.[option];
        way.sugar_kg = winter?.sugar_kg ?? 0;
        return {
          does: doing(way),
          ...(way.at ? { room: `${way.at.box.box.id} ${way.at.room.position}` } : {}),
          ...(way.into ? { joins: index.get(way.into) ?? 0 } : {}),
          loss: winter?.loss ?? 1,
          sugar_kg: way.sugar_kg,
          work_min: workOf(way, constants),
        };
      }),
    })),
    together: [],
    fixed: fixedIn(ways),
  };
  const pairs = company(ways, winters, season);
  question.together = [
    ...pairs,
    ...pushed(ways, winters, beside, season),
    ...reinforced(ways, winters, { pairs, index, season }),
  ]
    .sort((a, b) => b.gain - a.gain)
    .slice(0, MOST_PAIRS);
  return { question, ways, unknown: lines.filter((line) => !known.includes(line)) };
}

/** What is planned by hand already is not chosen anew; pushed together where it was planned so, and can be still. */
function fixedIn(ways: readonly (readonly YardWay[])[]): NonNullable<WinteringQuestion['fixed']> {
  return ways.flatMap((some, colony) => {
    const plan = some[0]?.line.plan;
    if (!plan) return [];
    const planned = some.flatMap((way, option) => (isPlanned(way, plan) ? [{ way, option }] : []));
    const chosen = planned.find(({ way }) => Boolean(way.row) === Boolean(plan.pushedTo)) ?? planned[0];
    return chosen ? [{ colony, option: chosen.option }] : [];
  });
}

function isPlanned({ act, at, into }: YardWay, plan: NonNullable<AutumnLine['plan']>): boolean {
  switch (plan.act) {
    case 'combine':
      return act === 'combine' && into?.room.colony?.id === plan.with?.colony;
    case 'move':
    case 'pair':
      return (
        act === 'move' &&
        at?.box.box.id === plan.to?.box &&
        (at?.room.bays.some((bay) => plan.to?.bays.includes(bay)) ?? false)
      );
    default:
      return act === (plan.act === 'reduce' ? 'reduce' : 'leave');
  }
}

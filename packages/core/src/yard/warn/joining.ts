import type { Colony, Queen, Status } from '@yellow-cell/contract';
import { showDay } from '../../calendar/showDay.ts';
import { maxOn } from '../../winter/ownClimate.ts';
import { recentMaximum } from '../due/weather.ts';
import type { YardState } from '../state.ts';
import { statusWords } from '../statusWords.ts';
import { queensIn } from '../tell/queensIn.ts';
import type { Objection, Situation } from './situation.ts';

/** How the queens of two colonies are related, as far as it is recorded. */
export type Kin = 'same' | 'sisters' | 'motherAndDaughter' | 'strangers' | 'unknown';

export const kinWords: Readonly<Record<Kin, string>> = {
  same: 'bees of one colony',
  sisters: 'sisters',
  motherAndDaughter: 'mother and daughter',
  strangers: 'strangers',
  unknown: 'not recorded',
};

/** Bees are of the queen they live with, or of the colony that they were taken from. */
function mothersOf({ queens, colonies }: YardState, colony: Colony): Queen[] {
  const own = queensIn(queens, colony.id);
  const giver = colony.beesOf === undefined ? undefined : colonies.get(colony.beesOf);
  return own.length > 0 || !giver ? own : queensIn(queens, giver.id);
}

export function kinOf(state: YardState, a: Colony, b: Colony): Kin {
  if (a.beesOf === b.id || b.beesOf === a.id || (a.beesOf !== undefined && a.beesOf === b.beesOf))
    return 'same';
  const pairs = mothersOf(state, a).flatMap((one) =>
    mothersOf(state, b).map((other) => [one, other] as const),
  );
  const kin = pairs.map(([one, other]) => kinOfQueens(one, other));
  return kin.find((each) => each !== 'strangers' && each !== 'unknown') ?? kin[0] ?? 'unknown';
}

const motherKey = ({ mother }: Queen): string | undefined =>
  mother && ('queen' in mother ? mother.queen : mother.name.trim().toLowerCase());

function kinOfQueens(one: Queen, other: Queen): Kin {
  if (one.id === other.id) return 'same';
  const [a, b] = [motherKey(one), motherKey(other)];
  if (a === other.id || b === one.id) return 'motherAndDaughter';
  if (one.round !== undefined && one.round === other.round) return 'sisters';
  if (a === undefined || b === undefined) return 'unknown';
  return a === b ? 'sisters' : 'strangers';
}

/** Why bees of two colonies should not be put together now: strangers fight in months of dearth and in cold (requirements 36, 37). */
export function mixingWarnings(situation: Situation, a: Colony, b: Colony): Objection[] {
  const kin = kinOf(situation.state, a, b);
  const hard = hardTime(situation);
  if (!hard || (kin !== 'strangers' && kin !== 'unknown')) return [];
  const who = kin === 'strangers' ? 'They are strangers' : 'Whether they are kin is not recorded';
  return [
    {
      sentence: `${hard} ${who}: put together now they fight. Bees of one family, paper or a screen between them for two days, or a time of forage go better.`,
    },
  ];
}

/** What makes the time a hard one: the yard's own weather, its climate, and the months of dearth after summer. */
function hardTime({ on, weather, constants, yard, climate }: Situation): string | undefined {
  const { dearthFrom_m: from, dearthTo_m: to, mixBelow_C } = constants;
  const recent = recentMaximum(weather);
  if (recent && recent.mean_C < mixBelow_C) return `Days reach ${recent.mean_C.toFixed(0)} °C in the mean.`;
  const usual_C = maxOn(climate, on, yard.latitude_deg);
  if (!recent && usual_C < mixBelow_C)
    return `Days here reach ${usual_C.toFixed(0)} °C at this time of year.`;
  const month = Number(on.slice(5, 7));
  const ours = yard.latitude_deg < 0 ? ((month + 5) % 12) + 1 : month;
  const isDearth = from <= to ? ours >= from && ours <= to : ours >= from || ours <= to;
  // Spring has come where days are warm again.
  const isOver = ours < from && usual_C >= mixBelow_C;
  return isDearth && !isOver ? `${showDay(on)} is in the months of dearth.` : undefined;
}

const WITH_QUEEN: readonly Status[] = ['caged', 'virgin', 'laying', 'proven', 'queenright'];

/** What speaks against combining: two queens, a cell that is torn down, and strangers in a hard time. */
export function combiningWarnings(situation: Situation, colony: Colony, into: Colony): Objection[] {
  const has = ({ status }: Colony) => WITH_QUEEN.includes(status);
  const queens: Objection[] =
    has(colony) && has(into)
      ? [
          {
            sentence: `Both have a queen (${statusWords[colony.status]} and ${statusWords[into.status]}): they fight, and the bees choose, not you. Take one out first.`,
          },
        ]
      : [colony, into].some(has) && [colony, into].some(({ status }) => status === 'cellGiven')
        ? [{ sentence: 'One has a queen and the other a cell, which is torn down.' }]
        : [];
  return [...queens, ...mixingWarnings(situation, colony, into)];
}

/** Whose queen is there after combining: theirs, or where they have none, the one that is brought. */
export const staysAfterCombining = (colony: Colony, into: Colony): Colony | undefined =>
  [into, colony].find(({ status }) => WITH_QUEEN.includes(status) || status === 'cellGiven');

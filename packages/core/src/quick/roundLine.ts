import type { CellsTo, Payload, Round, RoundOutcome } from '@yellow-cell/contract';
import { type Day, daysBetween } from '../calendar/days.ts';
import { showDay } from '../calendar/showDay.ts';
import { cellsLeft } from '../rounds/cellsOf.ts';
import { countOf } from '../say/words.ts';
import { cellsToWords } from '../yard/statusWords.ts';
import { cellsUntil } from '../yard/warn/timeWarnings.ts';

/** A line that tells of a round and of no box: what it makes, or what must be asked before anything is kept. */
export type RoundLine =
  | { is: 'entry'; words: string; entry: RoundEntry }
  | { is: 'question'; question: string; choices: readonly { says: string; line: string }[] };
export type RoundEntry =
  | { kind: 'grafted'; payload: Payload<'grafted'> }
  | { kind: 'cellsAccepted'; payload: Payload<'cellsAccepted'> }
  | { kind: 'cellsMoved'; payload: Payload<'cellsMoved'> };

export interface RoundsKnown {
  rounds: readonly Round[];
  outcomes: readonly RoundOutcome[];
  today: Day;
  /** A new id, where a round begins. */
  fresh: () => string;
}

const ROUND = '(?:round|r)\\s*(?<round>\\d{1,4})';
const OF_ROUND = `(?:\\s+(?:of|from|in)?\\s*${ROUND})?`;
const lines = (...patterns: readonly string[]): readonly RegExp[] =>
  patterns.map((pattern) => new RegExp(`^${pattern}$`, 'i'));
/** Whole lines, so that no word of them is left over. */
const GRAFTED = lines(
  'graft(?:ed|s)?\\s+(?<count>\\d{1,4})(?:\\s+larvae)?\\s+(?:from|of)\\s+(?<donor>.+)',
  '(?<count>\\d{1,4})\\s+graft(?:s|ed)?\\s+(?:from|of)\\s+(?<donor>.+)',
);
const ACCEPTED = lines(
  `(?:accepted|taken on)\\s+(?<count>\\d{1,4})${OF_ROUND}`,
  `(?<count>\\d{1,4})\\s+(?:cells?\\s+)?(?:accepted|taken on)${OF_ROUND}`,
  `${ROUND}\\s+(?:accepted|taken on)\\s+(?<count>\\d{1,4})`,
);
const MOVED = lines(
  `(?:(?<count>\\d{1,4})\\s+)?cells?\\s+(?:to|into|in)\\s+(?:the\\s+|a\\s+)?(?<to>finisher|incubator|bank|bin)(?:\\s+(?!(?:of|from|round|r\\s?\\d+)\\b)(?<where>\\S+))?${OF_ROUND}`,
);
const TO: Readonly<Record<string, CellsTo>> = {
  finisher: 'finisher',
  incubator: 'incubator',
  bank: 'bank',
  bin: 'discarded',
};
const MOST_GRAFTS = 1_000;
const LONGEST = { donor: 60, where: 80 };
/** A graft so near to the day that it was planned for is that one. */
const AS_PLANNED_D = 3;

/** Reads a line such as `graft 45 from Sable`, `accepted 38`, `cells to finisher F2`; undefined where it tells of no round. */
export function readRoundLine(typed: string, known: RoundsKnown): RoundLine | undefined {
  const line = typed.trim().replace(/\s+/g, ' ');
  const match = (patterns: readonly RegExp[]) =>
    patterns.map((pattern) => pattern.exec(line)?.groups).find((groups) => groups !== undefined);
  const grafted = match(GRAFTED);
  if (grafted) return graftedLine(Number(grafted.count), grafted.donor ?? '', known);
  const accepted = match(ACCEPTED);
  if (accepted) return acceptedLine(Number(accepted.count), numberOf(accepted.round), known);
  const moved = match(MOVED);
  return moved && movedLine(moved, line, known);
}
const numberOf = (text: string | undefined): number | undefined =>
  text === undefined ? undefined : Number(text);

function graftedLine(grafts: number, typed: string, { rounds, today, fresh }: RoundsKnown): RoundLine {
  const named = rounds.find(({ donor }) => donor.toLowerCase() === typed.toLowerCase());
  const donor = named?.donor ?? typed;
  if (grafts < 1 || grafts > MOST_GRAFTS) return ask(`Larvae are counted from 1 to ${MOST_GRAFTS}.`);
  if (donor.length > LONGEST.donor) return ask('That is no name of a donor: it is too long.');
  const planned = rounds.find(
    (round) =>
      round.planned && round.donor === donor && Math.abs(daysBetween(round.graftedOn, today)) <= AS_PLANNED_D,
  );
  const number = planned?.number ?? Math.max(0, ...rounds.map((round) => round.number)) + 1;
  const queen =
    planned?.donorQueen ?? rounds.findLast((round) => round.donor === donor && round.donorQueen)?.donorQueen;
  return {
    is: 'entry',
    words: [
      `Round ${number}: ${countOf(grafts, 'graft')} from “${donor}”`,
      ...(planned ? [`planned for ${showDay(planned.graftedOn, today)}`] : []),
      ...(named ? [] : ['a donor not grafted from before']),
    ].join(', '),
    entry: {
      kind: 'grafted',
      payload: {
        round: planned?.id ?? fresh(),
        number,
        donor,
        grafts,
        ...(queen ? { donorQueen: queen } : {}),
      },
    },
  };
}

function acceptedLine(count: number, number: number | undefined, known: RoundsKnown): RoundLine {
  const grafted = known.rounds.filter(({ planned }) => !planned);
  const waiting = grafted.filter((round) => !round.accepted && known.today <= cellsUntil(round));
  const round = oneOf(number, grafted, waiting);
  if (!round)
    return which(
      'Of which round are these counted?',
      number,
      waiting,
      (of) => `accepted ${count} of round ${of}`,
    );
  if (count > round.grafts)
    return ask(`Round ${round.number} has ${countOf(round.grafts, 'graft')}: ${count} cannot be taken on.`);
  return {
    is: 'entry',
    words: `Round ${round.number}: ${countOf(count, 'cell')} of ${countOf(round.grafts, 'graft')} taken on`,
    entry: { kind: 'cellsAccepted', payload: { round: round.id, accepted: count } },
  };
}

function movedLine(
  { count, to: place = '', where, round: named }: Readonly<Record<string, string | undefined>>,
  line: string,
  { rounds, outcomes, today }: RoundsKnown,
): RoundLine {
  const to = TO[place.toLowerCase()] ?? 'finisher';
  const leftOf = (round: Round) =>
    cellsLeft(round, outcomes.find((each) => each.round === round.id)?.given ?? 0);
  const grafted = rounds.filter(({ planned }) => !planned);
  const open = grafted.filter((round) => leftOf(round) > 0 && today <= cellsUntil(round));
  const round = oneOf(numberOf(named), grafted, open);
  if (!round)
    return which('Of which round are these cells?', numberOf(named), open, (of) => `${line} of round ${of}`);
  const left = leftOf(round);
  const cells = count === undefined ? left : Number(count);
  if (cells < 1 || cells > left)
    return ask(
      `Of round ${round.number} ${countOf(left, 'cell is', 'cells are')} left: ${cells} cannot be carried on.`,
    );
  if ((where ?? '').length > LONGEST.where) return ask('That place has too long a name.');
  return {
    is: 'entry',
    words: `Round ${round.number}: ${countOf(cells, 'cell')} ${cellsToWords[to]}${where ? `, ${where}` : ''}`,
    entry: { kind: 'cellsMoved', payload: { round: round.id, cells, to, ...(where ? { where } : {}) } },
  };
}

/** The round that was named, or the only one that it can be. */
const oneOf = (
  number: number | undefined,
  all: readonly Round[],
  likely: readonly Round[],
): Round | undefined =>
  number === undefined
    ? likely.length === 1
      ? likely[0]
      : undefined
    : all.findLast((round) => round.number === number);

function which(
  question: string,
  number: number | undefined,
  likely: readonly Round[],
  lineOf: (number: number) => string,
): RoundLine {
  if (number !== undefined) return ask(`There is no round ${number} that is grafted.`);
  return {
    is: 'question',
    question: likely.length === 0 ? 'No round waits for that now: name it, as “round 5”.' : question,
    choices: likely.map((round) => ({
      says: `Round ${round.number}, ${round.donor}`,
      line: lineOf(round.number),
    })),
  };
}
const ask = (question: string): RoundLine => ({ is: 'question', question, choices: [] });

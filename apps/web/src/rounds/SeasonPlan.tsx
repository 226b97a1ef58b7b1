import type { SeasonAnswer, SeasonQuestion } from '@yellow-cell/contract';
import {
  countOf,
  oddsWith,
  roundsOfPlan,
  type SeasonAsked,
  seasonAsked,
  seasonChanges,
  showDay,
} from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { ApiError, sendJson } from '../app/api.ts';
import { newId } from '../app/ids.ts';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { Against, type Sized } from './Against.tsx';
import { DonorField, donorsOf } from './DonorField.tsx';
import { HabitFields } from './HabitFields.tsx';
import { percent } from './percent.ts';
import { useHabits } from './useHabits.ts';
import type { Rearing } from './useRearing.ts';

interface Brought {
  name: string;
  queens: number;
}
/** What was worked out, and of what. */
interface Found {
  of: Rearing['season'];
  habits: unknown;
  asked: SeasonAsked;
  answer: SeasonAnswer;
  /** Undefined while it is worked out, null where it could not be. */
  brings: readonly Brought[] | null | undefined;
}

const solve = (question: SeasonQuestion): Promise<SeasonAnswer> =>
  sendJson<SeasonAnswer>('POST', '/compute/season', question);
/** How far the best that there can be lies above it at most, in per cent. */
const gapOf = ({ objective, bound }: SeasonAnswer): number =>
  bound > 0 ? (100 * (bound - objective)) / bound : 0;
const queensOf = ({ lots }: SeasonAnswer): number => lots.reduce((sum, { queens }) => sum + queens, 0);

/** What more of each thing would bring, one after the other; null where nobody answers any more: the plan stands all the same. */
async function bringsOf(question: SeasonQuestion, answer: SeasonAnswer): Promise<Brought[] | null> {
  const brings: Brought[] = [];
  try {
    for (const change of seasonChanges(question))
      brings.push({ name: change.name, queens: queensOf(await solve(change.question)) - queensOf(answer) });
  } catch {
    return null;
  }
  return brings;
}

/** The rest of the season as one plan: rounds for all that is wanted, worked out by a solver, with what limits it. */
export function SeasonPlan({ rearing }: { rearing: Rearing }) {
  const { season, views, today } = rearing;
  const [habits, setHabits] = useHabits(rearing.constants.harvestFrom_d);
  // Its queens are ready when this breeder takes them.
  const constants = useMemo(
    () => ({ ...rearing.constants, harvestFrom_d: habits.laying_d }),
    [rearing.constants, habits.laying_d],
  );
  const [last, setLast] = useState<Found>();
  const [kept, setKept] = useState<Sized>();
  const [asking, setAsking] = useState(false);
  const [failed, setFailed] = useState<string>();
  const asked = seasonAsked(season, views, constants, today, habits);
  // What was found of another season, or for other habits, is no plan of this one.
  const found = last?.of === season && last.habits === habits ? last : undefined;
  const work = async () => {
    if (!asked.question) return;
    setAsking(true);
    setFailed(undefined);
    try {
      const answer = await solve(asked.question);
      const mine = { of: season, habits, asked, answer };
      setLast({ ...mine, brings: undefined });
      setLast({ ...mine, brings: await bringsOf(asked.question, answer) });
    } catch (error) {
      setFailed(
        (error instanceof ApiError && error.judged && error.details?.problems?.[0]?.sentence) ||
          'The server does not answer; try again in a moment.',
      );
    } finally {
      setAsking(false);
    }
  };
  return (
    <section aria-label="The season as one plan" className="no-print mt-4 border-t border-hairline pt-2">
      <h2 className="eyebrow">The season as one plan</h2>
      <WhatIsWanted asked={asked} today={today} />
      <HabitFields habits={habits} set={setHabits} today={today} taken_d={rearing.constants.harvestFrom_d} />
      <button
        type="button"
        className="button min-h-11 w-full"
        disabled={asking || !asked.question}
        onClick={() => void work()}
      >
        {asking ? 'Working it out…' : 'Work out the rounds'}
      </button>
      {failed && (
        <p role="alert" className="mt-1 text-danger">
          {failed}
        </p>
      )}
      {found && (
        <Plan
          rearing={{ ...rearing, constants }}
          found={found}
          kept={kept}
          onKeep={setKept}
          onTaken={() => setLast(undefined)}
        />
      )}
    </section>
  );
}

function WhatIsWanted({ asked: { needs, earliest }, today }: { asked: SeasonAsked; today: string }) {
  const say = useSay();
  const open = needs.filter(({ queens }) => queens > 0);
  const late = open.filter(({ lot }) => lot.by < earliest);
  const total = open.reduce((sum, { queens }) => sum + queens, 0);
  if (needs.length === 0)
    return <p className="text-sm text-soft">Say first what queens are wanted, and by when.</p>;
  if (open.length === 0)
    return (
      <p className="text-sm text-soft">
        What is wanted is expected of the queens and rounds that there are; the odds above say how surely.
      </p>
    );
  return (
    <>
      <p className="text-sm text-soft">
        {countOf(total, 'queen is', 'queens are')} wanted beyond those expected of the rounds that there are.
      </p>
      {late.map(({ lot, queens }) => (
        <p key={lot.id} className="text-sm font-semibold text-danger">
          {say(
            `${queens} for ${lot.name} by ${showDay(lot.by, today)}: too late for a new round. The earliest that one is ready is ${showDay(earliest, today)}.`,
          )}
        </p>
      ))}
    </>
  );
}

interface PlanProps {
  rearing: Rearing;
  found: Found;
  kept: Sized | undefined;
  onKeep: (plan: Sized) => void;
  onTaken: () => void;
}

/** Its rounds with the odds that they make, what it falls short of, what more of each thing would bring; taken as plans. */
function Plan({ rearing, found, kept, onKeep, onTaken }: PlanProps) {
  const say = useSay();
  const log = useLog();
  const { season, constants, today } = rearing;
  const { answer, asked, brings } = found;
  const [donor, setDonor] = useState(donorsOf(season).at(-1) ?? '');
  const [taking, setTaking] = useState(false);
  const rounds = useMemo(
    () => roundsOfPlan(answer, season, donor.trim(), newId, constants),
    [answer, season, donor, constants],
  );
  const odds = useMemo(() => oddsWith(season, rounds, constants, today), [season, rounds, constants, today]);
  const named = (id: string) => asked.needs.find(({ lot }) => lot.id === id)?.lot.name ?? '';
  const short = answer.lots.filter((lot) => lot.short >= 0.5);
  const take = () => {
    // A second tap plans nothing twice.
    setTaking(true);
    void log(
      `${countOf(rounds.length, 'round')} planned`,
      rounds.map(({ id, number, graftedOn, grafts }) =>
        draft('roundPlanned', { round: id, number, donor: donor.trim(), graftOn: graftedOn, grafts }),
      ),
    ).then(onTaken);
  };
  if (rounds.length === 0)
    return (
      <p className="mt-2">
        No round pays at these prices, or none finds its rooms in time: a queen is worth less than what it
        takes, or the rooms are taken until then.
      </p>
    );
  return (
    <div className="mt-2">
      <ul aria-label="Rounds of the plan">
        {rounds.map((round, index) => (
          <li key={round.graftedOn} className="row-line">
            <strong>Graft {say(showDay(round.graftedOn, today))}</strong>
            <span className="text-right">
              {countOf(answer.rounds[index]?.cells ?? 0, 'cell')}, {countOf(round.grafts, 'graft')}
            </span>
          </li>
        ))}
      </ul>
      {gapOf(answer) >= 1 && (
        <p className="text-sm text-soft">
          The time ended the search: it lies within {Math.ceil(gapOf(answer))} % of the best that there can
          be.
        </p>
      )}
      <p className="mt-2 text-sm">
        With it:{' '}
        {odds
          .map(({ lot, chance }) => say(`${lot.name} by ${showDay(lot.by, today)}: ${percent(chance)}`))
          .join('; ')}
        .
      </p>
      {short.length > 0 && (
        <p className="text-sm font-semibold text-danger">
          Short in the mean:{' '}
          {short.map(({ name, short: queens }) => `${Math.round(queens)} for ${named(name)}`).join(', ')}.
        </p>
      )}
      <h3 className="mt-2 text-sm font-semibold">What more would bring</h3>
      {!brings && (
        <p className="text-sm text-soft">
          {brings === null
            ? 'It could not be worked out: the server does not answer. The plan stands all the same.'
            : 'Working it out, each anew…'}
        </p>
      )}
      {brings && (
        <ul aria-label="What more would bring" className="text-sm">
          {brings.map(({ name, queens }) => (
            <li key={name} className="row-line">
              <span>{name}</span>
              <strong className="text-right">
                {queens < 0.5 ? 'nothing' : `${countOf(Math.round(queens), 'queen')} more in time`}
              </strong>
            </li>
          ))}
        </ul>
      )}
      <button
        type="button"
        className="min-h-11 text-sm underline"
        disabled={kept?.answer === answer}
        onClick={() => onKeep({ answer, odds })}
      >
        {kept?.answer === answer
          ? 'Kept: now change how you work, and work it out again'
          : 'Keep it to compare'}
      </button>
      {kept && kept.answer !== answer && <Against now={{ answer, odds }} kept={kept} today={today} />}
      <DonorField season={season} value={donor} onChange={setDonor} />
      <button
        type="button"
        className="button button-main min-h-12 w-full"
        disabled={taking || donor.trim() === ''}
        onClick={take}
      >
        Plan these rounds
      </button>
    </div>
  );
}

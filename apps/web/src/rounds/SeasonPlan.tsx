import type { Round } from '@yellow-cell/contract';
import { countOf, plansToChange, type SeasonAsked, seasonAsked, showDay } from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { useSay } from '../app/units.ts';
import type { Sized } from './Against.tsx';
import { FoundSeason } from './FoundSeason.tsx';
import { HabitFields } from './HabitFields.tsx';
import { LastSeason } from './LastSeason.tsx';
import { SURELY } from './surely.ts';
import { useHabits } from './useHabits.ts';
import type { Rearing } from './useRearing.ts';
import { useSeasonPlan } from './useSeasonPlan.ts';

/** The rest of the season as one plan: rounds for all that is wanted, worked out by a solver, with what limits it. */
export function SeasonPlan({ rearing }: { rearing: Rearing }) {
  const { season, flying, today } = rearing;
  const [habits, setHabits] = useHabits(rearing.constants.harvestFrom_d);
  // Its queens are ready when this breeder takes them.
  const constants = useMemo(
    () => ({ ...rearing.constants, harvestFrom_d: habits.laying_d }),
    [rearing.constants, habits.laying_d],
  );
  const [anew, setAnew] = useState(false);
  const [kept, setKept] = useState<Sized>();
  const asked = useMemo(
    () => seasonAsked(season, { constants, today, habits, flying }, anew),
    [season, constants, today, habits, flying, anew],
  );
  const canChange = plansToChange(season, today);
  const plan = useSeasonPlan(asked, constants);
  return (
    <section aria-label="The season as one plan" className="no-print mt-4 border-t border-hairline pt-2">
      <h2 className="eyebrow">The season as one plan</h2>
      <WhatIsWanted asked={asked} today={today} surely={habits.surely} />
      <HabitFields habits={habits} set={setHabits} today={today} taken_d={rearing.constants.harvestFrom_d} />
      {canChange.length > 0 && <MayChange plans={canChange} anew={anew} onAnew={setAnew} />}
      <button
        type="button"
        className="button min-h-11 w-full max-sm:min-h-12"
        disabled={plan.asking || !asked.question}
        onClick={() => void plan.work()}
      >
        {plan.asking ? 'Working it out…' : anew ? 'Plan them anew' : 'Work out the rounds'}
      </button>
      {plan.failed && (
        <p role="alert" className="mt-1 text-danger">
          {plan.failed}
        </p>
      )}
      {plan.found && (
        <FoundSeason
          rearing={{ ...rearing, constants }}
          found={plan.found}
          work={habits.work}
          kept={kept}
          onKeep={setKept}
          onStop={plan.stop}
          onTaken={plan.forget}
        />
      )}
      <LastSeason rearing={rearing} habits={habits} />
    </section>
  );
}

interface MayChangeProps {
  plans: readonly Round[];
  anew: boolean;
  onAnew: (anew: boolean) => void;
}

function MayChange({ plans, anew, onAnew }: MayChangeProps) {
  return (
    <label className="mb-2 flex min-h-11 items-center gap-2 text-sm max-sm:min-h-12">
      <input type="checkbox" checked={anew} onChange={({ target }) => onAnew(target.checked)} />
      <span>
        {plans.length === 1
          ? `Round ${plans[0]?.number}, planned and not grafted, may change`
          : `${countOf(plans.length, 'round')}, planned and not grafted, may change`}
        , at the price of a moved cell
      </span>
    </label>
  );
}

interface WhatIsWantedProps {
  asked: SeasonAsked;
  today: string;
  surely: number;
}

function WhatIsWanted({ asked: { needs, earliest, lastGraft }, today, surely }: WhatIsWantedProps) {
  const say = useSay();
  const open = needs.filter(({ queens }) => queens > 0);
  const late = open.filter(({ lot }) => lot.by < earliest);
  const isOver = lastGraft !== undefined && lastGraft < today;
  const total = open.reduce((sum, { queens }) => sum + queens, 0);
  if (needs.length === 0)
    return <p className="text-sm text-soft">Say first what queens are wanted, and by when.</p>;
  if (open.length === 0)
    return (
      <p className="text-sm text-soft">
        What is wanted comes as surely as you want of the queens and rounds that there are.
      </p>
    );
  return (
    <>
      <p className="text-sm text-soft">
        To have every lot {SURELY.find(([share]) => share === surely)?.[1] ?? 'as surely as you want'}, new
        rounds are to give {countOf(total, 'queen')} in the mean.
      </p>
      {late.map(({ lot, queens }) => (
        <p key={lot.id} className="text-sm font-semibold text-danger">
          {say(
            `${queens} of them for ${lot.name} by ${showDay(lot.by, today)}: ${lot.by < today ? 'overdue' : 'too late for a new round'}. ${isOver ? 'No round is to be grafted any more before winter.' : `The earliest that one is ready is ${showDay(earliest, today)}.`}`,
          )}
        </p>
      ))}
      {lastGraft && (
        <p className="text-sm text-soft">
          {say(
            lastGraft < today
              ? `The last graft of the year was to be by ${showDay(lastGraft, today)}: queens of a later one hardly mate before winter.`
              : `The last graft of the year is by ${showDay(lastGraft, today)}: its queens are mated while bees for the winter are still to come.`,
          )}
        </p>
      )}
    </>
  );
}

import {
  countOf,
  isOpen,
  listOf,
  lotStates,
  type PlanChange,
  planChanges,
  roomsFor,
  roundsOfPlan,
  roundViews,
  roundWants,
  type SeasonHabits,
  showDay,
} from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { newId } from '../app/ids.ts';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { Against, hoursOf, type Sized } from './Against.tsx';
import { DonorField, donorsOf } from './DonorField.tsx';
import { moreWords } from './moreWords.ts';
import { percent } from './percent.ts';
import { gapOf } from './seasonSolve.ts';
import { useOdds } from './useOdds.ts';
import type { Rearing } from './useRearing.ts';
import type { FoundPlan } from './useSeasonPlan.ts';

interface FoundSeasonProps {
  rearing: Rearing;
  found: FoundPlan;
  /** Hours that things take. */
  work: SeasonHabits['work'];
  kept: Sized | undefined;
  onKeep: (plan: Sized) => void;
  onStop: () => void;
  onTaken: () => void;
}

/** What rounds to no queen is none. */
const A_QUEEN = 0.5;
const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** Below this a lot is at risk. */
const AT_RISK = 0.9;

/** Its rounds with the odds that they make, what it falls short of, what more of each thing would bring; taken as plans. */
export function FoundSeason({ rearing, found, work, kept, onKeep, onStop, onTaken }: FoundSeasonProps) {
  const say = useSay();
  const log = useLog();
  const { season, constants, today } = rearing;
  const { answer, asked } = found;
  const { question, plans } = asked;
  const [donor, setDonor] = useState(donorsOf(season).at(-1) ?? '');
  const [taking, setTaking] = useState(false);
  const fresh = useMemo(
    () => roundsOfPlan(answer, season, donor.trim(), newId, constants),
    [answer, season, donor, constants],
  );
  /** What is planned and may change is not there beside its own successor. */
  const stands = useMemo(
    () => ({ ...season, rounds: season.rounds.filter((round) => !plans.includes(round)) }),
    [season, plans],
  );
  const changes = useMemo(() => {
    if (!question) return [];
    const known = roundViews({ ...season, rounds: [...plans] }, constants, today);
    const cells = new Map([
      ...known.map(({ round, cells: each }) => [round.id, each] as const),
      ...fresh.map(({ id }, at) => [id, answer.rounds[at]?.cells ?? 0] as const),
    ]);
    return planChanges(plans, fresh, cells, question);
  }, [question, season, plans, constants, today, fresh, answer]);
  const next = useMemo(() => changes.flatMap((change) => change.next ?? []), [changes]);
  const beside = useMemo(() => ({ ...rearing, season: stands }), [rearing, stands]);
  const odds = useOdds(beside, next);
  const lots = useMemo(() => {
    const all = { ...stands, rounds: [...stands.rounds, ...next] };
    const views = roundViews(all, constants, today);
    return lotStates(all, views, roomsFor(all, views, constants, today), today).filter(({ lot }) =>
      isOpen(lot, today),
    );
  }, [stands, next, constants, today]);
  const named = (id: string) => asked.needs.find(({ lot }) => lot.id === id)?.lot.name ?? '';
  const short = answer.lots.filter((lot) => lot.short >= 0.5);
  const drafts = changes.flatMap((change) => draftsOf(change, donor.trim()));
  const take = () => {
    // A second tap plans nothing twice.
    setTaking(true);
    void log(plans.length > 0 ? 'Planned anew' : `${countOf(next.length, 'round')} planned`, drafts).then(
      onTaken,
    );
  };
  const sized = {
    answer,
    lots,
    odds,
    hours: hoursOf(answer, work),
    bees_kg: fresh.reduce((sum, { grafts }) => sum + roundWants(grafts, 0, constants).starter_kg, 0),
  };
  if (changes.length === 0)
    return (
      <p className="mt-2">
        No round pays at these prices, or none finds its rooms in time: a queen is worth less than what it
        takes, or the rooms are taken until then.
      </p>
    );
  return (
    <div className="mt-2">
      <ul aria-label="Rounds of the plan">
        {changes.map((change) => (
          <ChangeLine key={(change.next ?? change.known)?.id} change={change} today={today} />
        ))}
      </ul>
      {gapOf(answer) >= 1 && (
        <p className="text-sm text-soft">
          The time ended the search: it lies within {Math.ceil(gapOf(answer))} % of the best that there can
          be.
        </p>
      )}
      <ul aria-label="Odds with it" className="mt-2 text-sm">
        {lots.map(({ lot }) => {
          const of = odds.of(lot.id);
          const isAtRisk = of !== undefined && of.chance < AT_RISK;
          return (
            <li key={lot.id} className="border-b border-hairline py-1">
              <p className="flex justify-between gap-3">
                <span>{say(`${lot.name} by ${showDay(lot.by, today)}`)}</span>
                <strong className={`whitespace-nowrap ${isAtRisk ? 'text-danger' : ''}`}>
                  {isAtRisk ? 'at risk: ' : ''}
                  {percent(of?.chance)}
                </strong>
              </p>
              {isAtRisk && <p className="text-soft">{say(moreWords(of, today))}</p>}
            </li>
          );
        })}
      </ul>
      {short.length > 0 && (
        <p className="text-sm font-semibold text-danger">
          Short in the mean:{' '}
          {short.map(({ name, short: queens }) => `${Math.round(queens)} for ${named(name)}`).join(', ')}.
        </p>
      )}
      <WhatMoreBrings found={found} onStop={onStop} />
      <button
        type="button"
        className="min-h-11 text-sm underline max-sm:min-h-12"
        disabled={kept?.answer === answer || !odds.settled}
        onClick={() => onKeep(sized)}
      >
        {kept?.answer === answer
          ? 'Kept: now change how you work, and work it out again'
          : 'Keep it to compare'}
      </button>
      {kept && kept.answer !== answer && <Against now={sized} kept={kept} today={today} />}
      {changes.some(({ kind }) => kind === 'new') && (
        <DonorField season={season} value={donor} onChange={setDonor} />
      )}
      <button
        type="button"
        className="button button-main min-h-12 w-full"
        disabled={
          taking || drafts.length === 0 || (changes.some(({ kind }) => kind === 'new') && donor.trim() === '')
        }
        onClick={take}
      >
        {drafts.length === 0
          ? 'It stays as it is'
          : plans.length > 0
            ? 'Change the plan so'
            : 'Plan these rounds'}
      </button>
    </div>
  );
}

/** Nothing for what stays; a plan told again by its id is moved. */
function draftsOf({ kind, known, next }: PlanChange, donor: string) {
  if (kind === 'kept') return [];
  if (!next) return known ? [draft('roundDropped', { round: known.id })] : [];
  return [
    draft('roundPlanned', {
      round: next.id,
      number: next.number,
      donor: known?.donor ?? donor,
      ...(known?.donorQueen ? { donorQueen: known.donorQueen } : {}),
      graftOn: next.graftedOn,
      grafts: next.grafts,
    }),
  ];
}

function ChangeLine({
  change: { kind, known, next, cells, why },
  today,
}: {
  change: PlanChange;
  today: string;
}) {
  const say = useSay();
  const day = showDay((next ?? known)?.graftedOn ?? today, today);
  const size = next && `${countOf(cells, 'cell')}, ${countOf(next.grafts, 'graft')}`;
  return (
    <li className="border-b border-hairline py-1.5">
      <p className="flex justify-between gap-3">
        <strong>{kind === 'dropped' ? `Round ${known?.number} dropped` : say(`Graft ${day}`)}</strong>
        <span className="text-right">{kind === 'kept' ? `${size}, as planned` : size}</span>
      </p>
      {known && why && (
        <p className="text-sm text-soft">
          {say(
            kind === 'moved'
              ? `Round ${known.number} moves from ${showDay(known.graftedOn, today)} (${countOf(known.grafts, 'graft')}): ${why}.`
              : kind === 'resized'
                ? `Round ${known.number} had ${countOf(known.grafts, 'graft')}: ${why}.`
                : `${day}: ${why}.`,
          )}
        </p>
      )}
    </li>
  );
}

function WhatMoreBrings({ found: { brings, left }, onStop }: { found: FoundPlan; onStop: () => void }) {
  const helps = brings.filter(({ queens }) => queens >= A_QUEEN).sort((a, b) => b.queens - a.queens);
  const helpsNot = brings.filter(({ queens }) => queens < A_QUEEN);
  return (
    <>
      <h3 className="mt-2 text-sm font-semibold">What more would bring</h3>
      {left === undefined && (
        <p className="text-sm text-soft">
          It could not be worked out: the server does not answer. The plan stands all the same.
        </p>
      )}
      {left !== undefined && left > 0 && (
        <p className="flex items-center justify-between gap-3 text-sm text-soft" role="status">
          Working it out, each anew: {left} to go…
          <button type="button" className="min-h-11 underline max-sm:min-h-12" onClick={onStop}>
            Enough
          </button>
        </p>
      )}
      {helps.length > 0 && (
        <ul aria-label="What more would bring" className="text-sm">
          {helps.map(({ name, queens }) => (
            <li key={name} className="row-line">
              <span>{name}</span>
              <strong className="text-right whitespace-nowrap">
                {countOf(Math.round(queens), 'queen')} more
              </strong>
            </li>
          ))}
        </ul>
      )}
      {helpsNot.length > 0 && (
        <p className="text-sm text-soft">
          {helps.length > 0 ? 'Nothing more comes of' : 'No more queens in time come of any of these:'}{' '}
          {listOf(helpsNot.map(({ name }) => lowerFirst(name)))}.
        </p>
      )}
    </>
  );
}

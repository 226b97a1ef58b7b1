import { useQuery } from '@tanstack/react-query';
import { isAhead, lotEntries, plusDays, roundSteps, showWindow } from '@yellow-cell/core';
import { Link } from 'react-router';
import { useAsOf } from '../app/now.ts';
import { rearingQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { Incubator } from './Incubator.tsx';
import { useIncubator } from './useIncubator.ts';
import { useRearing } from './useRearing.ts';

/** What rounds ask for today, in a line each, with the way to them; the list of the day does not wait for it. */
export function RoundsToday() {
  const { today } = useAsOf();
  const { data } = useQuery(rearingQuery(today));
  return data ? <Steps /> : null;
}

/** Lots are named so many days before they are to be handed over. */
const AHEAD_D = 7;

function Steps() {
  const say = useSay();
  const rearing = useRearing();
  const { views, lots, today } = rearing;
  const toHandOver = lotEntries(lots, today).filter(({ on }) => on <= plusDays(today, AHEAD_D));
  const incubatorAt = useIncubator(rearing);
  const now = views.flatMap((view) =>
    roundSteps(view)
      .filter((step) => step.asks && step.from <= today && isAhead(step, today))
      .map((step) => ({ view, step })),
  );
  const watched = views.flatMap((view) => {
    const watch = incubatorAt(view);
    return watch && (watch.wrong.length > 0 || watch.silentSince) ? [{ view, watch }] : [];
  });
  if (now.length + watched.length + toHandOver.length === 0) return null;
  return (
    <section aria-label="Rounds today" className="border-t border-hairline py-2">
      <h2 className="eyebrow">Rounds</h2>
      {watched.map(({ view: { round }, watch }) => (
        <Link key={round.id} className="block" to={`/rounds?round=${round.id}`}>
          <Incubator watch={watch} />
        </Link>
      ))}
      <ul>
        {toHandOver.map(({ id, title, details }) => (
          <li key={id}>
            <Link className="flex min-h-12 flex-wrap items-center gap-x-2" to="/rounds">
              <strong className="underline">{title}</strong>
              <span className="text-soft">{say(details)}</span>
            </Link>
          </li>
        ))}
        {now.map(({ view: { round }, step }) => (
          <li key={`${round.id} ${step.title}`}>
            <Link className="flex min-h-12 flex-wrap items-center gap-x-2" to={`/rounds?round=${round.id}`}>
              <strong className="underline">{step.title}</strong> round {round.number}, {round.donor}
              <span className="text-soft">
                {say(step.detail)} {step.to < today ? 'Overdue since ' : ''}
                {say(showWindow(step.from, step.to, today))}.
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

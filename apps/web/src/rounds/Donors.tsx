import { countOf, donorRecords, showDay } from '@yellow-cell/core';
import { Link } from 'react-router';
import { useSay } from '../app/units.ts';
import { GraftWindow } from './GraftWindow.tsx';
import type { Rearing } from './useRearing.ts';

/** Whose larvae are grafted: what came of them, and when the next comb goes to her. */
export function Donors({ rearing: { views, constants, today } }: { rearing: Rearing }) {
  const say = useSay();
  const donors = donorRecords(views, constants, today);
  if (donors.length === 0) return null;
  return (
    <section aria-label="Donors">
      <h2 className="eyebrow">Donors</h2>
      <ul>
        {donors.map(({ donor, queen, rounds, grafts, accepted, given, queens, lastGraft, next, tooNear }) => (
          <li key={donor} className="border-b border-hairline py-2">
            <p className="flex flex-wrap justify-between gap-x-3">
              {queen ? (
                <Link className="font-bold underline" to={`/queen/${queen}`}>
                  {donor}
                </Link>
              ) : (
                <strong>{donor}</strong>
              )}
              <span className="text-soft">
                {rounds === 0 ? 'not grafted from yet' : countOf(rounds, 'round')}
                {lastGraft ? `, last ${say(showDay(lastGraft, today))}` : ''}
              </span>
            </p>
            {grafts > 0 && (
              <p className="text-sm text-soft">
                {accepted} of {countOf(grafts, 'graft')} taken on
                {given > 0 ? `; of ${countOf(given, 'cell')} given ${countOf(queens, 'queen')} so far` : ''}.
              </p>
            )}
            {next?.round.comb && <GraftWindow round={next.round} />}
            {next && !next.round.comb && (
              <p>
                {next.comb < today ? 'Her comb had to be given on' : 'Drawn comb on'}{' '}
                <strong>{say(showDay(next.comb, today))}</strong>, for round {next.round.number} on{' '}
                {say(showDay(next.graft, today))}
                {next.comb < today ? '' : ': at the hour at which you will graft'}.
              </p>
            )}
            {tooNear.map(({ graft, before }) => (
              <p key={graft} className="text-danger">
                From {say(showDay(before, today))} to {say(showDay(graft, today))} are less than{' '}
                {countOf(constants.donorComb_d, 'day')}: give her two combs, or move one graft.
              </p>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}

import { useSuspenseQuery } from '@tanstack/react-query';
import { cellsLeft, cellsUntil, countOf, plusDays, type RoundView } from '@yellow-cell/core';
import { Link } from 'react-router';
import { yardsQuery } from '../app/queries.ts';

/** Where the ripe cells of a round are given, all in one go; nothing before the day before they are ripe, or once all are given. */
export function GiveIn({ view: { round, days, outcome }, today }: { view: RoundView; today: string }) {
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const left = cellsLeft(round, outcome?.given ?? 0);
  if (
    round.planned ||
    !round.accepted ||
    left <= 0 ||
    today < plusDays(days.ripe, -1) ||
    today > cellsUntil(round)
  )
    return null;
  return (
    <nav aria-label="Give its cells" className="mt-3 rounded-lg border border-hairline p-3">
      <p className="text-sm text-soft">
        {countOf(left, 'cell')} to give, to as many rooms as are ready in one go:
      </p>
      <ul>
        {yards.map(({ id, name }) => (
          <li key={id}>
            <Link
              className="flex min-h-12 items-center font-semibold underline"
              to={`/yard/${id}/many?${new URLSearchParams({ act: 'cell', round: round.id })}`}
            >
              Give them in {name}
            </Link>
          </li>
        ))}
      </ul>
    </nav>
  );
}

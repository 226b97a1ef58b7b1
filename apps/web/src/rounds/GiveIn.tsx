import { useSuspenseQuery } from '@tanstack/react-query';
import { agesOf, cellsLeft, cellsUntil, countOf, plusDays, type RoundView } from '@yellow-cell/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { yardsQuery } from '../app/queries.ts';

/**
 * Where the ripe cells of a round are given, all in one go, and later the virgins that hatched of them; nothing before
 * the day before they are ripe, or once all are given.
 */
export function GiveIn({ view, today }: { view: RoundView; today: string }) {
  const { round, days, outcome, virgins } = view;
  const left = cellsLeft(round, outcome?.given ?? 0);
  const areRipe =
    !virgins &&
    !round.planned &&
    round.accepted !== undefined &&
    left > 0 &&
    today >= plusDays(days.ripe, -1) &&
    today <= cellsUntil(round);
  return (
    <>
      {areRipe && (
        <Ways name="Give its cells" act="cell" round={round.id}>
          {countOf(left, 'cell')} to give, to as many rooms as are ready in one go:
        </Ways>
      )}
      {virgins && (
        <Ways name="Give its virgins" act="virgin" round={round.id}>
          {countOf(virgins.count, 'virgin')} in the incubator, {agesOf(virgins)}: given in a cage with candy
          to rooms a day without a queen, or thrown away under “Cells carried on”.
        </Ways>
      )}
    </>
  );
}

function Ways({
  name,
  act,
  round,
  children,
}: {
  name: string;
  act: 'cell' | 'virgin';
  round: string;
  children: ReactNode;
}) {
  const { data: yards } = useSuspenseQuery(yardsQuery);
  return (
    <nav aria-label={name} className="mt-3 rounded-lg border border-hairline p-3">
      <p className="text-sm text-soft">{children}</p>
      <ul>
        {yards.map(({ id, name: yard }) => (
          <li key={id}>
            <Link
              className="flex min-h-12 items-center font-semibold underline"
              to={`/yard/${id}/many?${new URLSearchParams({ act, round })}`}
            >
              Give them in {yard}
            </Link>
          </li>
        ))}
      </ul>
    </nav>
  );
}

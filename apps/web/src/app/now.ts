import { useSuspenseQuery } from '@tanstack/react-query';
import { type Day, dayOf, plusDays } from '@yellow-cell/core';
import { useParams, useSearchParams } from 'react-router';
import { paramsNow } from './address.ts';
import { sessionQuery, yardsQuery } from './queries.ts';

/** The zone in which today is told, and entries are made: that of the yard on screen, else the first yard's, or this device's before there is one. */
export function useZone(): string {
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const [params] = useSearchParams();
  // Winter names its yard behind its address.
  const { yard: shown = params.get('yard') ?? undefined } = useParams();
  const yard = yards.find(({ id }) => id === shown) ?? yards[0];
  return yard?.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
}

export interface AsOf {
  today: Day;
  /** The instant, to the minute. */
  now: string;
  /** The day that the screen shows. */
  on: Day;
  isToday: boolean;
  isPast: boolean;
  setOn(day: Day): void;
  /** So many days on from the day that the address bears, also while that is still on its way. */
  moveOn(days: number): void;
}

/** The date handle: what stands in the address, or today. */
export function useAsOf(): AsOf {
  const { data: session, dataUpdatedAt } = useSuspenseQuery(sessionQuery);
  const zone = useZone();
  const [params, setParams] = useSearchParams();
  const now = `${nowFrom(session.now, dataUpdatedAt).slice(0, 16)}:00.000Z`;
  const today = dayOf(now, zone);
  const on = dayIn(params) ?? today;
  const go = (to: (from: Day) => Day) =>
    setParams(
      (before) => {
        const next = paramsNow(before);
        const day = to(dayIn(next) ?? today);
        if (day === today) next.delete('on');
        else next.set('on', day);
        return next;
      },
      { replace: true },
    );
  return {
    today,
    now,
    on,
    isToday: on === today,
    isPast: on < today,
    setOn: (day) => go(() => day),
    moveOn: (days) => go((from) => plusDays(from, days)),
  };
}

/** The day that an address bears, where it is one. */
function dayIn(params: URLSearchParams): Day | undefined {
  const asked = params.get('on');
  return asked && /^\d{4}-\d{2}-\d{2}$/.test(asked) && !Number.isNaN(Date.parse(asked)) ? asked : undefined;
}

/** The server's now, run on from when it was told. */
export function nowFrom(toldNow: string, toldAt: number): string {
  return new Date(Date.parse(toldNow) + Date.now() - toldAt).toISOString();
}

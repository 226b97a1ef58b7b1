import { useSuspenseQuery } from '@tanstack/react-query';
import type { Yard } from '@yellow-cell/contract';
import { type Day, dayOf, plusDays } from '@yellow-cell/core';
import {
  createContext,
  createElement,
  type ReactNode,
  startTransition,
  useContext,
  useEffect,
  useMemo,
  useState,
} from 'react';
import { useParams, useSearchParams } from 'react-router';
import { useStable } from '../parts/useStable.ts';
import { paramsNow } from './address.ts';
import { sessionQuery, yardsQuery } from './queries.ts';

export interface AsOf {
  today: Day;
  /** The instant, to the minute. */
  now: string;
  /** The yard on screen, else the first. */
  place: Yard | undefined;
  /** The zone in which today is told, and entries are made: that of the place, or this device's before there is one. */
  zone: string;
  /** The day that the screen shows. */
  on: Day;
  isToday: boolean;
  isPast: boolean;
  setOn(day: Day): void;
  /** So many days on from the day that the address bears, also while that is still on its way. */
  moveOn(days: number): void;
}

const Shown = createContext<AsOf | undefined>(undefined);

/** The date handle: what stands in the address, or today. */
export function useAsOf(): AsOf {
  const shown = useContext(Shown);
  if (!shown) throw new Error('No day is shown here.');
  return shown;
}

/** Reckoned once for all that asks for it: nothing is drawn anew for the day while that stays, whatever is chosen. */
export const ShownDay = ({ children }: { children: ReactNode }) =>
  createElement(Shown, { value: useShown() }, children);

function useShown(): AsOf {
  const { data: session, dataUpdatedAt } = useSuspenseQuery(sessionQuery);
  const place = useYardShown();
  const zone = place?.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  const [params, setParams] = useSearchParams();
  useMinutes();
  const now = `${nowFrom(session.now, dataUpdatedAt).slice(0, 16)}:00.000Z`;
  const today = dayOf(now, zone);
  const on = dayIn(params) ?? today;
  // A day that is dragged or on its way gives way to what is done meanwhile; the day before stays until all of it is there.
  const go = (to: (from: Day) => Day) =>
    startTransition(() =>
      setParams(
        (before) => {
          const next = paramsNow(before);
          const day = to(dayIn(next) ?? today);
          if (day === today) next.delete('on');
          else next.set('on', day);
          return next;
        },
        { replace: true },
      ),
    );
  const setOn = useStable((day: Day) => go(() => day));
  const moveOn = useStable((days: number) => go((from) => plusDays(from, days)));
  return useMemo(
    () => ({ today, now, place, zone, on, isToday: on === today, isPast: on < today, setOn, moveOn }),
    [today, now, place, zone, on, setOn, moveOn],
  );
}

const MINUTE_MS = 60_000;
/** What is due by the hour becomes so while nobody does anything. */
function useMinutes(): void {
  const [, setMinutes] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setMinutes((minutes) => minutes + 1), MINUTE_MS);
    return () => clearInterval(timer);
  }, []);
}

function useYardShown(): Yard | undefined {
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const [params] = useSearchParams();
  // Winter names its yard behind its address.
  const { yard: shown = params.get('yard') ?? undefined } = useParams();
  return yards.find(({ id }) => id === shown) ?? yards[0];
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

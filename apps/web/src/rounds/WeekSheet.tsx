import { useSuspenseQuery } from '@tanstack/react-query';
import type { Yard } from '@yellow-cell/contract';
import {
  type CalendarEntry,
  calendarEntries,
  countOf,
  lotEntries,
  plusDays,
  roundEntries,
  showDay,
  showTime,
} from '@yellow-cell/core';
import { Link, useSearchParams } from 'react-router';
import { useAsOf } from '../app/now.ts';
import { yardsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { weekday } from '../app/weekday.ts';
import { useYard } from '../yard/useYard.ts';
import { useRearing } from './useRearing.ts';

const DAYS = 7;

/** What the next seven days want, of the rounds and of a yard, day by day: to print and take along. */
export function WeekSheet() {
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const [params] = useSearchParams();
  const yard = yards.find(({ id }) => id === params.get('yard')) ?? yards[0];
  return yard ? (
    <Sheet key={yard.id} yard={yard} yards={yards} />
  ) : (
    <p className="p-6">There is no yard yet.</p>
  );
}

function Sheet({ yard, yards }: { yard: Yard; yards: readonly Yard[] }) {
  const say = useSay();
  const view = useYard(yard);
  const { views, lots, today } = useRearing();
  const { isToday } = useAsOf();
  const last = plusDays(today, DAYS - 1);
  const entries = [
    ...lotEntries(lots, today),
    ...roundEntries(views, today),
    ...calendarEntries(yard, view.boxes, today),
  ].filter(({ on }) => on <= last);
  const days = Array.from({ length: DAYS }, (_, day) => plusDays(today, day));
  return (
    <main className="h-full overflow-y-auto bg-sheet px-5 py-4 print:h-auto print:overflow-visible">
      <div className="mx-auto max-w-4xl">
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1 className="text-xl">The week in {yard.name}</h1>
          <Link className="no-print inline-flex min-h-11 items-center underline" to="/rounds">
            Back to Rounds
          </Link>
          {yards
            .filter(({ id }) => id !== yard.id)
            .map(({ id, name }) => (
              <Link
                key={id}
                className="no-print inline-flex min-h-11 items-center underline"
                to={`/rounds/week?yard=${id}`}
                replace
              >
                {name}
              </Link>
            ))}
          <button type="button" className="button no-print ml-auto" onClick={() => window.print()}>
            Print
          </button>
        </div>
        <p className="text-soft">
          {say(showDay(today))} to {say(showDay(last))}
          {isToday ? `: ${countOf(entries.length, 'thing')} to do, what is overdue on the first day` : ''}.
          Rounds and lots are of all yards.
        </p>
        {!isToday && <p>A week begins today. Press T for today.</p>}
        {view.more && (
          <button type="button" className="button no-print" onClick={view.more}>
            More boxes
          </button>
        )}
        {(isToday ? days : []).map((day) => (
          <Day
            key={day}
            day={day}
            today={today}
            zone={yard.zone}
            entries={entries.filter(({ on }) => on === day)}
          />
        ))}
      </div>
    </main>
  );
}

interface DayProps {
  day: string;
  today: string;
  zone: string;
  entries: readonly CalendarEntry[];
}

function Day({ day, today, zone, entries }: DayProps) {
  const say = useSay();
  return (
    <section className="mt-3 break-inside-avoid" aria-label={showDay(day, today)}>
      <h2 className="border-b border-ink text-base">
        {weekday(day)} {say(showDay(day, today))}
      </h2>
      {entries.length === 0 && <p className="text-soft">Nothing is expected.</p>}
      <ul>
        {entries.map(({ id, title, details, by }) => (
          <li key={id} className="flex gap-3 border-b border-hairline py-1.5 break-inside-avoid">
            <span aria-hidden className="mt-1 size-4 shrink-0 rounded-sm border-2 border-ink" />
            <div className="min-w-0">
              <strong>{title}</strong>
              {by && <span> by {showTime(by, zone)}</span>}
              {details.split('\n').map((line) => (
                <p key={line} className="text-sm text-soft">
                  {say(line)}
                </p>
              ))}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

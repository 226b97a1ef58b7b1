import { showDay } from '@yellow-cell/core';
import { memo } from 'react';
import { Link, NavLink, useLocation } from 'react-router';
import { useAsOf } from './now.ts';
import { places } from './places.ts';
import { useSay } from './units.ts';
import { weekday } from './weekday.ts';

/** On a phone the places stand at the lower edge, within reach of a thumb, and the work of the day before them. */
export function ThumbBar({ kept }: { kept: string }) {
  const { pathname, search } = useLocation();
  const today = new URLSearchParams(search).get('view') === 'today';
  const shown = (is: boolean): string =>
    `flex min-h-14 flex-1 items-center justify-center border-b-4 text-sm font-semibold ${is ? 'border-yellow bg-sheet text-ink' : 'border-transparent text-soft'}`;
  const yard = /^\/yard(\/[^/]+)?$/.exec(pathname)?.[0] ?? '/yard';
  return (
    <nav aria-label="Places" className="no-print flex border-t border-hairline sm:hidden">
      <Link to={`${yard}?view=today`} aria-current={today ? 'page' : undefined} className={shown(today)}>
        Today
      </Link>
      {places.map(({ path, name }) => (
        <NavLink key={path} to={path + kept} className={({ isActive }) => shown(isActive && !today)}>
          {name}
        </NavLink>
      ))}
    </nav>
  );
}

/** The day shown, in place of the year, which it opens. */
export const DatePill = memo(function DatePill({ open, onOpen }: { open: boolean; onOpen: () => void }) {
  const say = useSay();
  const { on, isToday } = useAsOf();
  return (
    <button
      type="button"
      aria-expanded={open}
      aria-label={`${weekday(on)} ${say(showDay(on, on))}: the year`}
      className={`min-h-12 shrink-0 rounded-full px-3.5 text-sm font-bold sm:hidden ${isToday ? 'bg-ink text-paper' : 'bg-yellow text-on-yellow'}`}
      onClick={onOpen}
    >
      {weekday(on)} {say(showDay(on, on))}
    </button>
  );
});

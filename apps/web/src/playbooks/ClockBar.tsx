import { AlarmClock } from 'lucide-react';
import { memo, useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { usePressingTitle } from '../app/title.ts';
import { type Clock, useClocks } from './clocks.ts';
import { lateWords, spanWords } from './clockWords.ts';
import { useNow } from './useNow.ts';

/** Clocks that run out, or open, within so long are shown on every screen. */
const NEAR_MS = 12 * 3_600_000;
/** And one that was missed stays so long. */
const MISSED_MS = 24 * 3_600_000;
/** Before a window ends, so long before it warns. */
const WARN_MS = 10 * 60_000;
const MOST = 3;

/** What runs by the hour, wherever one is: in the page, in its title, and where allowed as a notification. */
export const ClockBar = memo(function ClockBar() {
  const now = useNow();
  const clocks = Object.values(useClocks())
    .flat()
    .filter((clock) => isNear(clock, now))
    .sort((a, b) => (nextOf(a, now) < nextOf(b, now) ? -1 : 1));
  // The nearest clock stands before what the page is called.
  usePressingTitle(clocks[0] && `${left(clocks[0], now)} · ${clocks[0].title}`);
  useNotices(clocks, now);
  if (clocks.length === 0) return null;
  return (
    <ul
      aria-label="Clocks"
      className="no-print flex flex-wrap gap-x-6 border-y border-hairline bg-glow px-5 py-1"
    >
      {clocks.slice(0, MOST).map((clock) => (
        <li key={clock.key}>
          <Link to={clock.path} className="flex min-h-11 items-center gap-2 hover:underline">
            <AlarmClock size={17} aria-hidden />
            <span>
              <strong>{clock.title}</strong>{' '}
              <span className={isLate(clock, now) ? 'font-semibold text-danger' : ''}>
                {left(clock, now)}
              </span>
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
});

const isLate = ({ to }: Clock, now: string): boolean => to !== undefined && now > to;
/** The next instant at which something changes, or the last that did. */
const nextOf = ({ from, to }: Clock, now: string): string =>
  from !== undefined && now < from ? from : (to ?? from ?? now);

function isNear(clock: Clock, now: string): boolean {
  const away = Date.parse(nextOf(clock, now)) - Date.parse(now);
  // What is open without an end waits in the list of work.
  if (clock.to === undefined && away < 0) return false;
  return away < NEAR_MS && away > -MISSED_MS;
}

function left(clock: Clock, now: string): string {
  const { from, to } = clock;
  if (from !== undefined && now < from) return `in ${spanWords(now, from)}`;
  if (to === undefined) return 'now';
  return now > to ? lateWords(to, now) : `for ${spanWords(now, to)} more`;
}

/** Told once each: when a window opens, and before it ends. */
function useNotices(clocks: readonly Clock[], now: string): void {
  const told = useRef(new Set<string>());
  useEffect(() => {
    if (!('Notification' in window) || Notification.permission !== 'granted') return;
    const tell = (key: string, title: string, body: string): void => {
      if (told.current.has(key)) return;
      told.current.add(key);
      try {
        new Notification(title, { body, tag: key });
      } catch {
        // Some phones allow them from a service worker alone; the page and its title tell all the same.
      }
    };
    for (const clock of clocks) {
      const { key, title, from, to } = clock;
      if (from !== undefined && now >= from && !isLate(clock, now))
        tell(`${key} opens`, title, 'It is time.');
      if (to !== undefined && Date.parse(to) - Date.parse(now) < WARN_MS)
        tell(`${key} ends`, title, left(clock, now));
    }
  }, [clocks, now]);
}

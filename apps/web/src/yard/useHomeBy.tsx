import { type Day, dayOf, instantOf, showTime } from '@yellow-cell/core';
import { type ReactNode, useState } from 'react';
import { useSay } from '../app/units.ts';
import { TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';

/** By early evening foragers rejoin (handbook 8, display frame); who leaves later is home two hours on. */
const HOME_BY_H = 17;
const LATER_H = 2;
const LAST_H = 23;

const hourOf = (now: string, zone: string): number => Number(showTime(now, zone).slice(0, 2));

/** The hour by which those who leave on a day are home, asked for; `problem` where it cannot be. */
export function useHomeBy({ on, now, zone }: { on: Day; now: string; zone: string }, hint?: string) {
  const say = useSay();
  const isToday = on === dayOf(now, zone);
  const [hour, setHour] = useState(() =>
    String(isToday ? Math.min(LAST_H, Math.max(HOME_BY_H, hourOf(now, zone) + LATER_H)) : HOME_BY_H),
  );
  const home = numberIn(hour);
  const isHour = home >= 0 && home < 24;
  const backBy = isHour ? instantOf(on, Math.floor(home), Math.round((home % 1) * 60), zone) : now;
  const problem = !isHour
    ? 'An hour from 0 to 23.'
    : isToday && backBy <= now
      ? `That hour is over: it is ${showTime(now, zone)}.`
      : undefined;
  const field: ReactNode = (
    <TextField
      label="Home by (hour)"
      inputMode="decimal"
      value={hour}
      problem={problem}
      hint={hint && say(hint)}
      onChange={({ target }) => setHour(target.value)}
    />
  );
  return { hour, backBy, problem, field };
}

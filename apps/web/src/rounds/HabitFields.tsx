import { plusDays, type SeasonHabits, showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { useSay } from '../app/units.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Amount, isBetween, isWhole } from './Amount.tsx';
import { HelperFields } from './HelperFields.tsx';
import { SURELY } from './surely.ts';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
const MOST_CELLS = 500;
const BANK_D = 21;
/** Of laying, until brood is sealed (handbook 5). */
const FIRST_SEALED_D = 9;

interface HabitFieldsProps {
  habits: SeasonHabits;
  set: (change: Partial<SeasonHabits>) => void;
  today: string;
  /** After so many days of laying queens are ready by the figures. */
  taken_d: number;
}

/** On which days is grafted, which are kept free, what colonies and people there are for it, and what things are worth. */
export function HabitFields({ habits, set, today, taken_d }: HabitFieldsProps) {
  const say = useSay();
  const { weekdays, closed, most, bank, colonies, prices } = habits;
  const [free, setFree] = useState('');
  return (
    <details className="mt-1">
      <summary className="inline-flex min-h-11 cursor-pointer items-center text-sm underline">
        How you work, and what it is worth
      </summary>
      <fieldset className="mb-2">
        <legend className="text-sm text-soft">Grafts on</legend>
        <div className="flex flex-wrap gap-1">
          {WEEKDAYS.map((name, index) => {
            const day = index + 1;
            const on = weekdays.includes(day);
            return (
              <button
                key={name}
                type="button"
                aria-pressed={on}
                className={`min-h-11 min-w-11 rounded max-sm:min-h-12 border px-1 ${on ? 'border-ink bg-glow font-semibold' : 'border-hairline text-soft'}`}
                onClick={() => {
                  const next = on ? weekdays.filter((each) => each !== day) : [...weekdays, day].sort();
                  // A season without a day for grafting is none.
                  if (next.length > 0) set({ weekdays: next });
                }}
              >
                {name}
              </button>
            );
          })}
        </div>
      </fieldset>
      <div className="flex items-end gap-2">
        <TextField
          label="A day that you keep free"
          type="date"
          value={free}
          min={plusDays(today, 1)}
          onChange={({ target }) => setFree(target.value)}
        />
        <button
          type="button"
          className="button mb-2 min-h-11 max-sm:min-h-12"
          disabled={free <= today || closed.includes(free)}
          onClick={() => {
            set({ closed: [...closed, free].sort() });
            setFree('');
          }}
        >
          Keep it free
        </button>
      </div>
      {closed.some((day) => day > today) && (
        <ul aria-label="Days kept free" className="flex flex-wrap gap-2">
          {closed
            .filter((day) => day > today)
            .map((day) => (
              <li key={day}>
                <button
                  type="button"
                  className="min-h-11 rounded-full border max-sm:min-h-12 border-hairline px-3"
                  aria-label={`No longer keep ${showDay(day, today)} free`}
                  onClick={() => set({ closed: closed.filter((each) => each !== day) })}
                >
                  {say(showDay(day, today))} ×
                </button>
              </li>
            ))}
        </ul>
      )}
      <SelectField
        label="Queens are taken"
        value={String(habits.laying_d)}
        hint={
          habits.laying_d === taken_d
            ? undefined
            : `A trial: elsewhere they are ready after ${taken_d} days, as your figures say.`
        }
        onChange={({ target }) => set({ laying_d: Number(target.value) })}
      >
        {[...new Set([FIRST_SEALED_D, 14, 21, taken_d])].map((days) => (
          <option key={days} value={days}>
            {days === FIRST_SEALED_D ? 'at their first sealed brood' : `after ${days} days of laying`}
          </option>
        ))}
      </SelectField>
      <SelectField
        label="How surely each lot is to be ready"
        value={String(habits.surely)}
        onChange={({ target }) => set({ surely: Number(target.value) })}
      >
        {SURELY.map(([share, words]) => (
          <option key={share} value={share}>
            {words}
          </option>
        ))}
      </SelectField>
      <div className="mt-1 grid grid-cols-2 gap-x-2">
        <Amount
          label="Cells of a round, most"
          value={most}
          isOne={isWhole(1, MOST_CELLS)}
          hint={`A whole number from 1 to ${MOST_CELLS}.`}
          onChange={(cells) => set({ most: cells })}
        />
        <Amount
          label="Places in a bank"
          value={bank.places}
          isOne={isWhole(0, MOST_CELLS)}
          hint={`A whole number from 0 to ${MOST_CELLS}.`}
          onChange={(places) => set({ bank: { days: places > 0 ? BANK_D : 0, places } })}
        />
        {COLONIES.map(([name, label, least, most]) => (
          <Amount
            key={name}
            label={label}
            value={colonies[name]}
            isOne={isWhole(least, most)}
            hint={`A whole number from ${least} to ${most}.`}
            onChange={(count) => set({ colonies: { ...colonies, [name]: count } })}
          />
        ))}
        {PRICES.map(([name, label]) => (
          <Amount
            key={name}
            label={label}
            value={prices[name]}
            isOne={isBetween(0, MOST_PRICE)}
            hint="A price from 0 to 10,000."
            onChange={(price) => set({ prices: { ...prices, [name]: price } })}
          />
        ))}
      </div>
      <HelperFields habits={habits} set={set} today={today} />
    </details>
  );
}

const COLONIES: readonly (readonly [keyof SeasonHabits['colonies'], string, number, number])[] = [
  ['donors', 'Donors', 1, 100],
  ['starters', 'Starters', 1, 100],
  ['finishers', 'Finishers', 1, 100],
  ['incubator', 'Places in an incubator', 0, MOST_CELLS],
];
const PRICES: readonly (readonly [keyof SeasonHabits['prices'], string])[] = [
  ['queen', 'A queen in time'],
  ['round', 'A round'],
  ['cell', 'A cell'],
  ['bankDay', 'A day in the bank'],
  ['change', 'A cell moved from a known day'],
];
const MOST_PRICE = 10_000;

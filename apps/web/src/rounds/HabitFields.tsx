import { plusDays, type SeasonHabits, showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { useSay } from '../app/units.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';

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

/** On which days is grafted, which are kept free, what a finisher and a bank hold, and what things are worth. */
export function HabitFields({ habits, set, today, taken_d }: HabitFieldsProps) {
  const say = useSay();
  const { weekdays, closed, most, bank, prices } = habits;
  const [free, setFree] = useState('');
  const count = (label: string, value: number, least: number, keep: (count: number) => void) => (
    <TextField
      label={label}
      inputMode="numeric"
      defaultValue={String(value)}
      onChange={({ target }) => {
        const number = numberIn(target.value);
        if (Number.isInteger(number) && number >= least && number <= MOST_CELLS) keep(number);
      }}
    />
  );
  const price = (label: string, name: keyof SeasonHabits['prices']) => (
    <TextField
      label={label}
      inputMode="decimal"
      defaultValue={String(prices[name])}
      onChange={({ target }) => {
        const number = numberIn(target.value);
        if (number >= 0) set({ prices: { ...prices, [name]: number } });
      }}
    />
  );
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
                className={`min-h-11 min-w-11 rounded border px-1 ${on ? 'border-ink bg-glow font-semibold' : 'border-hairline text-soft'}`}
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
          className="button min-h-11"
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
                  className="min-h-11 rounded-full border border-hairline px-3"
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
      <div className="mt-1 grid grid-cols-2 gap-x-2">
        {count('Cells of a round, most', most, 1, (cells) => set({ most: cells }))}
        {count('Places in a bank', bank.places, 0, (places) =>
          set({ bank: { days: places > 0 ? BANK_D : 0, places } }),
        )}
        {price('A queen in time', 'queen')}
        {price('A round', 'round')}
        {price('A cell', 'cell')}
        {price('A day in the bank', 'bankDay')}
      </div>
    </details>
  );
}

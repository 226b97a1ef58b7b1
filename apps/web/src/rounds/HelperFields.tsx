import { type Helper, plusDays, type SeasonHabits, showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { useSay } from '../app/units.ts';
import { TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import { Amount, isBetween } from './Amount.tsx';

const MOST_HOURS = 168;
const WORK: readonly (readonly [keyof SeasonHabits['work'], string])[] = [
  ['round_h', 'A graft, hours'],
  ['cell_h', 'A room stocked and given, hours'],
  ['queen_h', 'A queen taken, hours'],
];

interface HelperFieldsProps {
  habits: Pick<SeasonHabits, 'helpers' | 'work'>;
  set: (change: Partial<SeasonHabits>) => void;
  today: string;
}

/** Who works with how many hours a week, when they are away, and what a graft, a room and a queen take. */
export function HelperFields({ habits: { helpers, work }, set, today }: HelperFieldsProps) {
  const [name, setName] = useState('');
  const [hours, setHours] = useState('');
  const isHours = isBetween(0.5, MOST_HOURS)(numberIn(hours));
  const isNew = name.trim() !== '' && !helpers.some((each) => each.name === name.trim());
  const change = (helper: Helper, more: Partial<Helper>) =>
    set({ helpers: helpers.map((each) => (each === helper ? { ...each, ...more } : each)) });
  return (
    <fieldset className="mt-1 mb-2">
      <legend className="text-sm text-soft">Who works</legend>
      {helpers.length === 0 && (
        <p className="text-sm text-soft">
          Nobody is named: hours limit nothing. Name yourself too, where they do.
        </p>
      )}
      <ul aria-label="Who works">
        {helpers.map((helper) => (
          <HelperLine
            key={helper.name}
            helper={helper}
            today={today}
            onAway={(away) => change(helper, { away })}
            onGone={() => set({ helpers: helpers.filter((each) => each !== helper) })}
          />
        ))}
      </ul>
      <div className="grid grid-cols-[1fr_6rem] gap-x-2">
        <TextField
          label="Name"
          maxLength={60}
          value={name}
          onChange={({ target }) => setName(target.value)}
        />
        <TextField
          label="Hours a week"
          inputMode="decimal"
          value={hours}
          problem={hours === '' || isHours ? undefined : `From 0.5 to ${MOST_HOURS}.`}
          onChange={({ target }) => setHours(target.value)}
        />
      </div>
      <button
        type="button"
        className="button min-h-11 max-sm:min-h-12"
        disabled={!isNew || !isHours}
        onClick={() => {
          set({ helpers: [...helpers, { name: name.trim(), hours: numberIn(hours), away: [] }] });
          setName('');
          setHours('');
        }}
      >
        Works with
      </button>
      {helpers.length > 0 && (
        <div className="mt-2 grid grid-cols-1 gap-x-2">
          {WORK.map(([key, label]) => (
            <Amount
              key={key}
              label={label}
              value={work[key]}
              isOne={isBetween(0, 24)}
              hint="Hours from 0 to 24."
              onChange={(value) => set({ work: { ...work, [key]: value } })}
            />
          ))}
        </div>
      )}
    </fieldset>
  );
}

interface HelperLineProps {
  helper: Helper;
  today: string;
  onAway: (away: Helper['away']) => void;
  onGone: () => void;
}

function HelperLine({ helper: { name, hours, away }, today, onAway, onGone }: HelperLineProps) {
  const say = useSay();
  const [from, setFrom] = useState(plusDays(today, 1));
  const [to, setTo] = useState(plusDays(today, WEEK_D));
  const [telling, setTelling] = useState(false);
  return (
    <li className="border-b border-hairline py-1">
      <p className="flex flex-wrap items-center justify-between gap-x-3">
        <span>
          <strong>{name}</strong>, {hours} h a week
        </span>
        <span className="flex gap-x-4 text-sm">
          <button
            type="button"
            aria-expanded={telling}
            className="min-h-11 underline max-sm:min-h-12"
            onClick={() => setTelling(!telling)}
          >
            Away…
          </button>
          <button type="button" className="min-h-11 underline max-sm:min-h-12" onClick={onGone}>
            No more
          </button>
        </span>
      </p>
      {away.map((each) => (
        <button
          key={`${each.from} ${each.to}`}
          type="button"
          className="mr-2 mb-1 min-h-11 rounded-full border border-hairline px-3 text-sm max-sm:min-h-12"
          aria-label={`${name} is not away from ${showDay(each.from, today)}`}
          onClick={() => onAway(away.filter((other) => other !== each))}
        >
          {say(`away ${showDay(each.from, today)} to ${showDay(each.to, today)}`)} ×
        </button>
      ))}
      {telling && (
        <div className="grid grid-cols-2 gap-x-2">
          <TextField
            label="Away from"
            type="date"
            value={from}
            onChange={({ target }) => setFrom(target.value)}
          />
          <TextField
            label="to"
            type="date"
            value={to}
            problem={to < from ? 'Nobody is back before they left.' : undefined}
            onChange={({ target }) => setTo(target.value)}
          />
          <button
            type="button"
            className="button col-span-2 min-h-11 max-sm:min-h-12"
            disabled={from === '' || to === '' || to < from}
            onClick={() => {
              onAway([...away, { from, to }].sort((a, b) => (a.from < b.from ? -1 : 1)));
              setTelling(false);
            }}
          >
            Away then
          </button>
        </div>
      )}
    </li>
  );
}
const WEEK_D = 7;

import { countOf, plusDays, showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { newId } from '../app/ids.ts';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import { Form } from '../yard/Form.tsx';
import { moreWords } from './moreWords.ts';
import { percent } from './percent.ts';
import type { Odds } from './useOdds.ts';
import type { Rearing } from './useRearing.ts';

/** Queens wanted by a day, with the odds of each lot. */
export function LotList({ rearing, odds }: { rearing: Rearing; odds: Odds }) {
  const say = useSay();
  const log = useLog();
  const [adding, setAdding] = useState(false);
  const { lots, today } = rearing;
  return (
    <section aria-label="Queens wanted">
      <h2 className="eyebrow">Queens wanted</h2>
      {lots.length === 0 && !adding && (
        <p className="text-soft">
          Nothing is wanted from today on. Say how many and by when, for an order or your own boxes.
        </p>
      )}
      <ul>
        {lots.map(({ lot, have, open, wanted }) => (
          <li key={lot.id} className="border-b border-hairline py-2">
            <p className="flex justify-between gap-3">
              <span>
                <strong>{countOf(lot.queens, 'queen')}</strong> by {say(showDay(lot.by, today))}
                <span className="block text-soft">{lot.name}</span>
              </span>
              <Chance of={odds.of(lot.id)?.chance} />
            </p>
            <p className="text-sm text-soft">
              Of {wanted} wanted up to then {have} are there; {countOf(open, 'cell is', 'cells are')} open,
              with rooms for them. {say(moreWords(odds.of(lot.id), today))}
            </p>
            <button
              type="button"
              className="min-h-11 text-sm underline"
              onClick={() => void log(`${lot.name}: no more wanted`, [draft('lotDropped', { lot: lot.id })])}
            >
              No more wanted
            </button>
          </li>
        ))}
      </ul>
      {adding ? (
        <LotForm today={today} onDone={() => setAdding(false)} />
      ) : (
        <button type="button" className="button mt-3 min-h-11" onClick={() => setAdding(true)}>
          Queens wanted…
        </button>
      )}
    </section>
  );
}

function Chance({ of }: { of: number | undefined }) {
  return (
    <strong className={`text-lg whitespace-nowrap ${of !== undefined && of < 0.5 ? 'text-danger' : ''}`}>
      {percent(of)}
    </strong>
  );
}

const USUAL_AHEAD_D = 42;

function LotForm({ today, onDone }: { today: string; onDone: () => void }) {
  const log = useLog();
  const [name, setName] = useState('');
  const [queens, setQueens] = useState('');
  const [by, setBy] = useState(plusDays(today, USUAL_AHEAD_D));
  const [worth, setWorth] = useState('');
  const count = numberIn(queens);
  const badCount =
    Number.isInteger(count) && count >= 1 && count <= 10_000 ? undefined : 'A whole number from 1.';
  const badDay = by > today ? undefined : 'A day that is still to come.';
  const price = numberIn(worth);
  const badWorth = worth.trim() === '' || (price >= 0 && price <= 100_000) ? undefined : 'From 0 to 100,000.';
  const save = () => {
    if (badCount || badDay || badWorth || name.trim() === '') return;
    return log(`${countOf(count, 'queen')} wanted`, [
      draft('lotWanted', {
        lot: newId(),
        name: name.trim(),
        queens: count,
        by,
        ...(worth.trim() === '' ? {} : { worth: price }),
      }),
    ]).then(onDone);
  };
  return (
    <Form save="Wanted" onSave={save} onCancel={onDone}>
      <TextField
        label="For"
        required
        maxLength={60}
        value={name}
        hint="An order by its name, or your own boxes."
        onChange={({ target }) => setName(target.value)}
      />
      <div className="grid grid-cols-2 gap-x-3">
        <TextField
          label="Queens (how many)"
          inputMode="numeric"
          value={queens}
          problem={queens === '' ? undefined : badCount}
          onChange={({ target }) => setQueens(target.value)}
        />
        <TextField
          label="By"
          type="date"
          value={by}
          problem={badDay}
          onChange={({ target }) => setBy(target.value)}
        />
      </div>
      <TextField
        label="What one is worth (if unlike others)"
        inputMode="decimal"
        value={worth}
        problem={badWorth}
        onChange={({ target }) => setWorth(target.value)}
      />
    </Form>
  );
}

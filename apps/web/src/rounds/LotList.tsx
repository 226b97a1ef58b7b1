import { countOf, plusDays, showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { newId } from '../app/ids.ts';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import { Form } from '../yard/Form.tsx';
import { percent } from './percent.ts';
import type { Rearing } from './useRearing.ts';

/** Queens wanted by a day, with the odds of each lot. */
export function LotList({ rearing }: { rearing: Rearing }) {
  const say = useSay();
  const log = useLog();
  const [adding, setAdding] = useState(false);
  const { odds, today } = rearing;
  return (
    <section aria-label="Queens wanted">
      <h2 className="eyebrow">Queens wanted</h2>
      {odds.length === 0 && !adding && (
        <p className="text-soft">
          Nothing is wanted from today on. Say how many and by when, for an order or your own boxes.
        </p>
      )}
      <ul>
        {odds.map(({ lot, chance, have, open, wanted, more }) => (
          <li key={lot.id} className="border-b border-hairline py-2">
            <p className="flex justify-between gap-3">
              <span>
                <strong>{countOf(lot.queens, 'queen')}</strong> by {say(showDay(lot.by, today))}
                <span className="block text-soft">{lot.name}</span>
              </span>
              <strong className={`text-lg ${chance < 0.5 ? 'text-danger' : ''}`}>{percent(chance)}</strong>
            </p>
            <p className="text-sm text-soft">
              Of {wanted} wanted up to then {have} are there; {countOf(open, 'cell is', 'cells are')} open,
              with rooms for them
              {more > 0
                ? `; ${countOf(more, 'more ripe cell makes', 'more ripe cells make')} it nine times in ten`
                : ''}
              .
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

const USUAL_AHEAD_D = 42;

function LotForm({ today, onDone }: { today: string; onDone: () => void }) {
  const log = useLog();
  const [name, setName] = useState('');
  const [queens, setQueens] = useState('');
  const [by, setBy] = useState(plusDays(today, USUAL_AHEAD_D));
  const count = numberIn(queens);
  const badCount =
    Number.isInteger(count) && count >= 1 && count <= 10_000 ? undefined : 'A whole number from 1.';
  const badDay = by > today ? undefined : 'A day that is still to come.';
  const save = () => {
    if (badCount || badDay || name.trim() === '') return;
    return log(`${countOf(count, 'queen')} wanted`, [
      draft('lotWanted', { lot: newId(), name: name.trim(), queens: count, by }),
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
    </Form>
  );
}

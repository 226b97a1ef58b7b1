import { useSuspenseQuery } from '@tanstack/react-query';
import type { Lot } from '@yellow-cell/contract';
import { countOf, daysBetween, type LotState, plusDays, showDay, stillWanted } from '@yellow-cell/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../app/ids.ts';
import { yardsQuery } from '../app/queries.ts';
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
      {odds.problem && (
        <p role="alert" className="font-semibold text-danger">
          {odds.problem}
        </p>
      )}
      <ul>
        {lots.map((state) => (
          <LotLine key={state.lot.id} state={state} odds={odds} today={today} />
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

interface LotLineProps {
  state: LotState;
  odds: Odds;
  today: string;
}

/** One lot: what of it is there, its odds while queens of it are still wanted, and the way to hand them over. */
function LotLine({ state: { lot, have, open, wanted }, odds, today }: LotLineProps) {
  const say = useSay();
  const log = useLog();
  const [changing, setChanging] = useState(false);
  const left = stillWanted(lot);
  const isOverdue = lot.by < today && left > 0;
  if (changing)
    return (
      <li className="border-b border-hairline py-2">
        <LotForm lot={lot} today={today} onDone={() => setChanging(false)} />
      </li>
    );
  return (
    <li className="border-b border-hairline py-2">
      <p className="flex justify-between gap-3">
        <span>
          <strong>{countOf(lot.queens, 'queen')}</strong> by {say(showDay(lot.by, today))}
          <span className="block text-soft">{lot.name}</span>
          {isOverdue && (
            <span className="block font-semibold text-danger">
              Overdue by {countOf(daysBetween(lot.by, today), 'day')}
            </span>
          )}
        </span>
        {left > 0 && <Chance of={odds.of(lot.id)?.chance} />}
      </p>
      {lot.handedOver !== undefined && (
        <p className="text-sm font-semibold">
          {left === 0 ? 'All are handed over.' : `${lot.handedOver} handed over, ${left} still wanted.`}
        </p>
      )}
      {left > 0 && (
        <p className="text-sm text-soft">
          Of {wanted} wanted up to then {have} are there; {countOf(open, 'cell is', 'cells are')} open, with
          rooms for them. {say(moreWords(odds.of(lot.id), today))}
        </p>
      )}
      <p className="flex flex-wrap gap-x-5">
        {left > 0 && <HandOver lot={lot.id} />}
        <button type="button" className={LINK} onClick={() => setChanging(true)}>
          Change…
        </button>
        <button
          type="button"
          className={LINK}
          onClick={() => void log(`${lot.name}: no more wanted`, [draft('lotDropped', { lot: lot.id })])}
        >
          {left === 0 ? 'Take it off the list' : isOverdue ? 'Done, or no more wanted' : 'No more wanted'}
        </button>
      </p>
    </li>
  );
}

const LINK = 'inline-flex min-h-11 items-center text-sm underline max-sm:min-h-12';

/** Where its queens are chosen: in the yard, or in the one of several that they stand in. */
function HandOver({ lot }: { lot: string }) {
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const [asking, setAsking] = useState(false);
  const to = (yard: string) => `/yard/${yard}/many?act=taken&lot=${lot}`;
  const [only, ...others] = yards;
  if (only && others.length === 0)
    return (
      <Link className={LINK} to={to(only.id)}>
        Hand over…
      </Link>
    );
  return (
    <>
      <button type="button" className={LINK} aria-expanded={asking} onClick={() => setAsking(!asking)}>
        Hand over…
      </button>
      {asking && (
        <span className="order-last flex w-full flex-col">
          {yards.map(({ id, name }) => (
            <Link key={id} className={LINK} to={to(id)}>
              From {name}
            </Link>
          ))}
        </span>
      )}
    </>
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

/** A lot that is wanted, or what else is wanted of one that was said before. */
function LotForm({ lot, today, onDone }: { lot?: Lot; today: string; onDone: () => void }) {
  const log = useLog();
  const [name, setName] = useState(lot?.name ?? '');
  const [queens, setQueens] = useState(lot ? String(lot.queens) : '');
  const [by, setBy] = useState(lot?.by ?? plusDays(today, USUAL_AHEAD_D));
  const [worth, setWorth] = useState(lot?.worth === undefined ? '' : String(lot.worth));
  const count = numberIn(queens);
  const badCount =
    Number.isInteger(count) && count >= 1 && count <= 10_000 ? undefined : 'A whole number from 1.';
  const badDay = by > today || by === lot?.by ? undefined : 'A day that is still to come.';
  const price = numberIn(worth);
  const badWorth = worth.trim() === '' || (price >= 0 && price <= 100_000) ? undefined : 'From 0 to 100,000.';
  const save = () => {
    if (badCount || badDay || badWorth || name.trim() === '') return;
    return log(`${countOf(count, 'queen')} wanted`, [
      draft('lotWanted', {
        lot: lot?.id ?? newId(),
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

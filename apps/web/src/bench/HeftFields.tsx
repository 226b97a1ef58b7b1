import { readWeight } from '@yellow-cell/core';
import { X } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { useMeasures } from '../app/units.ts';
import { Said } from '../parts/Said.tsx';

export interface Heft {
  month: number;
  stores_kg: number;
}

/** Stores found by weighing or hefting after so many months: the forecast is fitted to them. */
export function HeftFields({
  hefts,
  most,
  onChange,
}: {
  hefts: readonly Heft[];
  most: number;
  onChange: (hefts: readonly Heft[]) => void;
}) {
  const [month, setMonth] = useState(2);
  const [stores, setStores] = useState('');
  const { weight } = useMeasures();
  const stores_kg = readWeight(stores, weight);
  const possible = stores_kg >= 0;
  const add = (event: FormEvent) => {
    event.preventDefault();
    if (!possible) return;
    onChange(
      [...hefts.filter((heft) => heft.month !== month), { month, stores_kg }].sort(
        (a, b) => a.month - b.month,
      ),
    );
    setStores('');
  };
  return (
    <details className="mt-1">
      <summary className="text-sm text-soft">Hefts{hefts.length > 0 ? `: ${hefts.length}` : ''}</summary>
      <ul className="text-sm">
        {hefts.map((heft) => (
          <li key={heft.month} className="flex items-center gap-2">
            after {heft.month} months <Said>{heft.stores_kg} kg</Said>
            <button
              type="button"
              className="p-1"
              aria-label={`Take out the heft after ${heft.month} months`}
              onClick={() => onChange(hefts.filter((other) => other !== heft))}
            >
              <X size={14} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <form onSubmit={add} className="flex items-center gap-2 text-sm">
        after
        <select
          aria-label="Months since the start"
          className="field min-h-8 w-auto"
          value={month}
          onChange={({ target }) => setMonth(Number(target.value))}
        >
          {Array.from({ length: most }, (_, index) => index + 1).map((count) => (
            <option key={count}>{count}</option>
          ))}
        </select>
        months
        <input
          aria-label={`Stores found, in ${weight}`}
          inputMode="decimal"
          className="field min-h-8 w-16"
          value={stores}
          onChange={({ target }) => setStores(target.value)}
        />
        {weight}
        <button type="submit" className="button min-h-8 px-2 py-0.5" disabled={!possible}>
          Add
        </button>
      </form>
      {stores.trim() !== '' && !possible && (
        <p className="text-sm text-danger" role="alert">
          Stores are a weight from 0; with its unit, any is read.
        </p>
      )}
    </details>
  );
}

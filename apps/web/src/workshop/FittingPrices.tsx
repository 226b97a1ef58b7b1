import { fittingNames } from '@yellow-cell/core';
import { Figure } from './Figure.tsx';
import type { WorkshopPartProps } from './workshopPart.ts';

/** What fittings cost, one by one. */
export function FittingPrices({ workshop, onSave }: WorkshopPartProps) {
  const { fittings, currency } = workshop;
  const set = (key: string, name: string, price: number | null) =>
    onSave(
      ({ fittings: { [key]: _, ...others } }) => ({
        fittings: price === null ? others : { ...others, [key]: price },
      }),
      `${name}: price kept.`,
    );
  return (
    <section aria-label="Fittings">
      <h2 className="eyebrow">Fittings, {currency} each</h2>
      <div className="grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
        {Object.entries(fittingNames).map(([key, name]) => (
          <div key={key} className="row-line items-center">
            <span>{name}</span>
            <Figure
              label={`Price of one ${name.toLowerCase()}`}
              value={fittings[key] ?? null}
              onChange={(price) => set(key, name, price)}
            />
          </div>
        ))}
      </div>
      <label className="mt-2 flex items-center gap-2">
        <span className="text-soft">Currency</span>
        <input
          className="field w-20"
          defaultValue={currency}
          maxLength={8}
          onBlur={({ target }) =>
            target.value !== currency && void onSave(() => ({ currency: target.value }), 'Currency kept.')
          }
        />
      </label>
    </section>
  );
}

import { type Constants, countOf, type Preparation, storesPerKg } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';

interface StoresBarProps {
  preparation: Preparation;
  constants: Constants;
  /** Whether days are still warm enough for syrup by the climate. */
  liquid: boolean;
}

/** Stores that stay against those to be carried, and what is fed for the difference. */
export function StoresBar({ preparation, constants, liquid }: StoresBarProps) {
  const say = useSay();
  const { stores_kg, carry_kg, short_kg, sugar_kg, syrup_l } = preparation;
  if (carry_kg === undefined)
    return (
      <p>
        <strong>Stores</strong>{' '}
        <span className="text-soft">what winter takes is known once its seams are counted.</span>
      </p>
    );
  const most = Math.max(carry_kg, stores_kg ?? 0) || 1;
  return (
    <div>
      <p className="flex justify-between">
        <span>
          <strong>Stores that stay</strong>{' '}
          {stores_kg === undefined ? 'not known: heft it' : say(`${stores_kg.toFixed(1)} kg`)}
        </span>
        <span className="text-soft">{say(`to carry ${carry_kg.toFixed(1)} kg, so fitted`)}</span>
      </p>
      <div className="relative mt-1 h-5 border border-dashed border-ink">
        <div
          className="h-full border-r border-ink"
          style={{
            width: `${((stores_kg ?? 0) / most) * 100}%`,
            background: 'repeating-linear-gradient(45deg, var(--comb) 0 4px, var(--comb-line) 4px 5px)',
          }}
        />
        <div
          aria-hidden
          className="absolute inset-y-0 w-0.5 bg-ink"
          style={{ left: `calc(${(carry_kg / most) * 100}% - 2px)` }}
        />
      </div>
      <p className="mt-1">
        {stores_kg === undefined ? (
          ''
        ) : short_kg < 0.05 ? (
          'Enough: nothing is to be fed.'
        ) : (
          <>
            <strong>{say(`Short ${short_kg.toFixed(1)} kg`)}</strong>
            {say(
              liquid
                ? ` = ${sugar_kg.toFixed(1)} kg of sugar, ${syrup_l.toFixed(1)} l of syrup 2:1: ${fillings(syrup_l, constants)}.`
                : ` = ${(short_kg / storesPerKg('fondant')).toFixed(1)} kg of fondant above the cluster: too cold for syrup by the climate.`,
            )}
          </>
        )}
      </p>
    </div>
  );
}

/** How often a feeder is filled for it, and over how many days. */
function fillings(syrup_l: number, { feederHolds_l, feedVisits_d }: Constants): string {
  const times = Math.max(1, Math.ceil(syrup_l / feederHolds_l - 1e-9));
  return times === 1
    ? 'one filling of the feeder'
    : `${countOf(times, 'filling')} of the feeder over ${countOf((times - 1) * feedVisits_d, 'day')}`;
}

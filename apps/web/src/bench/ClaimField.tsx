import { R_UNITS, rIn, rOf } from '@yellow-cell/core';
import { useState } from 'react';
import { useUnits } from '../app/units.ts';
import { TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';

/** Of the largest claim that is taken for one, in m²K/W. */
const MOST = 50;
/** A claim that is so many times the computed one is worth a word. */
const FAR = 1.25;

/** A maker's claim of R beside the computed one, in m²K/W or the breeder's own: claims are often higher, and are not reckoned with. */
export function ClaimField({
  computed,
  claimed,
  onChange,
}: {
  computed: number;
  claimed: number | undefined;
  onChange: (claimed: number | undefined) => void;
}) {
  const units = useUnits();
  const [typed, setTyped] = useState<string>();
  const shown = (r: number): string => rIn(r, units).toFixed(units === 'mm' ? 2 : 1);
  const problem = (text: string): string | undefined => {
    const r = rOf(numberIn(text), units);
    return text.trim() === '' || (r > 0 && r <= MOST) ? undefined : `Above 0, at most ${shown(MOST)}.`;
  };
  return (
    <TextField
      label={`R as its maker claims (${R_UNITS[units]}); computed ${shown(computed)}`}
      inputMode="decimal"
      placeholder="no claim"
      value={typed ?? (claimed === undefined ? '' : shown(claimed))}
      problem={typed === undefined ? undefined : problem(typed)}
      hint={
        claimed !== undefined && claimed > computed * FAR
          ? `The claim is ${(claimed / computed).toFixed(1)} times what its layers give; the computed one is used.`
          : undefined
      }
      onBlur={() => typed !== undefined && problem(typed) === undefined && setTyped(undefined)}
      onChange={({ target: { value } }) => {
        setTyped(value);
        if (problem(value) === undefined)
          onChange(value.trim() === '' ? undefined : rOf(numberIn(value), units));
      }}
    />
  );
}

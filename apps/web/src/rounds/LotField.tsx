import type { Lot } from '@yellow-cell/contract';
import { showDay, stillWanted } from '@yellow-cell/core';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';
import { SelectField } from '../parts/Field.tsx';

interface LotFieldProps {
  lots: readonly Lot[];
  value: string;
  onChange: (lot: string) => void;
}

/** For whom queens are handed over; nobody’s, where it is not said. */
export function LotField({ lots, value, onChange }: LotFieldProps) {
  const { today } = useAsOf();
  const say = useSay();
  if (lots.length === 0) return null;
  return (
    <SelectField
      label="Handed over for"
      value={value}
      hint="Counts among those that are wanted."
      onChange={({ target }) => onChange(target.value)}
    >
      <option value="">none of those wanted</option>
      {lots.map((lot) => (
        <option key={lot.id} value={lot.id}>
          {say(`${lot.name}: ${stillWanted(lot)} by ${showDay(lot.by, today)}`)}
        </option>
      ))}
    </SelectField>
  );
}

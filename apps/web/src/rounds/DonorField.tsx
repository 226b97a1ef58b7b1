import { useId } from 'react';
import { TextField } from '../parts/Field.tsx';
import type { Rearing } from './useRearing.ts';

interface DonorFieldProps {
  season: Rearing['season'];
  value: string;
  onChange: (donor: string) => void;
}

/** Whose larvae are grafted; those of rounds before are offered. */
export function DonorField({ season, value, onChange }: DonorFieldProps) {
  const known = useId();
  return (
    <>
      <TextField
        label="Donor"
        required
        maxLength={60}
        value={value}
        problem={value.trim() === '' ? 'Whose larvae are grafted is needed here.' : undefined}
        list={known}
        onChange={({ target }) => onChange(target.value)}
      />
      <datalist id={known}>
        {donorsOf(season).map((donor) => (
          <option key={donor} value={donor} />
        ))}
      </datalist>
    </>
  );
}

/** Of all rounds, the one that was grafted from last at the end. */
export const donorsOf = ({ rounds }: Rearing['season']): string[] => [
  ...new Set(rounds.map(({ donor }) => donor)),
];

import type { Length } from '@yellow-cell/contract';
import { parseLength, showLengthBare } from '@yellow-cell/core';
import { useEffect, useState } from 'react';
import { useUnits } from '../app/units.ts';
import { TextField } from './Field.tsx';

interface LengthFieldProps {
  label: string;
  value: Length;
  onChange: (length: Length) => void;
  /** A sentence from elsewhere, such as why the design cannot be. */
  problem?: string | undefined;
}

/** A length in any usual spelling. Figures go out as they are typed; what cannot be read stays in the field with its sentence. */
export function LengthField({ label, value, onChange, problem }: LengthFieldProps) {
  const units = useUnits();
  const shown = value.typed ?? showLengthBare(value.mm, units);
  const [typed, setTyped] = useState(shown);
  const [editing, setEditing] = useState(false);
  useEffect(() => {
    if (!editing) setTyped(shown);
  }, [shown, editing]);
  const parsed = parseLength(typed, units);
  const own = parsed.ok ? (parsed.length.mm <= 0 ? `${label} must be above 0.` : undefined) : parsed.sentence;
  return (
    <TextField
      label={`${label} (${units === 'mm' ? 'mm' : 'in'})`}
      inputMode="text"
      autoComplete="off"
      value={typed}
      problem={own ?? problem}
      onFocus={() => setEditing(true)}
      onBlur={() => {
        setEditing(false);
        if (own === undefined) setTyped(shown);
      }}
      onChange={(change) => {
        setTyped(change.target.value);
        const next = parseLength(change.target.value, units);
        if (next.ok && next.length.mm > 0) onChange(next.length);
      }}
    />
  );
}

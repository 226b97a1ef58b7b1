import type { Length, Measures } from '@yellow-cell/contract';
import { parseLength, showLengthBare } from '@yellow-cell/core';
import { useEffect, useState } from 'react';
import { useUnits } from '../app/units.ts';
import { TextField } from './Field.tsx';

interface LengthFieldProps {
  label: string;
  value: Length;
  onChange: (length: Length) => void;
  /** What lengths it takes: above 0, from 0, or below 0 too. */
  takes?: 'positive' | 'zero' | 'signed';
  /** A sentence from elsewhere, such as why the design cannot be. */
  problem?: string | undefined;
}

/** A length in any usual spelling. Figures go out as they are typed; what cannot be read stays in the field with its sentence. */
export function LengthField({ label, value, onChange, takes = 'positive', problem }: LengthFieldProps) {
  const units = useUnits();
  const shown = shownLength(value, units);
  const [typed, setTyped] = useState(shown);
  const [editing, setEditing] = useState(false);
  useEffect(() => {
    if (!editing) setTyped(shown);
  }, [shown, editing]);
  const read = (text: string): { ok: true; length: Length } | { ok: false; sentence: string } => {
    const negative = takes === 'signed' && /^\s*[-−]/.test(text);
    const parsed = parseLength(negative ? text.replace(/[-−]/, '') : text, units);
    if (!parsed.ok) return parsed;
    const length = negative ? { ...parsed.length, mm: -parsed.length.mm, typed: text } : parsed.length;
    if (takes === 'positive' && length.mm <= 0) return { ok: false, sentence: `${label} must be above 0.` };
    return { ok: true, length };
  };
  const parsed = read(typed);
  const own = parsed.ok ? undefined : parsed.sentence;
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
        const next = read(change.target.value);
        if (next.ok) onChange(next.length);
      }}
    />
  );
}

/** As it was typed, where that says the same here: “3/4” is of inches, and would be read as less than a millimetre. */
function shownLength({ mm, typed }: Length, units: Measures['length']): string {
  if (typed === undefined) return showLengthBare(mm, units);
  const read = parseLength(typed.replace(/^\s*[-−]/, ''), units);
  return read.ok && Math.abs(read.length.mm - Math.abs(mm)) < SAME_MM ? typed : showLengthBare(mm, units);
}
const SAME_MM = 1e-6;

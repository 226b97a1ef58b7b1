import { useState } from 'react';
import { numberIn } from '../parts/numberIn.ts';

interface FigureProps {
  label: string;
  value: number | null;
  onChange: (value: number | null) => Promise<unknown>;
}

/** A number that is kept when it is left; empty is not known. */
export function Figure({ label, value, onChange }: FigureProps) {
  const [typed, setTyped] = useState<string>();
  const text = typed ?? (value === null ? '' : String(value));
  const parsed = text.trim() === '' ? null : numberIn(text);
  const wrong = parsed !== null && (Number.isNaN(parsed) || parsed < 0);
  const settle = async () => {
    if (typed === undefined || wrong) return;
    if (parsed !== value) await onChange(parsed);
    setTyped(undefined);
  };
  return (
    <input
      aria-label={label}
      aria-invalid={wrong}
      inputMode="decimal"
      className="field min-h-8 w-20 text-right"
      value={text}
      onChange={({ target }) => setTyped(target.value)}
      onBlur={() => void settle()}
      onKeyDown={({ key }) => {
        if (key === 'Enter') void settle();
        if (key === 'Escape') setTyped(undefined);
      }}
    />
  );
}

import { useState } from 'react';
import { numberIn } from '../parts/numberIn.ts';
import { useOnce } from '../parts/useOnce.ts';

interface FigureProps {
  label: string;
  value: number | null;
  /** Tells whether it was kept. */
  onChange: (value: number | null) => Promise<boolean>;
}

/** A number that is kept when it is left; empty is not known. */
export function Figure({ label, value, onChange }: FigureProps) {
  const [typed, setTyped] = useState<string>();
  const text = typed ?? (value === null ? '' : String(value));
  const parsed = text.trim() === '' ? null : numberIn(text);
  const wrong = parsed !== null && (Number.isNaN(parsed) || parsed < 0);
  // Enter settles it, and so does leaving it a moment later.
  const settle = useOnce(async () => {
    if (typed === undefined || wrong) return;
    // What could not be kept stays as it was typed, to be tried again.
    if (parsed === value || (await onChange(parsed))) setTyped(undefined);
  });
  return (
    <input
      aria-label={label}
      aria-invalid={wrong}
      inputMode="decimal"
      className="field min-h-8 w-20 text-right"
      value={text}
      onChange={({ target }) => setTyped(target.value)}
      onBlur={settle}
      onKeyDown={({ key }) => {
        if (key === 'Enter') settle();
        if (key === 'Escape') setTyped(undefined);
      }}
    />
  );
}

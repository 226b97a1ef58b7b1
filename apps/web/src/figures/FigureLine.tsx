import { type ConstantName, constantProblem, registry } from '@yellow-cell/core';
import { RotateCcw } from 'lucide-react';
import { useId, useState } from 'react';
import { numberIn } from '../parts/numberIn.ts';
import { SourceLink } from '../parts/SourceLink.tsx';

interface FigureLineProps {
  name: ConstantName;
  /** The yard's own, where it has one. */
  value: number | undefined;
  onSave: (value: number | undefined) => Promise<void>;
}

/** One figure: its meaning, default, range and source; typed, kept, and put back. */
export function FigureLine({ name, value, onSave }: FigureLineProps) {
  const id = useId();
  const { meaning, unit, source, range, value: usual } = registry[name];
  const [typed, setTyped] = useState<string>();
  const text = typed ?? String(value ?? usual);
  const parsed = numberIn(text);
  const problem = Number.isNaN(parsed) ? 'A number is wanted.' : constantProblem(name, parsed);
  const settle = async () => {
    if (typed === undefined || problem) return;
    if (parsed !== (value ?? usual)) await onSave(parsed);
    setTyped(undefined);
  };
  return (
    <li className="grid grid-cols-[1fr_auto] items-start gap-x-4 border-b border-hairline py-1.5">
      <div>
        <label htmlFor={id}>{meaning}</label>
        <p className="text-sm text-soft">
          {usual} {unit} by default, {range[0]} to {range[1]}. <SourceLink source={source} />.
        </p>
        {problem && (
          <p role="alert" className="text-sm text-danger">
            {problem}
          </p>
        )}
      </div>
      <div className="flex items-center gap-2">
        <input
          id={id}
          inputMode="decimal"
          className={`field w-24 text-right ${value === undefined ? '' : 'border-2 border-[var(--yellow)] font-semibold'}`}
          value={text}
          aria-invalid={problem !== undefined}
          onChange={({ target }) => setTyped(target.value)}
          onBlur={() => void settle()}
          onKeyDown={({ key }) => {
            if (key === 'Enter') void settle();
            if (key === 'Escape') setTyped(undefined);
          }}
        />
        <button
          type="button"
          className="rounded p-2 disabled:invisible"
          aria-label={`Put back: ${meaning}`}
          title={`Back to ${usual}`}
          disabled={value === undefined}
          onClick={() => {
            setTyped(undefined);
            void onSave(undefined);
          }}
        >
          <RotateCcw size={17} aria-hidden />
        </button>
      </div>
    </li>
  );
}

import { type Chip, type QuickContext, showDay } from '@yellow-cell/core';
import { Calendar, Minus, Plus, X } from 'lucide-react';
import { useState } from 'react';
import { useSay } from '../app/units.ts';
import { type Change, changesOf, inSpan } from './changes.ts';

interface ChipsProps {
  line: string;
  chips: readonly Chip[];
  context: QuickContext;
  /** The line with one of its pieces changed. */
  onChange: (line: string) => void;
}

/** Each piece of a line as what it was understood; one that is pressed can be changed or left out. */
export function Chips({ line, chips, context, onChange }: ChipsProps) {
  const say = useSay();
  const [open, setOpen] = useState<number>();
  const dated = chips.some(({ is }) => is === 'day');
  const all: Chip[] = dated
    ? [...chips]
    : [
        ...chips,
        { start: 0, end: 0, is: 'day', says: `${say(showDay(context.today, context.today))}, today` },
      ];
  const chosen = open === undefined ? undefined : all[open];
  const change = (next: string): void => {
    setOpen(undefined);
    onChange(next);
  };
  return (
    <div className="px-3 pb-2">
      <ul className="flex flex-wrap gap-1.5" aria-label="Understood as">
        {all.map((chip, index) => (
          <li key={`${chip.start}-${chip.is}`}>
            <button
              type="button"
              aria-expanded={open === index}
              className={`flex min-h-12 items-center gap-1 rounded-full border px-2.5 text-sm sm:min-h-9 ${chip.is === 'question' ? 'border-dashed border-danger' : 'border-hairline'} ${open === index ? 'bg-glow' : 'bg-sheet'}`}
              onClick={() => setOpen(open === index ? undefined : index)}
            >
              {chip.is === 'day' && <Calendar size={14} aria-hidden />}
              {say(chip.says)}
            </button>
          </li>
        ))}
      </ul>
      {chosen && (
        <div className="mt-1.5 flex flex-wrap items-center gap-1.5 rounded border border-hairline p-1.5">
          {chosen.is === 'day' && (
            <label className="flex items-center gap-2 text-sm">
              Another day
              <input
                type="date"
                className="field min-h-12 w-auto sm:min-h-9"
                max={context.today}
                onChange={({ target }) => target.value && change(inSpan(line, chosen, target.value))}
              />
            </label>
          )}
          {changesOf(line, chosen, chips, context).map((each) => (
            <button
              key={each.says}
              type="button"
              className="button min-h-12 px-2 py-0.5 text-sm sm:min-h-9"
              onClick={() => change(each.line)}
            >
              <ChangeIcon {...each} /> {each.says}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

const ICONS = { less: Minus, more: Plus, out: X } as const;
function ChangeIcon({ does }: Change) {
  const Icon = does && ICONS[does];
  return Icon ? <Icon size={14} aria-hidden /> : null;
}

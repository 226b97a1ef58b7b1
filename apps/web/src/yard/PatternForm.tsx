import { nextMark, yearColour } from '@yellow-cell/core';
import { useState } from 'react';
import { draft } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';
import { Form, type FormProps, inColony, ofColony } from './Form.tsx';

/** What is scored most, a tap each; between them by the slide, or typed. */
const USUAL_PCT = [50, 70, 80, 85, 90, 95];

/** The pattern, and with it her mark: in the colour of her year, with the next number of the series. Nothing is scored before it is touched. */
export function PatternForm(props: FormProps) {
  const { view, compartment } = props;
  const [pct, setPct] = useState('');
  const [marks, setMarks] = useState(false);
  const [queen] = compartment.queens.length === 1 ? compartment.queens : [];
  const unmarked = queen && !queen.mark ? queen : undefined;
  const colour = yearColour(unmarked?.birthYear ?? Number(view.on.slice(0, 4)));
  const [number, setNumber] = useState(() => String(nextMark(view.state.queens.values(), colour)));
  const value = Number(pct);
  const missing = pct.trim() === '';
  const problem = missing || (value >= 0 && value <= 100) ? undefined : 'A pattern is 0 to 100 %.';
  const save = () => {
    if (missing || problem) return undefined;
    const mark =
      marks && unmarked
        ? [
            draft('queenMarked', {
              ...inColony(props),
              queen: unmarked.id,
              colour,
              clipped: false,
              ...(number.trim() ? { number: number.trim() } : {}),
            }),
          ]
        : [];
    return props.send(`pattern ${value} %${mark.length > 0 ? `, marked ${colour} ${number.trim()}` : ''}`, [
      draft('patternScored', { ...ofColony(props), pattern_pct: value }),
      ...mark,
    ]);
  };
  return (
    <Form save="Save the score" onSave={save} onCancel={props.onCancel}>
      <div role="group" aria-label="Pattern, usual scores" className="mb-2 grid grid-cols-6 gap-1.5">
        {USUAL_PCT.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={value === each && !missing}
            className={`button min-h-12 px-0 ${value === each && !missing ? 'bg-glow' : 'font-normal'}`}
            onClick={() => setPct(String(each))}
          >
            {each}
          </button>
        ))}
      </div>
      <TextField
        label="Pattern: share of cells with brood of the expected stage (%)"
        inputMode="numeric"
        value={pct}
        placeholder="not scored yet"
        problem={problem}
        onChange={({ target }) => setPct(target.value)}
      />
      <input
        type="range"
        aria-label="Pattern in percent"
        className="mb-2 w-full accent-yellow"
        min={0}
        max={100}
        value={Number.isFinite(value) ? value : 0}
        onChange={({ target }) => setPct(target.value)}
      />
      {unmarked && (
        <div className="mb-2 flex items-end gap-3">
          <label className="flex min-h-12 flex-1 items-center gap-2">
            <input
              type="checkbox"
              className="size-6"
              checked={marks}
              onChange={({ target }) => setMarks(target.checked)}
            />
            Marked {colour}, number
          </label>
          <input
            aria-label="Number of her mark"
            className="field w-24"
            inputMode="numeric"
            maxLength={10}
            value={number}
            onChange={({ target }) => setNumber(target.value)}
          />
        </div>
      )}
    </Form>
  );
}

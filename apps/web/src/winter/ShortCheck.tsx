import type { ShortCheck as Step } from '@yellow-cell/contract';
import { type InBox, inRoom, roomName, shortCheckWords, showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { useSay } from '../app/units.ts';
import { type Draft, draft } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import type { Send } from '../yard/useWarned.tsx';

const MOST_SEAMS = 40;

interface ShortCheckProps {
  line: InBox;
  on: string;
  send: Send;
}

/** The short check of a colony that is left alone: what was done is ticked, seams seen are counted, strips that came out are entered, all as one. */
export function ShortCheck({ line, on, send }: ShortCheckProps) {
  const say = useSay();
  const { box, room } = line;
  const { strips = [], shortCheckedOn } = room.colony ?? {};
  const [done, setDone] = useState<readonly Step[]>([]);
  const [typed, setTyped] = useState('');
  const seams = numberIn(typed);
  const problem =
    typed === '' || (seams >= 0 && seams <= MOST_SEAMS) ? undefined : 'Seams from 0 to 40; halves are fine.';
  const of = inRoom(box.box, room);
  const steps = Object.keys(shortCheckWords) as Step[];
  const enter = () => {
    const entries: Draft[] = [
      ...(done.includes('strips') ? strips.map(({ id }) => draft('stripsOut', { ...of, strips: id })) : []),
      ...(typed === '' ? [] : [draft('strengthSeen', { ...of, seams })]),
      draft('shortChecked', { ...of, did: steps.filter((step) => done.includes(step)) }),
    ];
    // What is asked first, or refused, stays ticked.
    void send(`${roomName(line)}: short check`, entries, ({ state }) => {
      if (state === 'refused') return;
      setDone([]);
      setTyped('');
    });
  };
  return (
    <details className="no-print mt-3 border-t border-hairline pt-2">
      <summary className="inline-flex min-h-8 cursor-pointer items-center font-semibold underline max-lg:min-h-12">
        Short check{shortCheckedOn ? say(`, last ${showDay(shortCheckedOn, on)}`) : ''}
      </summary>
      <fieldset className="flex flex-wrap gap-x-4">
        <legend className="text-sm text-soft">What was done; no comb is lifted.</legend>
        {steps.map((step) => (
          <label key={step} className="flex min-h-9 items-center gap-2 max-lg:min-h-12">
            <input
              type="checkbox"
              className="size-5"
              checked={done.includes(step)}
              onChange={({ target }) =>
                setDone(target.checked ? [...done, step] : done.filter((each) => each !== step))
              }
            />
            {step === 'strips' && strips.length > 0
              ? say(`strips out (in since ${showDay(strips[0]?.on ?? on, on)})`)
              : shortCheckWords[step]}
          </label>
        ))}
      </fieldset>
      <div className="mt-1 flex flex-wrap items-end gap-x-4">
        <div className="w-44">
          <TextField
            label="Seams seen, if counted"
            inputMode="decimal"
            value={typed}
            problem={problem}
            onChange={({ target }) => setTyped(target.value)}
          />
        </div>
        <button
          type="button"
          className="button mb-2.5"
          disabled={done.length === 0 || problem !== undefined}
          onClick={enter}
        >
          Enter the check
        </button>
      </div>
    </details>
  );
}

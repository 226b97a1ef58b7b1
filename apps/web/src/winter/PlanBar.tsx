import type { WinterAct } from '@yellow-cell/contract';
import { type AutumnLine, capital, inRoom, roomName, showDay, winterWork } from '@yellow-cell/core';
import { useState } from 'react';
import { useSay } from '../app/units.ts';
import { draft } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { useWarned } from '../yard/useWarned.tsx';
import { doneAsPlanned, GOES, planOf, reasonWanted, usualAct } from './plan.ts';
import { ShortCheck } from './ShortCheck.tsx';
import { targetsOf } from './targets.ts';
import type { Preparing } from './usePreparation.ts';
import type { WinterView } from './useWinter.ts';

interface PlanBarProps {
  winter: WinterView;
  line: AutumnLine;
  preparing: Preparing;
}

/** Books what is shown as work, says what is booked, and enters it once it is done. */
export function PlanBar({ winter, line, preparing }: PlanBarProps) {
  const say = useSay();
  const { view } = winter;
  const { send, asking } = useWarned(view);
  const [reason, setReason] = useState('');
  const [by, setBy] = useState('');
  const [pushedTo, setPushedTo] = useState('');
  const [chosenAct, setAct] = useState<WinterAct>();
  const [targetAt, setTarget] = useState(0);
  const { box, room } = line;
  const { preparation } = preparing;
  const planned = line.plan;
  const of = inRoom(box.box, room);
  const name = roomName(line);
  if (!preparation) return null;
  const wants = reasonWanted(preparation);
  const act = chosenAct ?? usualAct(line, preparing, preparation);
  const targets = targetsOf(act, line, winter.lines, view.boxes);
  const target = targets[targetAt];
  const alike = view.boxes.flatMap((each) =>
    each !== box && each.design === box.design ? [each.box.label] : [],
  );
  const lacks = GOES.includes(act) && !target;
  const book = () => {
    if (wants && reason.trim() === '') return;
    const payload = planOf(act, target, preparing, preparation, line, of, {
      by,
      reason: reason.trim(),
      pushedTo,
    });
    void send(`${name}: winter planned`, [draft('winterPlanned', payload)]);
  };
  const done = () => {
    if (!planned) return;
    const drafts = doneAsPlanned(winter, line);
    if ('why' in drafts) return;
    void send(`${name}: prepared for winter`, drafts);
  };
  const stuck = planned && !planned.preparedOn ? doneAsPlanned(winter, line) : undefined;
  return (
    <section aria-label="The plan" className="mt-3 border-t border-hairline pt-2">
      {asking}
      {planned && (
        <div className="mb-2 rounded-lg border-[1.5px] border-ink bg-glow p-2.5">
          <p>
            <strong>
              {planned.preparedOn ? `Prepared ${say(showDay(planned.preparedOn, view.on))}` : 'Planned'}
            </strong>
            {say(
              `: ${[capital(winterWork(planned)) || (planned.act === 'leave' ? 'Left alone' : ''), planned.sugar_kg > 0 ? `${planned.sugar_kg.toFixed(1)} kg of sugar, ${planned.fed_kg.toFixed(1)} kg of it fed` : ''].filter(Boolean).join('; ')}${planned.by ? `, by ${showDay(planned.by, view.on)}` : ''}.`,
            )}
            {planned.reason ? ` “${planned.reason}”` : ''}
          </p>
          {!planned.preparedOn && (
            <div className="no-print mt-1.5 flex flex-wrap gap-2">
              <button
                type="button"
                className="button button-main"
                disabled={stuck !== undefined && 'why' in stuck}
                onClick={done}
              >
                Done as planned
              </button>
              <button
                type="button"
                className="button"
                onClick={() => void send(`${name}: plan dropped`, [draft('winterDropped', of)])}
              >
                Drop the plan
              </button>
            </div>
          )}
          {stuck && 'why' in stuck && <p className="mt-1 text-sm">{stuck.why}</p>}
        </div>
      )}
      <div className="no-print flex flex-wrap items-end gap-x-4">
        <div className="w-44">
          <SelectField
            label="What is done"
            value={act}
            onChange={({ target: { value } }) => {
              setAct(value as WinterAct);
              setTarget(0);
            }}
          >
            {Object.entries(ACTS).map(([each, words]) => (
              <option key={each} value={each}>
                {words}
              </option>
            ))}
          </SelectField>
        </div>
        {GOES.includes(act) &&
          (target ? (
            <div className="w-56">
              <SelectField
                label={act === 'combine' ? 'With' : 'Into'}
                value={String(targetAt)}
                onChange={({ target: { value } }) => setTarget(Number(value))}
              >
                {targets.map(({ name: each }, at) => (
                  <option key={each} value={at}>
                    {each}
                  </option>
                ))}
              </SelectField>
            </div>
          ) : (
            <p className="mb-4 text-soft">
              {act === 'combine'
                ? 'No other colony with a queen lives here.'
                : 'No room of this yard is free for that.'}
            </p>
          ))}
        {!GOES.includes(act) && alike.length > 0 && (
          <div className="w-44">
            <SelectField
              label="Pushed together with"
              value={pushedTo}
              onChange={({ target: { value } }) => setPushedTo(value)}
            >
              <option value="">none</option>
              {alike.map((label) => (
                <option key={label} value={label}>
                  {label}
                </option>
              ))}
            </SelectField>
          </div>
        )}
        <div className="w-44">
          <TextField
            label="By"
            type="date"
            min={view.on}
            value={by}
            onChange={({ target }) => setBy(target.value)}
          />
        </div>
        {wants && (
          <div className="min-w-64 flex-1">
            <TextField
              label={`Why otherwise: ${wants}`}
              value={reason}
              maxLength={300}
              onChange={({ target }) => setReason(target.value)}
            />
          </div>
        )}
        <button
          type="button"
          className={`button mb-2.5 ${planned ? '' : 'button-main'}`}
          disabled={lacks || (wants !== undefined && reason.trim() === '')}
          onClick={book}
        >
          {planned ? 'Plan it so instead' : `Book it for ${name}`}
        </button>
      </div>
      <ShortCheck line={line} on={view.on} send={send} />
    </section>
  );
}

const ACTS: Readonly<Record<WinterAct, string>> = {
  reduce: 'Reduce, as drawn',
  feed: 'Feed alone',
  leave: 'Leave it alone',
  pair: 'Winter as a pair',
  combine: 'Combine',
  move: 'Move to another room',
};

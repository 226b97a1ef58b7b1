import type { Run } from '@yellow-cell/contract';
import { playbooks, showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';
import type { BoxView, YardView } from '../yard/useYard.ts';

/** The end: once every step is done, or before it, with the reason. */
export function Ending({
  view,
  boxView,
  run,
  left,
}: {
  view: YardView;
  boxView: BoxView;
  run: Run;
  left: number;
}) {
  const say = useSay();
  const log = useLog();
  const [giving, setGiving] = useState(false);
  const [reason, setReason] = useState('');
  const { title } = playbooks[run.playbook];
  const end = (done: boolean) =>
    log(`${boxView.box.label}: ${title}, ${done ? 'done' : 'given up'}`, [
      draft('playbookEnded', {
        box: boxView.box.id,
        run: run.id,
        done,
        ...(reason.trim() ? { reason: reason.trim() } : {}),
      }),
    ]);
  if (run.ended)
    return (
      <p className="rounded-lg border border-hairline p-3" role="status">
        <strong>{run.ended.done ? 'Worked to its end' : 'Given up'}</strong>,{' '}
        {say(showDay(run.ended.on, view.on))}
        {run.ended.reason ? `: ${run.ended.reason}` : ''}. It stays in the record of {boxView.box.label}.
      </p>
    );
  if (left === 0)
    return (
      <button
        type="button"
        className="button button-main no-print mt-3 min-h-12 w-full"
        onClick={() => void end(true)}
      >
        All is done: end it
      </button>
    );
  return giving ? (
    <form
      className="no-print mt-3 rounded-lg border border-hairline p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') void end(false);
      }}
    >
      <TextField
        label="Why it is given up"
        value={reason}
        maxLength={300}
        onChange={({ target }) => setReason(target.value)}
      />
      <div className="flex gap-2">
        <button type="submit" className="button min-h-11" disabled={reason.trim() === ''}>
          Give it up
        </button>
        <button type="button" className="button min-h-11" onClick={() => setGiving(false)}>
          Back
        </button>
      </div>
    </form>
  ) : (
    <button
      type="button"
      className="no-print mt-3 min-h-11 text-soft underline"
      onClick={() => setGiving(true)}
    >
      Give it up…
    </button>
  );
}

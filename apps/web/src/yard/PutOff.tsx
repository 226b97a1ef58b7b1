import { type Day, type Expectation, plusDays } from '@yellow-cell/core';
import { type FormEvent, useState } from 'react';
import { draft, useLog } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';

interface PutOffProps {
  box: string;
  colony: string;
  work: Pick<Expectation, 'kind' | 'key'>;
  title: string;
  on: Day;
}
const USUAL_DAYS = 3;

/** A rule never hides: its work is put off to a day, or dismissed, and the reason stays with the entry. */
export function PutOff({ box, colony, work, title, on }: PutOffProps) {
  const log = useLog();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const [until, setUntil] = useState(plusDays(on, USUAL_DAYS));
  const given = reason.trim() !== '';
  const put = (to: Day | null) =>
    log(`${title} ${to ? 'put off' : 'dismissed'}`, [
      draft(
        'workPutOff',
        { box, colony, work: work.kind, until: to, ...(work.key === undefined ? {} : { key: work.key }) },
        reason.trim(),
      ),
    ]);
  const putOff = (event: FormEvent) => {
    event.preventDefault();
    if (given && until > on) void put(until);
  };
  return (
    <details onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="min-h-11 py-2.5 text-soft">Not now, or not at all</summary>
      {open && (
        <form onSubmit={putOff} className="mt-1">
          <TextField
            label="Why"
            value={reason}
            maxLength={300}
            onChange={({ target }) => setReason(target.value)}
          />
          <TextField
            label="Until"
            type="date"
            value={until}
            problem={until > on ? undefined : 'A day that is still to come.'}
            onChange={({ target }) => setUntil(target.value)}
          />
          <div className="flex gap-2">
            <button type="submit" className="button min-h-11" disabled={!given || until <= on}>
              Put it off
            </button>
            <button
              type="button"
              className="button min-h-11"
              disabled={!given}
              onClick={() => void put(null)}
            >
              Dismiss it
            </button>
          </div>
        </form>
      )}
    </details>
  );
}

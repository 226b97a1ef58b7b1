import type { Warning } from '@yellow-cell/core';
import { type FormEvent, useState } from 'react';
import { useSay } from '../app/units.ts';
import { TextField } from '../parts/Field.tsx';
import { Notice } from '../parts/Notice.tsx';
import { SourceLink } from '../parts/SourceLink.tsx';

interface WarnedProps {
  warnings: readonly Warning[];
  onKeep: (reason: string) => Promise<void>;
  onCancel: () => void;
}

/** What a change would bring about, before it is kept; done all the same only with a reason, which stays with it. */
export function Warned({ warnings, onKeep, onCancel }: WarnedProps) {
  const say = useSay();
  const [reason, setReason] = useState('');
  const keep = (event: FormEvent) => {
    event.preventDefault();
    if (reason.trim() !== '') void onKeep(reason.trim());
  };
  return (
    <Notice kind="danger">
      {warnings.map(({ sentence, source }) => (
        <p key={sentence} role="alert">
          {say(sentence)}{' '}
          <span className="text-sm">
            <SourceLink source={source} />
          </span>
        </p>
      ))}
      <form onSubmit={keep}>
        <TextField
          label="Why it is done all the same"
          value={reason}
          maxLength={300}
          onChange={({ target }) => setReason(target.value)}
        />
        <div className="flex gap-2">
          <button type="submit" className="button" disabled={reason.trim() === ''}>
            Do it all the same
          </button>
          <button type="button" className="button button-main" onClick={onCancel}>
            Leave it
          </button>
        </div>
      </form>
    </Notice>
  );
}

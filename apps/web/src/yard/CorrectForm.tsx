import type { LogEvent } from '@yellow-cell/contract';
import { dayOf, endOfDay } from '@yellow-cell/core';
import { useState } from 'react';
import { type Draft, useLog } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';
import { Form } from './Form.tsx';

/** The same entry with another day or note, in place of the one before; the record keeps both. */
export function CorrectForm({
  event,
  title,
  onDone,
}: {
  event: LogEvent;
  title: string;
  onDone: () => void;
}) {
  const log = useLog();
  const before = dayOf(event.occurredAt, event.zone);
  const [day, setDay] = useState(before);
  const [note, setNote] = useState(event.note ?? '');
  const [problem, setProblem] = useState<string>();
  const save = async () => {
    const { kind, payload, zone } = event;
    const at = day === before ? event.occurredAt : endOfDay(day, zone);
    const delivery = await log(`Corrected: ${title}`, [
      { kind, payload, note, corrects: event.id, at } as Draft,
    ]);
    if (delivery.state === 'refused') setProblem(delivery.problems[0]?.sentence);
    else onDone();
  };
  return (
    <Form save="Correct it" onSave={save} onCancel={onDone}>
      <TextField
        label="It happened on"
        type="date"
        value={day}
        problem={problem}
        onChange={({ target }) => setDay(target.value || before)}
      />
      <TextField
        label="Note"
        value={note}
        maxLength={5_000}
        onChange={({ target }) => setNote(target.value)}
      />
    </Form>
  );
}

import type { FramePurpose } from '@yellow-cell/contract';
import { plusDays, purposeWords } from '@yellow-cell/core';
import { useState } from 'react';
import { draft, useLog } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Form } from '../yard/Form.tsx';
import type { YardView } from '../yard/useYard.ts';
import { type Place, takenOut } from './moves.ts';

/** A frame taken out: it stays out, and on the list of the day, until it is back in its place. */
export function OutForm({
  view,
  place,
  name,
  onDone,
}: {
  view: YardView;
  place: Place;
  name: string;
  onDone: () => void;
}) {
  const log = useLog();
  const [purpose, setPurpose] = useState<FramePurpose>('show');
  const [where, setWhere] = useState('');
  const [backBy, setBackBy] = useState(plusDays(view.on, 1));
  const [refused, setRefused] = useState<string>();
  const save = async () => {
    const delivery = await log(`${name} taken out`, [
      draft('framesMoved', {
        moves: takenOut(place),
        purpose,
        backBy,
        ...(where.trim() ? { where: where.trim() } : {}),
      }),
    ]);
    if (delivery.state === 'refused') setRefused(delivery.problems[0]?.sentence);
    else onDone();
  };
  return (
    <Form save="Taken out" onSave={() => void save()} onCancel={onDone}>
      {refused && (
        <p role="alert" className="text-danger">
          {refused}
        </p>
      )}
      {place.queenSeenOn && (
        <p className="mb-2 rounded bg-glow px-2 py-1">
          The queen was last seen on this frame. From a confined queen no frame leaves without a drawn one in
          its place.
        </p>
      )}
      <div className="grid grid-cols-2 gap-x-3">
        <SelectField
          label="What for"
          value={purpose}
          onChange={({ target }) => setPurpose(target.value as FramePurpose)}
        >
          {Object.entries(purposeWords).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </SelectField>
        <TextField
          label="Back by"
          type="date"
          value={backBy}
          onChange={({ target }) => setBackBy(target.value)}
        />
      </div>
      <TextField
        label="Where it is"
        value={where}
        maxLength={80}
        onChange={({ target }) => setWhere(target.value)}
      />
    </Form>
  );
}

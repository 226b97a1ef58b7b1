import type { FramePurpose } from '@yellow-cell/contract';
import { plusDays, purposeWords } from '@yellow-cell/core';
import { useState } from 'react';
import { draft } from '../app/useLog.ts';
import { Check } from '../parts/Check.tsx';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Form } from '../yard/Form.tsx';
import { useWarned } from '../yard/useWarned.tsx';
import type { YardView } from '../yard/useYard.ts';
import { combIn, type Place, takenOut } from './moves.ts';

/** A frame taken out: it stays out, and on the list of the day, until it is back in its place. */
export function OutForm({
  view,
  place,
  name,
  usual,
  onDone,
}: {
  view: YardView;
  place: Place;
  name: string;
  usual: FramePurpose;
  onDone: () => void;
}) {
  const [purpose, setPurpose] = useState<FramePurpose>(usual);
  const [where, setWhere] = useState('');
  const [backBy, setBackBy] = useState(plusDays(view.on, 1));
  // Where a queen is confined, every frame that leaves wants a drawn one in its place (handbook 8).
  const [comb, setComb] = useState(usual === 'graft');
  const comesBack = purpose !== 'reduce' && purpose !== 'graft' && !comb;
  const [refused, setRefused] = useState<string>();
  const { send, asking } = useWarned(view);
  const save = () => {
    const out = draft('framesMoved', {
      moves: [...takenOut(place), ...(comb ? combIn(place) : [])],
      purpose,
      ...(comesBack ? { backBy } : {}),
      ...(where.trim() ? { where: where.trim() } : {}),
    });
    return send(`${name} taken out`, [out], (delivery) => {
      if (delivery.state === 'refused') setRefused(delivery.problems[0]?.sentence);
      else onDone();
    });
  };
  if (asking) return <>{asking}</>;
  return (
    <Form save="Taken out" onSave={save} onCancel={onDone}>
      {refused && (
        <p role="alert" className="text-danger">
          {refused}
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
        {comesBack && (
          <TextField
            label="Back by"
            type="date"
            value={backBy}
            onChange={({ target }) => setBackBy(target.value)}
          />
        )}
      </div>
      <Check tall label="An empty drawn comb in its place" checked={comb} onChange={setComb} />
      <TextField
        label="Where it is"
        value={where}
        maxLength={80}
        onChange={({ target }) => setWhere(target.value)}
      />
    </Form>
  );
}

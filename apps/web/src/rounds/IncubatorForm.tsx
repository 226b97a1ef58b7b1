import { celsiusIn } from '@yellow-cell/core';
import { useState } from 'react';
import { useMeasures, useSay } from '../app/units.ts';
import { type Draft, draft } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import { Form } from '../yard/Form.tsx';

interface IncubatorFormProps {
  round: string;
  send: (title: string, drafts: readonly Draft[]) => Promise<void>;
  onCancel: () => void;
}

/** What the incubator shows, read by eye: nothing of it is preset. */
export function IncubatorForm({ round, send, onCancel }: IncubatorFormProps) {
  const say = useSay();
  const measures = useMeasures();
  const [degrees, setDegrees] = useState('');
  const [moist, setMoist] = useState('');
  const inside_C = celsiusIn(numberIn(degrees), measures);
  const humidity_pct = numberIn(moist);
  const badDegrees =
    inside_C >= 0 && inside_C <= 60 ? undefined : 'What an incubator can show, such as the 34.5 °C of cells.';
  const badMoist =
    moist.trim() === '' || (humidity_pct >= 0 && humidity_pct <= 100) ? undefined : 'From 0 to 100 %.';
  const save = () =>
    !badDegrees && !badMoist
      ? send('incubator read', [
          draft('incubatorRead', {
            round,
            temperature_C: Math.round(inside_C * 10) / 10,
            ...(moist.trim() === '' ? {} : { humidity_pct }),
          }),
        ])
      : undefined;
  return (
    <Form save="Read" onSave={save} onCancel={onCancel}>
      <div className="grid grid-cols-2 gap-x-3">
        <TextField
          label={`Temperature (°${measures.temperature})`}
          inputMode="decimal"
          required
          value={degrees}
          problem={degrees === '' || !badDegrees ? undefined : say(badDegrees)}
          onChange={({ target }) => setDegrees(target.value)}
        />
        <TextField
          label="Moist air (%)"
          inputMode="decimal"
          value={moist}
          problem={badMoist}
          onChange={({ target }) => setMoist(target.value)}
        />
      </div>
    </Form>
  );
}

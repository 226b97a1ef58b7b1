import { countOf, restsUntil, showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { newId } from '../app/ids.ts';
import { useSay } from '../app/units.ts';
import { draft } from '../app/useLog.ts';
import { Check } from '../parts/Check.tsx';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Form, type FormProps } from './Form.tsx';
import { useReadyFrames } from './useReadyFrames.ts';

const COUNTS = [
  ['sealedBrood', 'Frames of sealed brood'],
  ['stores', 'Frames of stores and pollen'],
  ['drawn', 'Drawn frames'],
  ['shakes', 'Shakes of bees'],
] as const;
type CountName = (typeof COUNTS)[number][0];

/** Bees and frames into a compartment: by default as handbook 5 has it, one of sealed brood, one of stores, the rest drawn. */
export function StockForm({ view, boxView, compartment, send, onCancel }: FormProps) {
  const say = useSay();
  const [counts, setCounts] = useState<Record<CountName, string>>({
    sealedBrood: '1',
    stores: '1',
    drawn: String(Math.max(0, compartment.frames - 2)),
    shakes: '2',
  });
  const ready = useReadyFrames(boxView.model.compartments[compartment.position]?.frames[0]?.format.id);
  const [openBrood, setOpenBrood] = useState(false);
  const [queen, setQueen] = useState<'none' | 'laying' | 'unknown'>('none');
  const isEmpty = compartment.colony === undefined;
  const givers = view.boxes.flatMap(({ box, compartments }) =>
    compartments.flatMap(({ name, colony }) =>
      colony && colony.id !== compartment.colony?.id
        ? [{ box: box.id, colony: colony.id, where: `${box.label} ${name}`, gaveOn: colony.gaveOn }]
        : [],
    ),
  );
  const [from, setFrom] = useState('');
  const giver = givers.find(({ colony }) => colony === from);
  const rested = giver && restsUntil(giver, view.constants);
  const number = (name: CountName) => Number(counts[name]);
  const problemOf = (name: CountName) =>
    /^\d{1,2}$/.test(counts[name].trim()) && number(name) <= (name === 'shakes' ? 40 : 20)
      ? undefined
      : 'A whole number from 0 is needed.';
  const frames = number('sealedBrood') + number('stores') + number('drawn');
  const tooMany =
    frames > compartment.frames
      ? `That is ${countOf(frames, 'frame')}; the compartment holds ${compartment.frames}.`
      : undefined;
  const stock = () => {
    if (tooMany || COUNTS.some(([name]) => problemOf(name))) return;
    const payload = {
      box: boxView.box.id,
      colony: compartment.colony?.id ?? newId(),
      bays: [...compartment.bays],
      frames: { sealedBrood: number('sealedBrood'), stores: number('stores'), drawn: number('drawn') },
      shakes: number('shakes'),
      openBrood,
      ...(queen === 'none' ? {} : { queen }),
      ...(giver ? { giver: { box: giver.box, colony: giver.colony } } : {}),
    };
    return send('stocked', [draft('stocked', payload)]);
  };
  return (
    <Form save="Stocked" onSave={stock} onCancel={onCancel}>
      <div className="grid grid-cols-2 gap-x-3">
        {COUNTS.map(([name, label]) => (
          <TextField
            key={name}
            label={label}
            inputMode="numeric"
            value={counts[name]}
            problem={problemOf(name)}
            onChange={({ target }) => setCounts({ ...counts, [name]: target.value })}
          />
        ))}
      </div>
      {ready && <p className="mb-2 text-sm text-soft">{ready}</p>}
      {tooMany && (
        <p role="alert" className="mb-2 text-danger">
          {tooMany}
        </p>
      )}
      <SelectField
        label="Bees and brood from"
        value={from}
        hint={
          giver?.gaveOn && rested && rested > view.on
            ? `It gave ${say(showDay(giver.gaveOn, view.on))}, and rests until ${say(showDay(rested, view.on))}.`
            : undefined
        }
        onChange={({ target }) => setFrom(target.value)}
      >
        <option value="">not recorded</option>
        {givers.map(({ colony, where }) => (
          <option key={colony} value={colony}>
            {where}
          </option>
        ))}
      </SelectField>
      {isEmpty && (
        <SelectField
          label="Queen among them"
          value={queen}
          onChange={({ target }) => setQueen(target.value as typeof queen)}
        >
          <option value="none">none</option>
          <option value="laying">their own, laying</option>
          <option value="unknown">not known</option>
        </SelectField>
      )}
      <Check tall label="Eggs or young larvae among it" checked={openBrood} onChange={setOpenBrood} />
      <p className="mb-2 text-sm text-soft">
        {queen === 'none'
          ? 'No old queen; keep it shut on vent and cool for one to three days, fed.'
          : 'A colony hived whole. Unknown stays unknown until eggs or brood are seen.'}
      </p>
    </Form>
  );
}

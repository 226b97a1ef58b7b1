import type { Feed } from '@yellow-cell/contract';
import {
  feedUse,
  feedWords,
  plusDays,
  readWeight,
  showDay,
  showWeight,
  storesPerKg,
} from '@yellow-cell/core';
import { useState } from 'react';
import { useMeasures, useSay } from '../app/units.ts';
import { draft } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Form, type FormProps, inColony } from './Form.tsx';
import { useProduct } from './useProduct.tsx';
import { useReadyFrames } from './useReadyFrames.ts';

export function FeedForm(props: FormProps) {
  const { boxView, compartment, view } = props;
  const { colony } = compartment;
  const ready = useReadyFrames(boxView.model.compartments[compartment.position]?.frames[0]?.format.id);
  const [feed, setFeed] = useState<Feed>('syrup11');
  const week_kg = (7 * feedUse(colony ?? {}, compartment, view.constants)) / storesPerKg(feed);
  const measures = useMeasures();
  const say = useSay();
  const [amount, setAmount] = useState(
    showWeight(colony?.strength ? Number(week_kg.toFixed(1)) : USUAL_FEED_KG, measures),
  );
  const amount_kg = readWeight(amount, measures.weight);
  const problem =
    amount_kg > 0 && amount_kg <= 30
      ? undefined
      : say('Feed is above 0 and at most 30 kg; with its unit, any is read.');
  return (
    <Form
      save="Fed"
      onSave={() =>
        problem === undefined &&
        props.send(`fed ${amount_kg} kg of ${feedWords[feed]}`, [
          draft('fed', { ...inColony(props), feed, amount_kg }),
        ])
      }
      onCancel={props.onCancel}
    >
      <SelectField label="Feed" value={feed} onChange={({ target }) => setFeed(target.value as Feed)}>
        {Object.entries(feedWords).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </SelectField>
      <TextField
        label={`How much (${measures.weight}, or with its unit)`}
        value={amount}
        problem={problem}
        hint={say(
          `${colony?.strength ? `${colony.strength.seams} seams of bees take` : 'Not counted yet, such a colony takes'} about ${week_kg.toFixed(1)} kg of it in a week. ${FEED_HINTS[feed] ?? ''} ${feed === 'storesFrame' ? (ready ?? '') : ''}`,
        )}
        onChange={({ target }) => setAmount(target.value)}
      />
    </Form>
  );
}

const USUAL_FEED_KG = 0.5;

/** What goes wrong with each (handbook 2, feeding ports; 7, frame by frame). */
const FEED_HINTS: Partial<Record<Feed, string>> = {
  syrup11: 'Liquid while days reach 12 °C; a jar in the shade, or it expands and drips.',
  syrup21: 'Liquid while days reach 12 °C; a jar in the shade, or it expands and drips.',
  patty:
    'No larger than they finish in a week; press the lid home after it, or a gap opens over the divider.',
  storesFrame: 'Next to the bees; from a healthy colony only.',
};

const USUAL_WEEKS = 6;

export function StripsForm(props: FormProps) {
  const say = useSay();
  const { view } = props;
  const { given, fields } = useProduct();
  const [outBy, setOutBy] = useState(plusDays(view.on, 7 * USUAL_WEEKS));
  const problem = outBy > view.on ? undefined : 'They come out after today.';
  return (
    <Form
      save="Put in"
      onSave={() =>
        given &&
        problem === undefined &&
        props.send(`${given.product} in, out by ${say(showDay(outBy))}`, [
          draft('stripsPut', { ...inColony(props), ...given, outBy }),
        ])
      }
      onCancel={props.onCancel}
    >
      {fields}
      <TextField
        label="Out by, as its label says"
        type="date"
        value={outBy}
        problem={problem}
        hint="Only what is authorised where you are, by its label: dose, weeks, temperature, supers off. The program computes no dose."
        onChange={({ target }) => setOutBy(target.value)}
      />
    </Form>
  );
}

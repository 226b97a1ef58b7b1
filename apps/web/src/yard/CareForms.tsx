import type { Feed } from '@yellow-cell/contract';
import { feedWords, plusDays, showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { draft } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import { Form, type FormProps, inColony } from './Form.tsx';

export function FeedForm(props: FormProps) {
  const [feed, setFeed] = useState<Feed>('syrup11');
  const [amount, setAmount] = useState('0.5');
  const amount_kg = numberIn(amount);
  const problem = amount_kg > 0 && amount_kg <= 30 ? undefined : 'Feed is above 0 and at most 30 kg.';
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
        label="How much (kg)"
        inputMode="decimal"
        value={amount}
        problem={problem}
        onChange={({ target }) => setAmount(target.value)}
      />
    </Form>
  );
}

const USUAL_WEEKS = 6;

export function StripsForm(props: FormProps) {
  const { view } = props;
  const [product, setProduct] = useState('');
  const [outBy, setOutBy] = useState(plusDays(view.on, 7 * USUAL_WEEKS));
  const problem = outBy > view.on ? undefined : 'They come out after today.';
  return (
    <Form
      save="Put in"
      onSave={() =>
        product.trim() !== '' &&
        problem === undefined &&
        props.send(`${product.trim()} in, out by ${showDay(outBy)}`, [
          draft('stripsPut', { ...inColony(props), product: product.trim(), outBy }),
        ])
      }
      onCancel={props.onCancel}
    >
      <TextField
        label="Product, by its label"
        required
        maxLength={80}
        value={product}
        onChange={({ target }) => setProduct(target.value)}
      />
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

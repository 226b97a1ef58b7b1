import type { Introduction, MiteMethod } from '@yellow-cell/contract';
import { useState } from 'react';
import { draft } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import { Form, type FormProps, inColony } from './Form.tsx';
import { queenName } from './queenName.ts';
import { useProduct } from './useProduct.tsx';

const METHODS: Readonly<Record<MiteMethod, string>> = {
  wash: 'Bees washed',
  sugar: 'Bees rolled in sugar',
  drop: 'Dropped by themselves',
};

/** Mites of so many bees, or that dropped in so many days; the limit is the breeder's own. */
export function MitesForm(props: FormProps) {
  const [method, setMethod] = useState<MiteMethod>('wash');
  const [mites, setMites] = useState('');
  const [of, setOf] = useState('300');
  const drop = method === 'drop';
  const [count, among] = [numberIn(mites), numberIn(of)];
  const whole = (value: number, least: number) => Number.isInteger(value) && value >= least;
  const good = whole(count, 0) && whole(among, 1) && among <= (drop ? 60 : 5_000);
  const limit = drop
    ? `Your limit: ${props.view.constants.mitesDrop_day} a day.`
    : `Your limit: ${props.view.constants.mites_pct} to a hundred bees. Know that the queen is not among them.`;
  return (
    <Form
      save="Counted"
      onSave={() =>
        good &&
        props.send(`${count} mites`, [
          draft('mitesCounted', {
            ...inColony(props),
            method,
            mites: count,
            ...(drop ? { days: among } : { bees: among }),
          }),
        ])
      }
      onCancel={props.onCancel}
    >
      <SelectField
        label="How"
        value={method}
        hint={limit}
        onChange={({ target }) => {
          const next = target.value as MiteMethod;
          setMethod(next);
          setOf(next === 'drop' ? '3' : '300');
        }}
      >
        {Object.entries(METHODS).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </SelectField>
      <div className="grid grid-cols-2 gap-x-3">
        <TextField
          label="Mites (how many)"
          inputMode="numeric"
          value={mites}
          problem={mites === '' || whole(count, 0) ? undefined : 'A whole number from 0.'}
          onChange={({ target }) => setMites(target.value)}
        />
        <TextField
          label={drop ? 'In days' : 'On so many bees'}
          inputMode="numeric"
          value={of}
          problem={whole(among, 1) ? undefined : 'A whole number from 1.'}
          onChange={({ target }) => setOf(target.value)}
        />
      </div>
    </Form>
  );
}

/** Treated once: what, and from which batch. */
export function TreatedForm(props: FormProps) {
  const { given, fields } = useProduct(
    'Only what is authorised where you are, by its label; mask, gloves and goggles against vapours. The program computes no dose.',
  );
  return (
    <Form
      save="Treated"
      onSave={() =>
        given && props.send(`treated, ${given.product}`, [draft('treated', { ...inColony(props), ...given })])
      }
      onCancel={props.onCancel}
    >
      {fields}
    </Form>
  );
}

const SEEN: Readonly<Record<Introduction, string>> = {
  candy: 'Still caged, the candy being eaten',
  released: 'Out of the cage',
  refused: 'Refused: balled, or dead',
};

/** How it goes with a queen that was given in a cage, until her eggs say that she is taken. */
export function IntroductionForm(props: FormProps) {
  const caged = props.compartment.queens.filter((queen) => queen.caged);
  const [what, setWhat] = useState<Introduction>('candy');
  const [queen, setQueen] = useState(caged[0]?.id ?? '');
  return (
    <Form
      save="Keep"
      onSave={() =>
        props.send(SEEN[what].toLowerCase(), [
          draft('introductionSeen', { ...inColony(props), what, ...(queen ? { queen } : {}) }),
        ])
      }
      onCancel={props.onCancel}
    >
      {caged.length > 1 && (
        <SelectField label="Which queen" value={queen} onChange={({ target }) => setQueen(target.value)}>
          {caged.map((each) => (
            <option key={each.id} value={each.id}>
              {queenName(each)}
            </option>
          ))}
        </SelectField>
      )}
      <SelectField
        label="What is seen"
        value={what}
        hint="A look through the lid; leave her three days, then eggs are the proof."
        onChange={({ target }) => setWhat(target.value as Introduction)}
      >
        {Object.entries(SEEN).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </SelectField>
    </Form>
  );
}

import type { Feed } from '@yellow-cell/contract';
import { feedWords, readWeight, showWeight } from '@yellow-cell/core';
import { type ReactNode, useState } from 'react';
import { useMeasures, useSay } from '../app/units.ts';
import { SelectField, TextField } from '../parts/Field.tsx';

const MOST_KG = 30;

/** What is fed and how much, in the breeder’s own weights. */
export function useFeed({
  usual_kg,
  label = 'How much',
  hint,
}: {
  usual_kg: number;
  label?: string;
  hint?: (feed: Feed) => string;
}): { feed: Feed; amount_kg: number; problem: string | undefined; fields: ReactNode } {
  const say = useSay();
  const measures = useMeasures();
  const [feed, setFeed] = useState<Feed>('syrup11');
  const [amount, setAmount] = useState(showWeight(usual_kg, measures));
  const amount_kg = readWeight(amount, measures.weight);
  const problem =
    amount_kg > 0 && amount_kg <= MOST_KG
      ? undefined
      : say(`Feed is above 0 and at most ${MOST_KG} kg; with its unit, any is read.`);
  const fields = (
    <>
      <SelectField label="Feed" value={feed} onChange={({ target }) => setFeed(target.value as Feed)}>
        {Object.entries(feedWords).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </SelectField>
      <TextField
        label={`${label} (${measures.weight}, or with its unit)`}
        value={amount}
        problem={problem}
        hint={hint && say(hint(feed))}
        onChange={({ target }) => setAmount(target.value)}
      />
    </>
  );
  return { feed, amount_kg, problem, fields };
}

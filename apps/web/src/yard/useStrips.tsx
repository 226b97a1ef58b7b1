import { plusDays } from '@yellow-cell/core';
import { type ReactNode, useState } from 'react';
import { TextField } from '../parts/Field.tsx';
import { useProduct } from './useProduct.tsx';

const USUAL_WEEKS = 6;

/** Strips by their label, and the day by which they come out; undefined until both are right. */
export function useStrips(on: string): {
  given: { product: string; batch?: string; outBy: string } | undefined;
  fields: ReactNode;
} {
  const { given, fields } = useProduct();
  const [outBy, setOutBy] = useState(plusDays(on, 7 * USUAL_WEEKS));
  const problem = outBy > on ? undefined : 'They come out after today.';
  return {
    given: given && problem === undefined ? { ...given, outBy } : undefined,
    fields: (
      <>
        {fields}
        <TextField
          label="Out by, as its label says"
          type="date"
          value={outBy}
          problem={problem}
          hint="Only what is authorised where you are, by its label: dose, weeks, temperature, supers off. The program computes no dose."
          onChange={({ target }) => setOutBy(target.value)}
        />
      </>
    ),
  };
}

import { type ReactNode, useState } from 'react';
import { TextField } from '../parts/Field.tsx';

/** What is put in against mites, by its label, and from which batch; undefined until it is named. */
export function useProduct(hint?: string): {
  given: { product: string; batch?: string } | undefined;
  fields: ReactNode;
} {
  const [typed, setProduct] = useState('');
  const [typedBatch, setBatch] = useState('');
  const [product, batch] = [typed.trim(), typedBatch.trim()];
  return {
    given: product === '' ? undefined : { product, ...(batch ? { batch } : {}) },
    fields: (
      <>
        <TextField
          label="Product, by its label"
          required
          maxLength={80}
          value={typed}
          hint={hint}
          onChange={({ target }) => setProduct(target.value)}
        />
        <TextField
          label="Batch"
          maxLength={40}
          value={typedBatch}
          onChange={({ target }) => setBatch(target.value)}
        />
      </>
    ),
  };
}

import type { NestAnswer } from '@yellow-cell/contract';
import { type Constants, type SheetGroup, stockAfter } from '@yellow-cell/core';
import { useState } from 'react';
import { ApiError } from '../app/api.ts';
import { newId } from '../app/ids.ts';
import { useToast } from '../parts/Toast.tsx';
import { useOnce } from '../parts/useOnce.ts';
import { saveWorkshop } from '../workshop/saveWorkshop.ts';

interface CutNowProps {
  groups: readonly SheetGroup[];
  found: ReadonlyMap<string, NestAnswer>;
  constants: Constants;
  ready: boolean;
}

/** Once it is sawn: pieces at hand leave the stock, and offcuts worth keeping enter it. */
export function CutNow({ groups, found, constants, ready }: CutNowProps) {
  const [problem, setProblem] = useState('');
  const toast = useToast();
  const cut = useOnce(async () => {
    const sawn = groups.flatMap((group) => {
      const answer = found.get(group.key);
      return answer ? [{ group, answer }] : [];
    });
    try {
      setProblem('');
      const back = await saveWorkshop(({ stock }) => ({
        stock: stockAfter(stock, sawn, constants, newId),
      }));
      toast({ text: 'Stock is as it is after sawing.', undo: async () => void (await saveWorkshop(back)) });
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setProblem(error.message);
    }
  });
  return (
    <div className="no-print mt-3 flex flex-wrap items-center gap-3">
      <button type="button" className="button" disabled={!ready || found.size === 0} onClick={cut}>
        Sawn: take it from stock, keep the offcuts
      </button>
      {problem && (
        <p role="alert" className="text-danger">
          {problem}
        </p>
      )}
    </div>
  );
}

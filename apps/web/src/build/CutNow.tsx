import { useSuspenseQuery } from '@tanstack/react-query';
import type { NestAnswer, Settings, Workshop } from '@yellow-cell/contract';
import { defaultConstants, type SheetGroup, stockAfter } from '@yellow-cell/core';
import { useState } from 'react';
import { ApiError, sendJson } from '../app/api.ts';
import { newId } from '../app/ids.ts';
import { queries, sessionQuery } from '../app/queries.ts';
import { useToast } from '../parts/Toast.tsx';

interface CutNowProps {
  groups: readonly SheetGroup[];
  found: ReadonlyMap<string, NestAnswer>;
  workshop: Workshop;
  ready: boolean;
}

/** Once it is sawn: pieces at hand leave the stock, and offcuts worth keeping enter it. */
export function CutNow({ groups, found, workshop, ready }: CutNowProps) {
  const { settings } = useSuspenseQuery(sessionQuery).data;
  const [problem, setProblem] = useState('');
  const toast = useToast();
  const put = async (stock: Workshop['stock']) => {
    const now = queries.getQueryData(sessionQuery.queryKey)?.settings ?? settings;
    await sendJson<Settings>('PUT', '/settings', { ...now, workshop: { ...workshop, stock } });
    await queries.invalidateQueries({ queryKey: sessionQuery.queryKey });
  };
  const cut = async () => {
    const sawn = groups.flatMap((group) => {
      const answer = found.get(group.key);
      return answer ? [{ group, answer }] : [];
    });
    const after = stockAfter(workshop.stock, sawn, defaultConstants.keepOffcut_mm, newId);
    try {
      setProblem('');
      await put(after);
      toast({ text: 'Stock is as it is after sawing.', undo: () => put(workshop.stock) });
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setProblem(error.message);
    }
  };
  return (
    <div className="no-print mt-3 flex flex-wrap items-center gap-3">
      <button
        type="button"
        className="button"
        disabled={!ready || found.size === 0}
        onClick={() => void cut()}
      >
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

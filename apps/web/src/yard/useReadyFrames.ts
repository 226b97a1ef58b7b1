import { useSuspenseQuery } from '@tanstack/react-query';
import { readyFrames, spareCombWords } from '@yellow-cell/core';
import { sessionQuery } from '../app/queries.ts';

/** What the register has of frames of a format, in a line; undefined where nothing of it is kept. */
export function useReadyFrames(format: string | undefined): string | undefined {
  const { settings } = useSuspenseQuery(sessionQuery).data;
  const ready = format ? readyFrames(settings.workshop?.register ?? [], format) : [];
  return ready.length === 0
    ? undefined
    : `In the register: ${ready.map(({ comb, count }) => `${count} ${spareCombWords[comb]}`).join(', ')}.`;
}

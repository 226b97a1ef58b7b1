import { useQuery } from '@tanstack/react-query';
import { readyFrames, spareCombWords } from '@yellow-cell/core';
import { workshopQuery } from '../app/queries.ts';

/** What the register has of frames of a format, in a line; undefined where nothing of it is kept. */
export function useReadyFrames(format: string | undefined): string | undefined {
  const { data } = useQuery(workshopQuery);
  const ready = format && data ? readyFrames(data.register, format) : [];
  return ready.length === 0
    ? undefined
    : `In the register: ${ready.map(({ comb, count }) => `${count} ${spareCombWords[comb]}`).join(', ')}.`;
}

import { useSearchParams } from 'react-router';
import { paramsNow } from '../app/address.ts';
import { useStable } from '../parts/useStable.ts';

/** What is chosen in the yard, kept in the address: a box, or one compartment of it by its first bay. */
export interface Choice {
  box: string | undefined;
  bay: string | undefined;
  choose(box?: string, bay?: string): void;
}

export function useChoice(): Choice {
  const [params, setParams] = useSearchParams();
  // The router's changes with the address; hundreds of boxes on a map take this one, and are not drawn anew for that.
  const choose = useStable((box?: string, bay?: string) => setParams((before) => chosenIn(before, box, bay)));
  return { box: params.get('box') ?? undefined, bay: params.get('bay') ?? undefined, choose };
}

function chosenIn(before: URLSearchParams, box?: string, bay?: string): URLSearchParams {
  const next = paramsNow(before);
  for (const [key, value] of [
    ['box', box],
    ['bay', bay],
  ] as const) {
    if (value) next.set(key, value);
    else next.delete(key);
  }
  // What was about to be done where one was is not done elsewhere.
  for (const key of ['build', 'begin', 'round']) next.delete(key);
  return next;
}

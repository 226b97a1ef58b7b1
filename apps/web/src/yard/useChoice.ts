import { useSearchParams } from 'react-router';
import { paramsNow } from '../app/address.ts';

/** What is chosen in the yard, kept in the address: a box, or one compartment of it by its first bay. */
export interface Choice {
  box: string | undefined;
  bay: string | undefined;
  choose(box?: string, bay?: string): void;
}

export function useChoice(): Choice {
  const [params, setParams] = useSearchParams();
  return {
    box: params.get('box') ?? undefined,
    bay: params.get('bay') ?? undefined,
    choose: (box, bay) =>
      setParams((before) => {
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
      }),
  };
}

import { useSyncExternalStore } from 'react';

/** A phone held upright: lists before maps, and less fetched beforehand. As wide as Tailwind's `max-sm`. */
export const isNarrow = (): boolean => window.matchMedia('(max-width: 640px)').matches;

const WIDE = '(min-width: 64rem)';
/** Room for a second column beside a list, by now. As wide as Tailwind's `lg`. */
export const useWide = (): boolean =>
  useSyncExternalStore(
    (changed) => {
      const wide = window.matchMedia(WIDE);
      wide.addEventListener('change', changed);
      return () => wide.removeEventListener('change', changed);
    },
    () => window.matchMedia(WIDE).matches,
  );

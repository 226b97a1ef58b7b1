import { lazy, Suspense, useState } from 'react';
import { FIND, findLabel } from './find.ts';
import { useKeys } from './useKeys.ts';

/** The list with its keyboard manners is loaded when somebody first looks for something. */
const Finder = lazy(async () => ({ default: (await import('./Finder.tsx')).Finder }));

export function QuickLine() {
  const [wanted, setWanted] = useState(0);
  useKeys({ '/': () => setWanted((count) => count + 1) });
  const resting = (
    <div className="relative flex-1 sm:w-64 sm:flex-none">
      <input
        aria-label={findLabel}
        className="field pr-8"
        placeholder={FIND}
        readOnly
        onFocus={() => setWanted(1)}
      />
      <kbd
        aria-hidden
        className="absolute right-2 top-1.5 rounded border border-hairline px-1.5 text-sm text-soft"
      >
        /
      </kbd>
    </div>
  );
  if (wanted === 0) return resting;
  return (
    <Suspense fallback={resting}>
      <Finder key={wanted} />
    </Suspense>
  );
}

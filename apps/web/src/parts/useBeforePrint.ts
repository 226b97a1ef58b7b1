import { useEffect } from 'react';
import { flushSync } from 'react-dom';
import { useStable } from './useStable.ts';

/** What must be on the page before it is printed, however that was asked for. */
export function useBeforePrint(show: () => void): void {
  const all = useStable(show);
  useEffect(() => {
    const onPrint = () => flushSync(() => all());
    window.addEventListener('beforeprint', onPrint);
    return () => window.removeEventListener('beforeprint', onPrint);
  }, [all]);
}

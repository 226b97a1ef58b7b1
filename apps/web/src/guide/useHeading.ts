import { type RefObject, useEffect } from 'react';
import { useLocation } from 'react-router';

/** Goes to the heading that the address names. */
export function useHeading(page: RefObject<HTMLElement | null>): void {
  const { hash } = useLocation();
  useEffect(() => {
    if (hash === '') return;
    const heading = page.current?.querySelector<HTMLElement>(`[id="${decodeURIComponent(hash.slice(1))}"]`);
    heading?.closest('details')?.setAttribute('open', '');
    heading?.scrollIntoView();
    heading?.focus({ preventScroll: true });
  }, [hash, page]);
}

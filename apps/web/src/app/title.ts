import { type RefObject, useEffect } from 'react';

const NAME = 'Yellow Cell';
let heading = '';
let pressing: string | undefined;

const show = (): void => {
  document.title = pressing ?? (heading === '' ? NAME : `${heading} · ${NAME}`);
};

/** The page is called what its screen is called, whichever screen it is and whenever its name comes. */
export function useHeadingAsTitle(place: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const element = place.current;
    if (!element) return undefined;
    const look = (): void => {
      heading = element.querySelector('h1')?.textContent?.replaceAll(/\s+/g, ' ').trim() ?? '';
      show();
    };
    let asked = 0;
    const observer = new MutationObserver(() => {
      cancelAnimationFrame(asked);
      asked = requestAnimationFrame(look);
    });
    observer.observe(element, { childList: true, subtree: true, characterData: true });
    look();
    return () => {
      observer.disconnect();
      cancelAnimationFrame(asked);
    };
  }, [place]);
}

/** What cannot wait stands in its place while it lasts. */
export function usePressingTitle(words: string | undefined): void {
  useEffect(() => {
    if (!words) return undefined;
    pressing = words;
    show();
    return () => {
      pressing = undefined;
      show();
    };
  }, [words]);
}

import { quickText, setQuickText } from './quickText.ts';

/**
 * From the first moment of the page, before anything is drawn: `/` and all that follows it go into the quick line, so
 * that no key is lost and no shortcut fires while it is waited for.
 */
let waiting = true;
let taken = false;

globalThis.addEventListener?.(
  'keydown',
  (event) => {
    if (!waiting || event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return;
    if (!taken && event.key !== '/') return;
    const typed = taken ? textAfter(event.key) : quickText();
    taken = event.key !== 'Escape';
    if (typed === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    setQuickText(typed);
  },
  { capture: true },
);

function textAfter(key: string): string | undefined {
  if (key === 'Backspace') return quickText().slice(0, -1);
  if (key === 'Escape') return '';
  return key.length === 1 ? quickText() + key : undefined;
}

/** The line is there now and takes its own keys; true where somebody was typing into it already. */
export function earlyKeysEnd(): boolean {
  const wanted = taken;
  waiting = false;
  taken = false;
  return wanted;
}

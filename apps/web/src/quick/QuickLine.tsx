import { lazy, memo, Suspense, useEffect, useRef, useState } from 'react';
import { useKeys } from '../app/useKeys.ts';
import { earlyKeysEnd } from './earlyKeys.ts';
import { FIND, findLabel } from './find.ts';
import type { PanelKeys, Span } from './QuickPanel.tsx';
import { setQuickText, useQuickText } from './quickText.ts';

/** What a line is understood as, and what it finds, is loaded when somebody first types. */
const QuickPanel = lazy(async () => ({ default: (await import('./QuickPanel.tsx')).QuickPanel }));

/** One line to find things and to enter what was done (key `/`). It is there with the page and takes every key. */
export const QuickLine = memo(function QuickLine() {
  const typed = useQuickText();
  const [open, setOpen] = useState(false);
  const [unread, setUnread] = useState<readonly Span[]>([]);
  const [active, setActive] = useState<string>();
  const [scrolled, setScrolled] = useState(0);
  const whole = useRef<HTMLElement>(null);
  const input = useRef<HTMLInputElement>(null);
  const panel = useRef<PanelKeys>(null);
  /** Enter that was pressed before there was anybody to answer it. */
  const entered = useRef(false);
  useEffect(() => {
    if (earlyKeysEnd()) input.current?.focus();
  }, []);
  useKeys({ '/': () => input.current?.focus() });
  const close = (): void => {
    setOpen(false);
    setUnread([]);
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  };
  const shown = open && typed.trim() !== '';
  return (
    <search
      ref={whole}
      className="relative flex-1 sm:w-72 sm:flex-none lg:focus-within:w-[30rem]"
      onBlur={({ relatedTarget }) => {
        if (!whole.current?.contains(relatedTarget)) setOpen(false);
      }}
      onKeyDown={({ key, nativeEvent }) => {
        if (key !== 'Escape' || nativeEvent.isComposing) return;
        setQuickText('');
        close();
      }}
    >
      <Underlined typed={typed} spans={shown ? unread : []} scrolled={scrolled} />
      <input
        ref={input}
        role="combobox"
        aria-label={findLabel}
        aria-expanded={shown}
        aria-controls="quick-panel"
        aria-autocomplete="list"
        aria-activedescendant={shown ? active : undefined}
        className="field relative bg-transparent pr-8 pointer-coarse:pr-2"
        placeholder={FIND}
        autoComplete="off"
        autoCapitalize="none"
        spellCheck={false}
        enterKeyHint="done"
        value={typed}
        onFocus={() => setOpen(true)}
        onScroll={({ currentTarget }) => setScrolled(currentTarget.scrollLeft)}
        onChange={({ target }) => {
          setQuickText(target.value);
          setOpen(true);
          entered.current = false;
        }}
        onKeyDown={(event) => {
          if (event.nativeEvent.isComposing) return;
          if (event.key === 'Enter') {
            event.preventDefault();
            if (panel.current) panel.current.enter();
            else entered.current = true;
          } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            setOpen(true);
            panel.current?.move(event.key === 'ArrowDown' ? 1 : -1);
          }
        }}
      />
      <kbd
        aria-hidden
        className="absolute right-2 top-1.5 pointer-coarse:hidden rounded border border-hairline px-1.5 text-sm text-soft"
      >
        /
      </kbd>
      {shown && (
        <Suspense fallback={null}>
          <QuickPanel
            ref={panel}
            typed={typed}
            input={input}
            entered={entered}
            onUnread={setUnread}
            onActive={setActive}
            onDone={close}
          />
        </Suspense>
      )}
    </search>
  );
});

/** Behind the field: the same text, unseen but for the line under what was not understood. */
function Underlined({ typed, spans, scrolled }: { typed: string; spans: readonly Span[]; scrolled: number }) {
  let at = 0;
  return (
    <div aria-hidden className="field absolute inset-0 overflow-hidden whitespace-pre pr-8 text-transparent">
      <span className="relative" style={{ left: -scrolled }}>
        {spans.map(({ start, end }) => {
          const before = typed.slice(at, start);
          at = end;
          return (
            <span key={start}>
              {before}
              <u
                className="decoration-wavy decoration-2"
                style={{ textDecorationColor: 'var(--color-danger)' }}
              >
                {typed.slice(start, end)}
              </u>
            </span>
          );
        })}
      </span>
    </div>
  );
}

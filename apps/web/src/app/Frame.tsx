import { useQueryErrorResetBoundary, useSuspenseQuery } from '@tanstack/react-query';
import { BookOpen, CircleHelp, Settings2 } from 'lucide-react';
import { lazy, type ReactNode, Suspense, useEffect, useRef, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { DrawingDefs } from '../drawing/BoxShapes.tsx';
import { ToastProvider, useUndo } from '../parts/Toast.tsx';
import { useStable } from '../parts/useStable.ts';
import { QuickLine } from '../quick/QuickLine.tsx';
import { Ribbon } from '../ribbon/Ribbon.tsx';
import { Connection } from './Connection.tsx';
import { ErrorScreen } from './ErrorScreen.tsx';
import { ShownDay, useAsOf } from './now.ts';
import { places } from './places.ts';
import { sessionQuery } from './queries.ts';
import { Standing } from './Standing.tsx';
import { DatePill, ThumbBar } from './ThumbBar.tsx';
import { useHeadingAsTitle } from './title.ts';
import { MeasuresContext } from './units.ts';
import { useKeys } from './useKeys.ts';

const ClockBar = lazy(async () => ({ default: (await import('../playbooks/ClockBar.tsx')).ClockBar }));
// Dialogs are opened seldom; their code comes when they are.
const KeyList = lazy(async () => ({ default: (await import('./KeyList.tsx')).KeyList }));
const SettingsDialog = lazy(async () => ({ default: (await import('./SettingsDialog.tsx')).SettingsDialog }));

/** What stands on every screen: place bar, quick line, ribbon, and below them the place. */
export function Frame() {
  return (
    <>
      <DrawingDefs />
      <Suspense fallback={<Waiting />}>
        <InMeasures>
          <ShownDay>
            <ToastProvider>
              <Desk />
            </ToastProvider>
          </ShownDay>
        </InMeasures>
      </Suspense>
    </>
  );
}

/** All that is drawn and said stands in the breeder's own measures. */
function InMeasures({ children }: { children: ReactNode }) {
  const { measures } = useSuspenseQuery(sessionQuery).data.settings;
  return <MeasuresContext value={measures}>{children}</MeasuresContext>;
}

const SLOW_MS = 3_000;

/** Loading; after a while it says that nobody answers yet. */
function Waiting() {
  const [slow, setSlow] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setSlow(true), SLOW_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <p className="h-full bg-sheet p-6 text-soft" role="status">
      {slow ? 'The server does not answer yet. Trying again…' : 'Loading…'}
    </p>
  );
}

type Open = 'keys' | 'settings' | undefined;

function Desk() {
  const [open, setOpen] = useState<Open>();
  const { today, isToday, setOn, moveOn } = useAsOf();
  // On a phone the year is opened by the day that stands in its place.
  const [year, setYear] = useState(false);
  const place = useRef<HTMLDivElement>(null);
  useHeadingAsTitle(place);
  const openYear = useStable(() => setYear(!year));
  const navigate = useNavigate();
  const { pathname, search } = useLocation();
  const { reset } = useQueryErrorResetBoundary();
  const undo = useUndo();
  const onDate = new URLSearchParams(search).get('on');
  const kept = onDate ? `?on=${onDate}` : '';
  useKeys({
    '[': () => moveOn(-1),
    ']': () => moveOn(1),
    '{': () => moveOn(-7),
    '}': () => moveOn(7),
    t: () => setOn(today),
    '?': () => setOpen('keys'),
    u: () => undo?.(),
    ...Object.fromEntries(places.map(({ key, path }) => [key, () => navigate(path + kept)])),
  });
  return (
    <div className="flex h-full flex-col">
      <a
        href="#place"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-slip focus:p-2"
      >
        Skip to the place
      </a>
      <header className="no-print flex items-center gap-x-2 px-3 pt-1.5 max-sm:pb-1.5 sm:items-end sm:gap-x-4 sm:px-5 sm:pt-2">
        <NavLink
          to={`/yard${kept}`}
          className="flex items-center gap-2 pb-2 font-head text-lg font-bold max-sm:hidden"
          aria-label="Yellow Cell, to the yard"
        >
          <img src="/icon.svg" alt="" width={24} height={24} />
          <span>Yellow Cell</span>
        </NavLink>
        <nav aria-label="Places" className="flex min-w-0 flex-1 max-sm:hidden">
          {places.map(({ path, name }) => (
            <NavLink
              key={path}
              to={path + kept}
              className={({ isActive }) =>
                `rounded-t-xl border-t-4 px-4 pb-2 pt-1 font-semibold ${isActive ? 'border-yellow bg-sheet text-ink' : 'border-transparent text-soft hover:text-ink'}`
              }
            >
              {name}
            </NavLink>
          ))}
        </nav>
        <DatePill open={year} onOpen={openYear} />
        <Connection />
        <div className="flex items-center gap-1 max-sm:min-w-0 max-sm:flex-1 sm:pb-1.5">
          <QuickLine />
          <button
            type="button"
            className="rounded p-2 max-sm:p-3"
            aria-label="Settings"
            title="Settings"
            onClick={() => setOpen('settings')}
          >
            <Settings2 size={19} aria-hidden />
          </button>
          <NavLink to="/guide" className="rounded p-2 max-sm:hidden" aria-label="Guide" title="Guide">
            <BookOpen size={19} aria-hidden />
          </NavLink>
          <button
            type="button"
            className="rounded p-2 max-sm:hidden"
            aria-label="Keys"
            title="Keys (?)"
            onClick={() => setOpen('keys')}
          >
            <CircleHelp size={19} aria-hidden />
          </button>
        </div>
      </header>
      <div className={year || !isToday ? '' : 'max-sm:hidden'}>
        <Ribbon />
      </div>
      <Standing />
      <div id="place" ref={place} className="min-h-0 flex-1">
        <ErrorBoundary FallbackComponent={ErrorScreen} resetKeys={[pathname]} onReset={reset}>
          <Suspense fallback={<Waiting />}>
            <Outlet />
          </Suspense>
        </ErrorBoundary>
      </div>
      {/* Below the place: what is pressed there stays where it is when a clock comes or goes. */}
      <Suspense>
        <ClockBar />
      </Suspense>
      <ThumbBar kept={kept} />
      <Suspense>
        {open === 'keys' && <KeyList onClose={() => setOpen(undefined)} />}
        {open === 'settings' && <SettingsDialog onClose={() => setOpen(undefined)} />}
      </Suspense>
    </div>
  );
}

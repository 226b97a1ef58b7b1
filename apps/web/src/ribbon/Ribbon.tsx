import { useQuery, useSuspenseQuery } from '@tanstack/react-query';
import { constantsWith, countOf, daysBetween, seasonYearOf, showDay } from '@yellow-cell/core';
import { type KeyboardEvent, memo, type PointerEvent, useMemo, useRef } from 'react';
import { useAsOf } from '../app/now.ts';
import { sessionQuery, yearQuery } from '../app/queries.ts';
import { useMeasures, useSay } from '../app/units.ts';
import { weekday } from '../app/weekday.ts';
import { useSize } from '../parts/useSize.ts';
import { DemoClock } from './DemoClock.tsx';
import { expectedTints } from './expectedTints.ts';
import { RibbonBand } from './RibbonBand.tsx';
import { yearScale } from './yearScale.ts';

const MARGIN = 20;
const HEIGHT = 64;

/** The year across the screen. Everything below it is as of the date that its handle stands on. */
export const Ribbon = memo(function Ribbon() {
  const say = useSay();
  const { on, today, isToday, place, setOn, moveOn } = useAsOf();
  const { data: session } = useSuspenseQuery(sessionQuery);
  const [ref, { width }] = useSize<HTMLDivElement>({ width: 1280, height: HEIGHT });
  const { weekStart } = useMeasures();
  const season = seasonYearOf(on, place?.latitude_deg ?? 0);
  const { data } = useQuery({
    ...yearQuery(String(season.year), place?.id ?? ''),
    enabled: place !== undefined,
  });
  const scale = yearScale(season, MARGIN, width - MARGIN);
  const { from, days } = scale;
  const climate = place && session.settings.climates?.[place.id];
  const own = place && session.settings.constants[place.id];
  const constants = useMemo(() => constantsWith(own), [own]);
  const expected = useMemo(
    () => (place ? expectedTints({ from, days }, climate, place.latitude_deg, constants) : []),
    [from, days, place, climate, constants],
  );
  const x = scale.x(on);

  return (
    <section aria-label="The year" className="no-print border-b border-hairline bg-sheet">
      <div ref={ref} className="relative" style={{ height: HEIGHT }}>
        <svg width={width} height={HEIGHT} aria-hidden className="absolute inset-0 block">
          <RibbonBand
            scale={scale}
            data={data}
            expected={expected}
            constants={constants}
            today={today}
            width={width}
            weekStart={weekStart}
          />
          <line x1={x} x2={x} y1={14} y2={HEIGHT} stroke="var(--ink)" strokeWidth={2} />
        </svg>
        <Handle
          x={x}
          width={width}
          date={on}
          isToday={isToday}
          from={season.from}
          dayAt={scale.dayAt}
          setOn={setOn}
          moveOn={moveOn}
        />
      </div>
      {(!isToday || session.demoClock) && (
        <p className="flex flex-wrap gap-x-4 gap-y-0.5 px-5 pb-1.5 text-sm">
          {!isToday && (
            <span>
              <strong>{on < today ? 'As it was' : 'As planned'}</strong> on {say(showDay(on))},{' '}
              {distance(today, on)}.{' '}
              <button type="button" className="font-semibold underline" onClick={() => setOn(today)}>
                Back to today
              </button>
            </span>
          )}
          {session.demoClock && <DemoClock today={today} session={session} setOn={setOn} />}
        </p>
      )}
    </section>
  );
});

function distance(today: string, on: string): string {
  const days = Math.abs(daysBetween(today, on));
  return `${countOf(days, 'day')} ${on < today ? 'ago' : 'ahead'}`;
}

interface HandleProps {
  x: number;
  width: number;
  date: string;
  isToday: boolean;
  from: string;
  dayAt: (x: number) => string;
  setOn: (day: string) => void;
  moveOn: (days: number) => void;
}

const FLAG = 104;

function Handle({ x, width, date, isToday, from, dayAt, setOn, moveOn }: HandleProps) {
  const say = useSay();
  const dragging = useRef(false);
  const toPointer = (event: PointerEvent<HTMLElement>) => {
    const left = event.currentTarget.parentElement?.getBoundingClientRect().left ?? 0;
    setOn(dayAt(event.clientX - left));
  };
  const onKey = (event: KeyboardEvent) => {
    const step = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -7, PageUp: 7 }[
      event.key
    ];
    if (step === undefined) return;
    event.preventDefault();
    moveOn(step);
  };
  const left = Math.min(Math.max(x - FLAG / 2, 2), width - FLAG - 2);
  return (
    <>
      {/* The band itself moves the handle where it is pressed; keys are on the handle. */}
      <div
        className="absolute inset-0 cursor-ew-resize touch-none"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          dragging.current = true;
          toPointer(event);
        }}
        onPointerMove={(event) => dragging.current && toPointer(event)}
        onPointerUp={() => {
          dragging.current = false;
        }}
      />
      <div
        role="slider"
        tabIndex={0}
        aria-label="Date shown"
        aria-valuemin={0}
        aria-valuemax={365}
        aria-valuenow={daysBetween(from, date)}
        aria-valuetext={say(showDay(date))}
        onKeyDown={onKey}
        className={`pointer-events-none absolute top-0 rounded-full py-0.5 text-center text-sm font-bold ${isToday ? 'bg-ink text-paper' : 'bg-yellow text-on-yellow'}`}
        style={{ left, width: FLAG }}
      >
        {weekday(date)} {say(showDay(date, date))}
      </div>
    </>
  );
}

import { useDrag } from '@use-gesture/react';
import { asAsked, type BoxView, countOf } from '@yellow-cell/core';
import { polygonContains } from 'd3-polygon';
import { line as lineOf } from 'd3-shape';
import { useState } from 'react';
import { Link } from 'react-router';

type Point = [number, number];

/** Boxes that stand on one another, and where in the window, in pixels. */
export interface StandInWindow {
  boxes: readonly string[];
  x: number;
  y: number;
}
export interface MapLassoProps {
  yard: string;
  boxes: readonly BoxView[];
  stands: readonly StandInWindow[];
  onDone: () => void;
}

/** A press this near to the middle of a box means it, in pixels. */
const NEAR_PX = 48;
const RING_PX = 22;
const NOBODY: ReadonlySet<string> = new Set();
const closed = lineOf<Point>();

/** Several boxes are chosen by a line drawn around them, or one by one, to enter the same for all of them. */
export function MapLasso({ yard, boxes, stands, onDone }: MapLassoProps) {
  const [chosen, setChosen] = useState(NOBODY);
  const [drawn, setDrawn] = useState<readonly Point[]>([]);
  const labels = boxes.flatMap(({ box }) => (chosen.has(box.id) ? [box.label] : []));
  const press = (x: number, y: number) => {
    const [nearest] = stands
      .map((each) => ({ ...each, away: Math.hypot(each.x - x, each.y - y) }))
      .filter(({ away }) => away <= NEAR_PX)
      .sort((a, b) => a.away - b.away);
    if (nearest) setChosen((now) => toggled(now, nearest.boxes));
  };
  const bind = useDrag(
    ({ xy: [x, y], event, tap, last, memo }) => {
      const { left, top } = (event.currentTarget as Element).getBoundingClientRect();
      const here: Point = [x - left, y - top];
      const line: Point[] = [...((memo as Point[] | undefined) ?? []), here];
      if (tap) press(...here);
      if (last && !tap) {
        const inside = stands.filter((each) => polygonContains(line, [each.x, each.y]));
        setChosen((now) => new Set([...now, ...inside.flatMap((each) => each.boxes)]));
      }
      setDrawn(last ? [] : line);
      return line;
    },
    { filterTaps: true },
  );
  return (
    <>
      <svg
        role="img"
        aria-label="Draw a line around boxes to choose them"
        className="absolute inset-0 size-full cursor-crosshair touch-none"
        {...bind()}
      >
        {stands
          .filter((each) => each.boxes.some((box) => chosen.has(box)))
          .map(({ boxes: [box], x, y }) => (
            <g key={box} transform={`translate(${x} ${y})`} fill="none" stroke="var(--ink)" strokeWidth={3}>
              <circle r={RING_PX} fill="var(--glow)" fillOpacity={0.5} />
              <path d="M-9 0 L-3 7 L10 -8" />
            </g>
          ))}
        <path
          d={closed([...drawn]) ?? undefined}
          fill="var(--glow)"
          fillOpacity={0.35}
          stroke="var(--ink)"
          strokeWidth={2}
          strokeDasharray="6 4"
        />
      </svg>
      <div className="no-print absolute inset-x-3 bottom-3 flex flex-wrap items-center gap-2 rounded-lg bg-sheet p-2">
        <p className="grow" role="status">
          {labels.length === 0 ? (
            'Draw around boxes, or press them.'
          ) : (
            <>
              <strong>{countOf(labels.length, 'box', 'boxes')}</strong>{' '}
              <span className="text-soft">{asAsked(labels)}</span>
            </>
          )}
        </p>
        {labels.length > 0 && (
          <>
            <button type="button" className="button min-h-12 font-normal" onClick={() => setChosen(NOBODY)}>
              None
            </button>
            <Link
              className="button button-main min-h-12"
              to={`/yard/${yard}/many?only=${encodeURIComponent(asAsked(labels))}`}
            >
              Enter for all
            </Link>
          </>
        )}
        <button type="button" className="button min-h-12 font-normal" onClick={onDone}>
          Done
        </button>
      </div>
    </>
  );
}

/** All of a stand are chosen together, and let go together. */
function toggled(now: ReadonlySet<string>, boxes: readonly string[]): ReadonlySet<string> {
  const next = new Set(now);
  const all = boxes.every((box) => now.has(box));
  for (const box of boxes)
    if (all) next.delete(box);
    else next.add(box);
  return next;
}

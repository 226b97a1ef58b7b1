import { useDrag } from '@use-gesture/react';
import { polygonContains } from 'd3-polygon';
import { line as lineOf } from 'd3-shape';
import { useState } from 'react';

type Point = [number, number];

/** Boxes that stand on one another, and where in the window, in pixels. */
export interface StandInWindow {
  boxes: readonly string[];
  x: number;
  y: number;
}
export interface MapLassoProps {
  stands: readonly StandInWindow[];
  chosen: ReadonlySet<string>;
  onChoose: (change: (now: ReadonlySet<string>) => ReadonlySet<string>) => void;
}

/** A press this near to the middle of a box means it, in pixels. */
const NEAR_PX = 48;
const RING_PX = 22;
const closed = lineOf<Point>();

/** Several boxes are chosen by a line drawn around them, or one by one. */
export function MapLasso({ stands, chosen, onChoose }: MapLassoProps) {
  const [drawn, setDrawn] = useState<readonly Point[]>([]);
  const press = (x: number, y: number) => {
    const [nearest] = stands
      .map((each) => ({ ...each, away: Math.hypot(each.x - x, each.y - y) }))
      .filter(({ away }) => away <= NEAR_PX)
      .sort((a, b) => a.away - b.away);
    if (nearest) onChoose((now) => toggled(now, nearest.boxes));
  };
  const bind = useDrag(
    ({ xy: [x, y], event, tap, last, memo }) => {
      const { left, top } = (event.currentTarget as Element).getBoundingClientRect();
      const here: Point = [x - left, y - top];
      const line: Point[] = [...((memo as Point[] | undefined) ?? []), here];
      if (tap) press(...here);
      if (last && !tap) {
        const inside = stands.filter((each) => polygonContains(line, [each.x, each.y]));
        onChoose((now) => new Set([...now, ...inside.flatMap((each) => each.boxes)]));
      }
      setDrawn(last ? [] : line);
      return line;
    },
    { filterTaps: true },
  );
  return (
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

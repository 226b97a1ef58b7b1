import type { Drawing, RectRole, RectShape } from '@yellow-cell/core';
import { type MouseEvent, memo } from 'react';
import type { Placing } from './place.ts';

interface BoxShapesProps {
  drawing: Drawing;
  placing: Placing;
  /** Fill and outline of a part, where they differ from its role's. */
  fillOf?: (shape: RectShape) => string | undefined;
  strokeOf?: (shape: RectShape) => string | undefined;
  onPress?: (shape: RectShape) => void;
  line?: number;
}

const FILL: Readonly<Record<RectRole, string>> = {
  wall: 'url(#wood)',
  ledge: 'var(--wood)',
  glass: 'url(#glass)',
  cheek: 'url(#board)',
  compartment: 'var(--cavity)',
  void: 'url(#void)',
  divider: 'url(#board)',
  sieve: 'url(#sieve)',
  follower: 'url(#follower)',
  frame: 'url(#comb)',
  lug: 'var(--wood)',
  bar: 'var(--wood)',
  cell: 'var(--comb)',
  cage: 'url(#sieve)',
  feeder: 'var(--sheet)',
  feed: 'url(#feed)',
  entrance: 'var(--cavity)',
  vent: 'url(#sieve)',
  floor: 'url(#wood)',
  rim: 'url(#wood)',
  sheet: 'url(#board)',
  roof: 'url(#wood)',
  hole: 'var(--cavity)',
  open: 'var(--cavity)',
};
const STROKE: Readonly<Partial<Record<RectRole, string>>> = {
  ledge: 'var(--wood-line)',
  compartment: 'none',
  void: 'none',
  frame: 'var(--comb-line)',
  lug: 'var(--wood-line)',
  bar: 'var(--wood-line)',
  feed: 'none',
};
const HEAVY: readonly RectRole[] = ['wall', 'glass', 'floor', 'roof'];

/** The parts of a box, as core projects them, in the order in which they cover each other. */
export function BoxShapes({ drawing, placing, fillOf, strokeOf, onPress, line = 1 }: BoxShapesProps) {
  const press = (event: MouseEvent<SVGGElement>) => {
    const index = Number((event.target as Element).getAttribute('data-index'));
    const shape = drawing.rects[index];
    if (shape) onPress?.(shape);
  };
  return (
    // Parts can be chosen by keyboard from their handles and the slip; here the drawing itself can be pressed.
    <g {...(onPress ? { onClick: press, className: 'cursor-pointer', 'aria-hidden': true } : {})}>
      {drawing.rects.map((shape, index) => {
        const { x, y, width, height } = placing.rect(shape);
        const stroke = strokeOf?.(shape);
        // Parts have ids, but a frame's two lugs share theirs: the place in the list tells them apart.
        const key = `${shape.role}-${shape.id}-${index}`;
        return (
          <Shape
            key={key}
            index={index}
            x={x}
            y={y}
            width={Math.max(0, width)}
            height={Math.max(0, height)}
            round={shape.round === true}
            fill={fillOf?.(shape) ?? FILL[shape.role]}
            stroke={stroke ?? STROKE[shape.role] ?? 'var(--ink)'}
            strokeWidth={stroke ? line * 2.2 : HEAVY.includes(shape.role) ? line * 1.3 : line * 0.8}
          />
        );
      })}
    </g>
  );
}

interface ShapeProps {
  index: number;
  x: number;
  y: number;
  width: number;
  height: number;
  round: boolean;
  fill: string;
  stroke: string;
  strokeWidth: number;
}

/** Drawn anew only where something of it changed: most of a box stays while one part is dragged. */
const Shape = memo(function Shape({ index, round, width, height, ...rect }: ShapeProps) {
  return (
    <rect
      data-index={index}
      width={width}
      height={height}
      {...(round ? { rx: Math.min(width, height) / 2 } : {})}
      {...rect}
    />
  );
});

/** Patterns that tell materials apart without colour; put once on the page. */
export function DrawingDefs() {
  return (
    <svg aria-hidden width={0} height={0} className="absolute">
      <defs>
        <pattern id="wood" width={60} height={7} patternUnits="userSpaceOnUse">
          <rect width={60} height={7} fill="var(--wood)" />
          <path
            d="M0 2.5c16 1.6 34-1.4 60 0M0 5.5c20-1 40 1 60 0"
            stroke="var(--wood-line)"
            strokeWidth={0.5}
            fill="none"
            opacity={0.7}
          />
        </pattern>
        <pattern id="board" width={6} height={6} patternUnits="userSpaceOnUse">
          <rect width={6} height={6} fill="var(--wood-line)" />
          <path d="M0 6 6 0" stroke="var(--ink)" strokeWidth={0.6} opacity={0.5} />
        </pattern>
        <pattern id="follower" width={7} height={7} patternUnits="userSpaceOnUse">
          <rect width={7} height={7} fill="var(--wood)" />
          <path d="M0 7 7 0M0 0 7 7" stroke="var(--ink)" strokeWidth={0.6} opacity={0.55} />
        </pattern>
        <pattern id="sieve" width={5} height={5} patternUnits="userSpaceOnUse">
          <rect width={5} height={5} fill="var(--cavity)" />
          <path d="M0 2.5H5M2.5 0V5" stroke="var(--ink)" strokeWidth={1} opacity={0.75} />
        </pattern>
        <pattern id="feed" width={10} height={6} patternUnits="userSpaceOnUse">
          <rect width={10} height={6} fill="var(--glow)" />
          <path d="M0 3c2.5-2 2.5-2 5 0s2.5 2 5 0" stroke="var(--soft)" strokeWidth={0.7} fill="none" />
        </pattern>
        <pattern id="glass" width={9} height={9} patternUnits="userSpaceOnUse">
          <rect width={9} height={9} fill="var(--sheet)" />
          <path d="M0 6 6 0M3 9 9 3" stroke="var(--soft)" strokeWidth={0.7} opacity={0.55} />
        </pattern>
        <pattern id="void" width={7} height={7} patternUnits="userSpaceOnUse">
          <rect width={7} height={7} fill="var(--paper)" />
          <circle cx={3.5} cy={3.5} r={0.8} fill="var(--soft)" opacity={0.5} />
        </pattern>
        <pattern id="comb" width={6} height={5.2} patternUnits="userSpaceOnUse">
          <rect width={6} height={5.2} fill="var(--comb)" />
          <circle cx={1.5} cy={1.3} r={0.75} fill="none" stroke="var(--comb-line)" strokeWidth={0.35} />
          <circle cx={4.5} cy={3.9} r={0.75} fill="none" stroke="var(--comb-line)" strokeWidth={0.35} />
        </pattern>
      </defs>
    </svg>
  );
}

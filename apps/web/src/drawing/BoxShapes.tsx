import type { Drawing, RectRole, RectShape } from '@yellow-cell/core';
import type { Placing } from './place.ts';

interface BoxShapesProps {
  drawing: Drawing;
  placing: Placing;
  /** Fill of a part, where it differs from its role's. */
  fillOf?: (shape: RectShape) => string | undefined;
  line?: number;
}

const FILL: Readonly<Record<RectRole, string>> = {
  wall: 'url(#wood)',
  compartment: 'var(--cavity)',
  divider: 'url(#board)',
  frame: 'url(#comb)',
  lug: 'var(--wood)',
  entrance: 'var(--cavity)',
};
const STROKE: Readonly<Record<RectRole, string>> = {
  wall: 'var(--ink)',
  compartment: 'none',
  divider: 'var(--ink)',
  frame: 'var(--comb-line)',
  lug: 'var(--wood-line)',
  entrance: 'var(--ink)',
};

/** The parts of a box from above, as core projects them, in the order in which they cover each other. */
export function BoxShapes({ drawing, placing, fillOf, line = 1 }: BoxShapesProps) {
  return drawing.rects.map((shape, index) => {
    const { x, y, width, height } = placing.rect(shape);
    // Parts have ids, but a frame's two lugs share theirs: the place in the list tells them apart.
    const key = `${shape.role}-${shape.id}-${index}`;
    return (
      <rect
        key={key}
        x={x}
        y={y}
        width={Math.max(0, width)}
        height={Math.max(0, height)}
        fill={fillOf?.(shape) ?? FILL[shape.role]}
        stroke={STROKE[shape.role]}
        strokeWidth={shape.role === 'wall' ? line * 1.3 : line * 0.8}
      />
    );
  });
}

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
        <pattern id="comb" width={6} height={5.2} patternUnits="userSpaceOnUse">
          <rect width={6} height={5.2} fill="var(--comb)" />
          <circle cx={1.5} cy={1.3} r={0.75} fill="none" stroke="var(--comb-line)" strokeWidth={0.35} />
          <circle cx={4.5} cy={3.9} r={0.75} fill="none" stroke="var(--comb-line)" strokeWidth={0.35} />
        </pattern>
      </defs>
    </svg>
  );
}

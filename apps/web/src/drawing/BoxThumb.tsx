import type { DesignContent } from '@yellow-cell/contract';
import { boxFromAbove, deriveBox, designProblems } from '@yellow-cell/core';
import { useMemo } from 'react';
import { BoxShapes } from './BoxShapes.tsx';
import { lying } from './place.ts';

/** Left free around a box that is drawn whole, at both ends together. */
const MARGIN_MM = 20;

/** A design small, from above. */
export function BoxThumb({
  design,
  width = 180,
  height = 140,
}: {
  design: DesignContent;
  width?: number;
  height?: number;
}) {
  const drawing = useMemo(
    () => (designProblems(design).length === 0 ? boxFromAbove(deriveBox(design)) : undefined),
    [design],
  );
  if (!drawing) return <p className="p-4 text-soft">This design cannot be drawn.</p>;
  const size = { along: drawing.y[1] - drawing.y[0], across: drawing.x[1] - drawing.x[0] };
  // All thumbnails share one scale, so that a small box looks small; one that is too long for it is drawn whole.
  const scale = Math.min(Math.min(width, height * 1.3) / 640, width / (size.along + MARGIN_MM));
  const placing = lying(scale, (width - size.along * scale) / 2, (height - size.across * scale) / 2, drawing);
  return (
    <svg aria-hidden viewBox={`0 0 ${width} ${height}`} width="100%" height={height}>
      <BoxShapes drawing={drawing} placing={placing} line={0.7} />
    </svg>
  );
}

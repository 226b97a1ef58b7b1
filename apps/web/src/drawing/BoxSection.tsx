import type { DesignContent } from '@yellow-cell/contract';
import { boxInSection, deriveBox, designProblems } from '@yellow-cell/core';
import { useMemo } from 'react';
import { BoxShapes } from './BoxShapes.tsx';
import { upright } from './place.ts';

/** A box cut open across its frames, small: what stands on what. */
export function BoxSection({
  design,
  width = 180,
  height = 140,
}: {
  design: DesignContent;
  width?: number;
  height?: number;
}) {
  const drawing = useMemo(
    () => (designProblems(design).length === 0 ? boxInSection(deriveBox(design), 'across') : undefined),
    [design],
  );
  if (!drawing) return null;
  const wide = drawing.x[1] - drawing.x[0];
  const high = drawing.y[1] - drawing.y[0];
  // To the scale of the thumbnail from above beside it, unless the stack is too high for that.
  const scale = Math.min(width / wide, height / high, Math.min(width, height * 1.3) / 640);
  const placing = upright(scale, (width - wide * scale) / 2, (height - high * scale) / 2, drawing);
  return (
    <svg
      role="img"
      aria-label="The stack, cut open across its frames"
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      height={height}
    >
      <BoxShapes drawing={drawing} placing={placing} line={0.7} />
    </svg>
  );
}

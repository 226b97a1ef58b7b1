import { type BoxModel, isEntrance } from '@yellow-cell/core';
import { MarkSign } from './MarkSign.tsx';
import { centreOf, type Placing, rectOf } from './place.ts';

interface EntranceArrowsProps {
  model: Pick<BoxModel, 'openings'>;
  placing: Placing;
  /** With the mark of each beyond its arrow, upright. */
  marked?: boolean;
}

/** Small arrows outside the wall where bees fly in, of a box from above with its front below. */
export function EntranceArrows({ model, placing, marked = false }: EntranceArrowsProps) {
  return model.openings.filter(isEntrance).map(({ id, opening, x, y }) => {
    const hole = placing.rect(rectOf(x, y));
    const { x: cx, y: cy } = centreOf(hole);
    const [dx, dy, turn] = {
      front: [0, hole.height / 2, -90],
      back: [0, -hole.height / 2, 90],
      left: [-hole.width / 2, 0, 0],
      right: [hole.width / 2, 0, 180],
    }[opening.side] as [number, number, number];
    return (
      <g key={id} transform={`translate(${cx + dx} ${cy + dy}) rotate(${turn})`}>
        <path d="M-12 -4.5V4.5L-3.5 0Z" fill="var(--ink)" />
        {marked && opening.mark && (
          <g transform={`translate(-23 0) rotate(${-turn})`}>
            <MarkSign mark={opening.mark} />
          </g>
        )}
      </g>
    );
  });
}

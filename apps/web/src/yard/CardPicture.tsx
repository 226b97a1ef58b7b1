import { roomShare } from '@yellow-cell/core';
import { BoxShapes } from '../drawing/BoxShapes.tsx';
import { EntranceArrows } from '../drawing/EntranceArrows.tsx';
import { centreOf, rectOf, standing } from '../drawing/place.ts';
import { SharedSign, StatusSign } from '../drawing/StatusSign.tsx';
import type { BoxView } from './useYard.ts';

const WIDTH = 320;
const HEIGHT = 240;
/** Beyond the walls, for arrows and marks. */
const EDGE = 34;
const NAME_SIZE = 13;
/** Of a letter, about. */
const NAME_WIDE = 7.4;

/** The box from above as the map has it, its front below: each room with its sign and name, each entrance with its mark. */
export function CardPicture({ view: { drawing, model, compartments } }: { view: BoxView }) {
  const scale = Math.min(
    (WIDTH - 2 * EDGE) / (drawing.x[1] - drawing.x[0]),
    (HEIGHT - 2 * EDGE) / (drawing.y[1] - drawing.y[0]),
  );
  const placing = standing(scale, drawing);
  return (
    <svg
      aria-hidden
      viewBox={`${-WIDTH / 2} ${-HEIGHT / 2} ${WIDTH} ${HEIGHT}`}
      className="my-1 w-full"
      style={{ maxHeight: HEIGHT }}
    >
      <BoxShapes drawing={drawing} placing={placing} line={0.8} />
      {compartments.map((room, index) => {
        const place = model.compartments[index];
        if (!place) return null;
        const area = roomShare(placing.rect(rectOf(place.x, place.block.y)), model.compartments, index);
        const { x, y } = centreOf(area);
        const sign = Math.min(30, area.width * 0.9);
        // Along the combs, where across there is no room for it.
        const lies = room.name.length * NAME_WIDE > area.width;
        return (
          <g key={room.position} transform={`translate(${x} ${y - sign / 2})`}>
            <circle r={sign / 2} fill="var(--slip)" stroke="var(--hairline)" />
            <g transform={`scale(${sign / 20})`}>
              {room.shares === undefined ? <StatusSign status={room.status} /> : <SharedSign />}
            </g>
            <text
              transform={`translate(${lies ? NAME_SIZE * 0.35 : 0} ${sign / 2 + (lies ? 3 : NAME_SIZE)}) rotate(${lies ? -90 : 0})`}
              textAnchor={lies ? 'end' : 'middle'}
              fontSize={NAME_SIZE}
              fontWeight={700}
              fill="var(--ink)"
              stroke="var(--slip)"
              strokeWidth={3.5}
              paintOrder="stroke"
            >
              {room.name}
            </text>
          </g>
        );
      })}
      <EntranceArrows model={model} placing={placing} marked />
    </svg>
  );
}

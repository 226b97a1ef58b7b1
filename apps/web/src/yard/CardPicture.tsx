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
/** Sizes of a name in units of the picture, and the width of a letter as a share of them. */
const NAME_SIZES = { most: 13, least: 8 };
const LETTER = 0.57;

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
        const sign = Math.min(30, area.width * 0.9, area.height * 0.55);
        return (
          <g key={room.position} transform={`translate(${x} ${y - sign / 2})`}>
            <circle r={sign / 2} fill="var(--slip)" stroke="var(--hairline)" />
            <g transform={`scale(${sign / 20})`}>
              {room.shares === undefined ? <StatusSign status={room.status} /> : <SharedSign />}
            </g>
            <Name name={room.name} under={sign / 2} width={area.width} height={(area.height - sign) / 2} />
          </g>
        );
      })}
      <EntranceArrows model={model} placing={placing} marked />
    </svg>
  );
}

interface NameProps {
  name: string;
  /** Where its sign ends. */
  under: number;
  /** What there is of the room below that. */
  width: number;
  height: number;
}

/** The name of a room below its sign, across it or along its combs; where it fits neither way, it stands in the list alone. */
function Name({ name, under, width, height }: NameProps) {
  const wide = name.length * LETTER;
  const fits = { across: Math.min(width / wide, height / 1.3), along: Math.min(height / wide, width) };
  const lies = fits.along > fits.across;
  const size = Math.min(NAME_SIZES.most, Math.max(fits.across, fits.along));
  if (size < NAME_SIZES.least) return null;
  return (
    <text
      transform={`translate(${lies ? size * 0.35 : 0} ${under + (lies ? 3 : size)}) rotate(${lies ? -90 : 0})`}
      textAnchor={lies ? 'end' : 'middle'}
      fontSize={size}
      fontWeight={700}
      fill="var(--ink)"
      stroke="var(--slip)"
      strokeWidth={3.5}
      paintOrder="stroke"
    >
      {name}
    </text>
  );
}

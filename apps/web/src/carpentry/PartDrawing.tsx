import type { BuildPart } from '@yellow-cell/contract';
import { showLength } from '@yellow-cell/core';
import { useUnits } from '../app/units.ts';

const PAD = 46;

/** A part as it lies on the bench, seen from its inner face, with its measures; shaded where it is cut in, dashed from the outer face. */
export function PartDrawing({
  part,
  height = 220,
  bare = false,
}: {
  part: BuildPart;
  height?: number;
  /** Too small for figures: the shape alone. */
  bare?: boolean;
}) {
  const units = useUnits();
  const { length_mm, width_mm, rings, machining, bends } = part;
  const room = bare ? 4 : PAD;
  const scale = Math.max((length_mm + 2 * room) / (bare ? 150 : 640), (width_mm + 2 * room) / height, 0.2);
  const pad = room * scale;
  const up = (y: number): number => width_mm - y;
  const line = 1.2 * scale;
  const text = 12.5 * scale;
  const path = (ring: readonly (readonly [number, number])[]): string =>
    `M${ring.map(([x, y]) => `${x} ${up(y)}`).join('L')}Z`;
  return (
    <svg
      viewBox={`${-pad} ${-pad / 2} ${length_mm + 1.5 * pad} ${width_mm + 1.5 * pad}`}
      role="img"
      aria-label={`${part.name}, ${showLength(length_mm, units)} by ${showLength(width_mm, units)}`}
      style={{ maxHeight: height }}
      className="w-full"
    >
      <path
        d={rings.map(path).join('')}
        fill="var(--wood)"
        fillRule="evenodd"
        stroke="var(--ink)"
        strokeWidth={line}
      />
      {machining
        .filter(({ depth_mm, round }) => depth_mm !== null || round)
        .map(({ x_mm, y_mm, width_mm: w, height_mm: h, depth_mm, round, face, kind }) => {
          const look = {
            fill: depth_mm === null ? 'var(--slip)' : 'var(--wood-line)',
            fillOpacity: depth_mm === null ? 1 : 0.45,
            stroke: 'var(--ink)',
            strokeWidth: line * 0.7,
            ...(face === 'outer' ? { strokeDasharray: `${4 * scale} ${3 * scale}` } : {}),
          };
          const key = `${kind}${x_mm}${y_mm}${face}`;
          return round ? (
            <circle key={key} cx={x_mm + w / 2} cy={up(y_mm + h / 2)} r={w / 2} {...look} />
          ) : (
            <rect key={key} x={x_mm} y={up(y_mm + h)} width={w} height={h} {...look} />
          );
        })}
      {bends.map(({ from, to }) => (
        <line
          key={`${from}${to}`}
          x1={from[0]}
          y1={up(from[1])}
          x2={to[0]}
          y2={up(to[1])}
          stroke="var(--dimension)"
          strokeWidth={line}
          strokeDasharray={`${7 * scale} ${4 * scale}`}
        />
      ))}
      {!bare && (
        <g
          stroke="var(--dimension)"
          fill="var(--dimension)"
          strokeWidth={line * 0.8}
          fontSize={text}
          textAnchor="middle"
        >
          <path
            d={`M0 ${width_mm + pad * 0.45}H${length_mm}M0 ${width_mm + pad * 0.3}v${pad * 0.3}M${length_mm} ${width_mm + pad * 0.3}v${pad * 0.3}`}
            fill="none"
          />
          <text x={length_mm / 2} y={width_mm + pad * 0.45 + text * 1.15} stroke="none">
            {showLength(length_mm, units)}
          </text>
          <path
            d={`M${-pad * 0.35} 0V${width_mm}M${-pad * 0.5} 0h${pad * 0.3}M${-pad * 0.5} ${width_mm}h${pad * 0.3}`}
            fill="none"
          />
          <text stroke="none" transform={`translate(${-pad * 0.5} ${width_mm / 2}) rotate(-90)`}>
            {showLength(width_mm, units)}
          </text>
        </g>
      )}
    </svg>
  );
}

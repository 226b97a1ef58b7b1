import type { ScaleLinear } from 'd3-scale';

interface TicksProps {
  y: ScaleLinear<number, number>;
  from: number;
  to: number;
  show: (value: number) => string;
}

/** A figure without its unit, which the chart states once. */
export const bare = (measured: string): string => measured.split(' ')[0] ?? measured;

/** Lines across a small chart at round figures, each with its figure at the left. */
export function Ticks({ y, from, to, show }: TicksProps) {
  return y.ticks(4).map((tick) => (
    <g key={tick}>
      <line x1={from} x2={to} y1={y(tick)} y2={y(tick)} stroke="var(--hairline)" />
      <text x={from - 4} y={y(tick) + 4} textAnchor="end" fontSize={11} fill="var(--soft)">
        {show(tick)}
      </text>
    </g>
  ));
}

import { area, line } from 'd3-shape';

/** A figure and how sure it is, at a place across a drawing. */
export interface BandStep {
  x: number;
  low: number;
  middle: number;
  high: number;
}

interface BandPathProps {
  steps: readonly BandStep[];
  y: (value: number) => number;
  fill?: string;
  /** Of the line in the middle: its colour and width. */
  stroke?: string;
  strokeWidth?: number;
  opacity?: number;
}

/** A band of nine in ten, with its middle as a line. */
export function BandPath({
  steps,
  y,
  fill = 'var(--comb)',
  stroke = 'var(--ink)',
  strokeWidth = 2,
  opacity = 0.6,
}: BandPathProps) {
  const band = area<BandStep>(
    ({ x }) => x,
    ({ low }) => y(low),
    ({ high }) => y(high),
  );
  const middle = line<BandStep>(
    ({ x }) => x,
    (step) => y(step.middle),
  );
  return (
    <>
      <path d={band([...steps]) ?? ''} fill={fill} opacity={opacity} />
      <path d={middle([...steps]) ?? ''} fill="none" stroke={stroke} strokeWidth={strokeWidth} />
    </>
  );
}

import { countOf, showDay } from '@yellow-cell/core';
import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter, line } from 'd3-shape';
import { useSay } from '../app/units.ts';
import type { DayScale } from './dayScale.ts';
import type { Odds } from './useOdds.ts';
import type { Rearing } from './useRearing.ts';

interface QueensReadyProps {
  rearing: Rearing;
  odds: Odds;
  top: number;
  height: number;
  scale: DayScale;
  width: number;
}
const HEADROOM = 22;
/** A scale that ends below this makes a queen a tower. */
const LEAST_QUEENS = 10;

/** Queens ready by each day as the plan was played, nine in ten plays within the band, against those that are wanted by then. */
export function QueensReady({
  rearing: { lots, today },
  odds: { fan },
  top,
  height,
  scale,
  width,
}: QueensReadyProps) {
  const say = useSay();
  const most = Math.max(LEAST_QUEENS, ...fan.map(({ high }) => high), ...lots.map(({ wanted }) => wanted));
  const y = scaleLinear([0, most], [height - 8, HEADROOM]);
  const shown = fan.filter(({ on }) => on <= scale.to);
  const last = shown.at(-1);
  const band = area<(typeof fan)[number]>(
    ({ on }) => scale.x(on),
    ({ low }) => y(low),
    ({ high }) => y(high),
  );
  const middle = line<(typeof fan)[number]>(
    ({ on }) => scale.x(on),
    (day) => y(day.middle),
  );
  const wanted = line<{ on: string; queens: number }>(
    ({ on }) => scale.x(on),
    ({ queens }) => y(queens),
  ).curve(curveStepAfter);
  const steps = [
    { on: today, queens: 0 },
    ...lots.map(({ by, wanted: queens }) => ({ on: by, queens })),
    ...(lots.length > 0 ? [{ on: scale.to, queens: lots.at(-1)?.wanted ?? 0 }] : []),
  ];
  return (
    <g transform={`translate(0 ${top})`}>
      <title>
        {last
          ? say(
              `By ${showDay(last.on, today)} ${last.low} to ${countOf(last.high, 'queen is', 'queens are')} ready, nine times in ten.`,
            )
          : 'Queens ready: being worked out.'}
      </title>
      <line x2={width} stroke="var(--hairline)" />
      <text x={20} y={HEADROOM + 2} fontSize={13} fontWeight={700} fill="var(--ink)">
        Queens
      </text>
      <text x={20} y={HEADROOM + 18} fontSize={11.5} fill="var(--soft)">
        ready, 9 of 10
      </text>
      <path d={band(shown) ?? ''} fill="var(--comb)" stroke="var(--comb-line)" strokeWidth={0.8} />
      <path d={middle(shown) ?? ''} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
      <path d={wanted(steps) ?? ''} fill="none" stroke="var(--ink)" strokeWidth={1.4} strokeDasharray="5 4" />
      {last && (
        <text
          x={scale.x(last.on) - 4}
          y={y(last.high) - 5}
          fontSize={11.5}
          textAnchor="end"
          fill="var(--soft)"
        >
          {last.low} to {last.high}
        </text>
      )}
      {lots.length > 0 && (
        <text x={20} y={HEADROOM + 34} fontSize={11.5} fill="var(--soft)">
          – – wanted
        </text>
      )}
    </g>
  );
}

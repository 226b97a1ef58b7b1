import { countOf, showDay, type Taken, tracksOf } from '@yellow-cell/core';
import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter } from 'd3-shape';
import { useMemo } from 'react';
import { useSay } from '../app/units.ts';
import type { DayScale } from './dayScale.ts';
import type { Rearing } from './useRearing.ts';

const SPANS = 30;
const LOAD = 54;
const LABEL_X = 20;
const NAME_WIDTH = 56;

/** How tall the tracks are together: an incubator has one once anything was carried there. */
export const tracksHeight = (rearing: Rearing): number => 2 * SPANS + LOAD * loadsOf(rearing).length;

const hasIncubator = ({ views }: Rearing): boolean =>
  views.some(({ round }) => round.moved?.some(({ to }) => to === 'incubator'));

/** What is counted day by day: an incubator once anything was carried there, a bank while queens stand in it. */
const loadsOf = (
  rearing: Rearing,
): { name: 'Finisher' | 'Incubator' | 'Bank'; one: string; most?: number }[] => [
  { name: 'Finisher', one: 'cell', most: rearing.constants.finisherMost },
  ...(hasIncubator(rearing) ? [{ name: 'Incubator', one: 'cell' } as const] : []),
  ...(rearing.season.banked.length > 0 ? [{ name: 'Bank', one: 'queen' } as const] : []),
];

interface TrackRowsProps {
  rearing: Rearing;
  top: number;
  scale: DayScale;
  width: number;
}

/** What rounds take up beside rooms: donors and starters by their days, finishers and the incubator by their cells, banks by their queens. */
export function TrackRows({ rearing, top, scale, width }: TrackRowsProps) {
  const tracks = useMemo(() => tracksOf(rearing, scale.from, scale.to), [rearing, scale.from, scale.to]);
  const load = { Finisher: tracks.finisher, Incubator: tracks.incubator, Bank: tracks.bank };
  return (
    <g transform={`translate(0 ${top})`}>
      <Spans name="Donors" of={tracks.donors} named scale={scale} width={width} rearing={rearing} />
      <g transform={`translate(0 ${SPANS})`}>
        <Spans name="Starter" of={tracks.starters} scale={scale} width={width} rearing={rearing} />
      </g>
      {loadsOf(rearing).map((of, index) => (
        <g key={of.name} transform={`translate(0 ${2 * SPANS + index * LOAD})`}>
          <Load {...of} load={load[of.name]} scale={scale} width={width} rearing={rearing} />
        </g>
      ))}
    </g>
  );
}

interface RowProps {
  name: string;
  scale: DayScale;
  width: number;
  rearing: Rearing;
}

function Spans({
  name,
  of,
  named = false,
  scale,
  width,
  rearing: { today },
}: RowProps & { of: readonly Taken[]; named?: boolean }) {
  const say = useSay();
  /** Written only where no other begins before its end. */
  const hasRoom = (end: string): boolean =>
    !of.some(({ from, to }) => to > end && scale.x(from) < scale.x(end) + NAME_WIDTH);
  return (
    <g>
      <line x2={width} stroke="var(--hairline)" />
      <text x={LABEL_X} y={20} fontSize={11.5} fill="var(--soft)">
        {name}
      </text>
      {of.map(({ round, donor, from, to }) => (
        <g key={round}>
          <title>{say(`Round ${round}, ${donor}: ${showDay(from, today)} to ${showDay(to, today)}`)}</title>
          <rect
            x={scale.x(from)}
            y={9}
            width={Math.max(5, scale.x(to) - scale.x(from))}
            height={12}
            rx={2}
            fill={to < today ? 'var(--ink)' : 'var(--slip)'}
            stroke="var(--ink)"
            strokeWidth={1.2}
          />
          {named && hasRoom(to) && (
            <text x={scale.x(to) + 5} y={19} fontSize={11} fill="var(--soft)">
              {donor}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

/** Cells, or queens, on each day; what is over the most is drawn in red. */
function Load({
  name,
  one,
  load,
  most,
  scale,
  width,
  rearing: { today },
}: RowProps & { one: string; load: readonly number[]; most?: number }) {
  const say = useSay();
  const highest = Math.max(most ?? 1, ...load);
  const y = scaleLinear([0, highest], [LOAD - 6, 12]);
  const days = load.map((cells, at) => ({ cells, x: scale.x(scale.dayAfter(at)) }));
  const shape = (from: number) =>
    area<(typeof days)[number]>(
      ({ x }) => x,
      y(from),
      ({ cells }) => y(Math.max(from, cells)),
    ).curve(curveStepAfter)(days) ?? '';
  const peak = load.indexOf(Math.max(...load));
  return (
    <g>
      <title>
        {say(`${name}: at most ${countOf(load[peak] ?? 0, one)}, on ${showDay(scale.dayAfter(peak), today)}`)}
      </title>
      <line x2={width} stroke="var(--hairline)" />
      <text x={LABEL_X} y={26} fontSize={11.5} fill="var(--soft)">
        {name}
      </text>
      <path d={shape(0)} fill="var(--comb)" stroke="var(--comb-line)" strokeWidth={0.8} />
      {most !== undefined && highest > most && <path d={shape(most)} fill="var(--danger)" />}
      {most !== undefined && (
        <>
          <line
            x1={scale.x(scale.from)}
            x2={scale.x(scale.to)}
            y1={y(most)}
            y2={y(most)}
            stroke="var(--soft)"
            strokeWidth={0.8}
            strokeDasharray="3 4"
          />
          <text x={LABEL_X} y={41} fontSize={11.5} fill="var(--soft)">
            – – {most} each
          </text>
        </>
      )}
      {(load[peak] ?? 0) > 0 && (
        <text
          x={scale.x(scale.dayAfter(peak)) + 3}
          y={y(load[peak] ?? 0) - 2}
          fontSize={11}
          fontWeight={700}
          fill={most !== undefined && (load[peak] ?? 0) > most ? 'var(--danger)' : 'var(--ink)'}
        >
          {load[peak]}
        </text>
      )}
    </g>
  );
}

import { countOf, daysBetween, earlier, roomsByDay, showDay } from '@yellow-cell/core';
import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter, line } from 'd3-shape';
import { useMemo } from 'react';
import { useSay } from '../app/units.ts';
import type { DayScale } from './dayScale.ts';
import type { Rearing } from './useRearing.ts';

interface RoomCurvesProps {
  rearing: Rearing;
  top: number;
  height: number;
  scale: DayScale;
  width: number;
}
const HEADROOM = 30;
const FOOT = 22;
/** A scale that ends below this makes a room a tower. */
const LEAST_ROOMS = 10;

/** Free rooms and ripe cells day by day, as two curves: where cells rise over the rooms they find none, and that is drawn in red. */
export function RoomCurves({ rearing, top, height, scale, width }: RoomCurvesProps) {
  const say = useSay();
  const { ripe, today, season, views, constants } = rearing;
  const from = earlier(today, ripe[0]?.on ?? today);
  const days = useMemo(() => {
    const cells = new Map<string, number>();
    for (const each of ripe) cells.set(each.on, (cells.get(each.on) ?? 0) + each.cells);
    return roomsByDay(from, scale.to, season, views, constants, today).map((free, at) => {
      const on = scale.dayAfter(daysBetween(scale.from, from) + at);
      return { on, x: scale.x(on), free, cells: cells.get(on) ?? 0 };
    });
  }, [from, scale, season, views, constants, today, ripe]);
  const most = Math.max(LEAST_ROOMS, ...days.flatMap(({ free, cells }) => [free, cells]));
  const y = scaleLinear([0, most], [height - FOOT, HEADROOM]);
  type Of = (day: (typeof days)[number]) => number;
  const filled = (low: Of, high: Of) =>
    area<(typeof days)[number]>(
      ({ x }) => x,
      (day) => y(low(day)),
      (day) => y(high(day)),
    ).curve(curveStepAfter)(days) ?? '';
  const drawn = (of: Of) =>
    line<(typeof days)[number]>(
      ({ x }) => x,
      (day) => y(of(day)),
    ).curve(curveStepAfter)(days) ?? '';
  return (
    <g transform={`translate(0 ${top})`}>
      <line x2={width} stroke="var(--hairline)" />
      <text x={20} y={26} fontSize={13} fontWeight={700} fill="var(--ink)">
        Cells ripe
      </text>
      <text x={20} y={43} fontSize={11.5} fill="var(--soft)">
        against free rooms
      </text>
      {ripe.length === 0 && (
        <text x={scale.x(scale.from) + 8} y={20} fontSize={12.5} fill="var(--soft)">
          No cells are still to be given.
        </text>
      )}
      <path
        d={filled(
          () => 0,
          ({ free }) => free,
        )}
        fill="var(--comb)"
      />
      <path
        d={filled(
          ({ free, cells }) => Math.min(free, cells),
          ({ cells }) => cells,
        )}
        fill="var(--danger)"
      />
      <path d={drawn(({ free }) => free)} fill="none" stroke="var(--comb-line)" strokeWidth={1.4} />
      <path d={drawn(({ cells }) => cells)} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
      {ripe.map(({ round, on, cells, free, over }) => (
        <g key={round.id} transform={`translate(${scale.x(on)} 0)`}>
          <title>
            {`${say(showDay(on, today))}: ${countOf(cells, 'cell')} ripe, ${countOf(free, 'room')} free${over > 0 ? `; ${over} find none` : ''}`}
          </title>
          <rect
            x={-30}
            y={HEADROOM - 18}
            width={60}
            height={height - FOOT - HEADROOM + 18}
            fill="transparent"
          />
          <text x={-5} y={y(free) - 5} fontSize={11.5} textAnchor="end" fill="var(--soft)">
            {free}
          </text>
          <text x={5} y={y(cells) - 5} fontSize={12} fontWeight={700} fill="var(--ink)">
            {cells}
          </text>
          {over > 0 && (
            <text y={height - 8} fontSize={12} fontWeight={600} textAnchor="middle" fill="var(--danger)">
              {over} over
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

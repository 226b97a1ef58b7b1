import { monthFirsts, monthShort, showDay, stillWanted } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { useSize } from '../parts/useSize.ts';
import { dayScale } from './dayScale.ts';
import { lanesOf } from './lanes.ts';
import { percent } from './percent.ts';
import { QueensReady } from './QueensReady.tsx';
import { RoomCurves } from './RoomCurves.tsx';
import { RoundRow } from './RoundRow.tsx';
import { TrackRows, tracksHeight } from './TrackRows.tsx';
import type { Odds } from './useOdds.ts';
import type { Moved, Rearing } from './useRearing.ts';

const LABEL = 112;
const RIGHT = 24;
const HEAD = 30;
const ROW = 58;
const ROOMS = 110;
const FAN = 120;
const LOTS = 64;
const LOT_WIDTH = 80;
const LOT_LANE = 36;

interface SeasonSheetProps {
  rearing: Rearing;
  odds: Odds;
  chosen: string | undefined;
  moved: Moved | undefined;
  onChoose: (round: string | undefined) => void;
  onMove: (moved: Moved | undefined) => void;
}

/** One row a round, what they take up, cells against rooms, queens ready against those wanted, and the lots, all on one scale of days; today across them. */
export function SeasonSheet({ rearing, odds, chosen, moved, onChoose, onMove }: SeasonSheetProps) {
  const say = useSay();
  const [ref, { width }] = useSize<HTMLDivElement>({ width: 900, height: 400 });
  const { views, today } = rearing;
  const scale = dayScale(rearing, LABEL, Math.max(LABEL + 200, width - RIGHT));
  const tracksTop = HEAD + views.length * ROW;
  const roomsTop = tracksTop + tracksHeight(rearing);
  const fanTop = roomsTop + ROOMS;
  const lotsTop = fanTop + FAN;
  const lots = rearing.lots.map((each) => {
    const x = scale.x(each.lot.by);
    // Near the right edge it is written to the left of its day.
    const isLeft = x > width - LOT_WIDTH;
    return { ...each, x, isLeft, from: isLeft ? x - LOT_WIDTH : x, to: isLeft ? x : x + LOT_WIDTH };
  });
  const lanes = lanesOf(lots);
  const lotsHeight = LOTS + Math.max(0, ...lanes) * LOT_LANE;
  const height = lotsTop + lotsHeight;
  return (
    <div ref={ref}>
      <svg width={width} height={height} className="block" role="group" aria-label="Rounds by day">
        {monthFirsts(scale.from, scale.to).map((first) => (
          <g key={first}>
            <line x1={scale.x(first)} x2={scale.x(first)} y1={4} y2={height} stroke="var(--hairline)" />
            <text x={scale.x(first) + 5} y={18} fontSize={12} fontWeight={600} fill="var(--soft)">
              {monthShort(first)}
            </text>
          </g>
        ))}
        {views.map((view, index) => (
          <RoundRow
            key={view.round.id}
            view={view}
            top={HEAD + index * ROW}
            height={ROW}
            width={width}
            scale={scale}
            today={today}
            chosen={chosen === view.round.id}
            moved={moved?.round === view.round.id ? moved : undefined}
            ripe={rearing.ripe.find(({ round }) => round.id === view.round.id)}
            onChoose={() => onChoose(view.round.id)}
            onMove={onMove}
          />
        ))}
        <TrackRows rearing={rearing} top={tracksTop} scale={scale} width={width} />
        <RoomCurves rearing={rearing} top={roomsTop} height={ROOMS} scale={scale} width={width} />
        <QueensReady rearing={rearing} odds={odds} top={fanTop} height={FAN} scale={scale} width={width} />
        <g transform={`translate(0 ${lotsTop})`}>
          <text x={20} y={24} fontSize={11.5} fill="var(--soft)">
            wanted by
          </text>
          {lots.length === 0 && (
            <text x={LABEL} y={30} fontSize={12.5} fill="var(--soft)">
              None are said to be wanted from today on.
            </text>
          )}
          {lots.map(({ lot, x, isLeft }, index) => (
            <g
              key={lot.id}
              transform={`translate(${x} ${(lanes[index] ?? 0) * LOT_LANE})`}
              textAnchor={isLeft ? 'end' : 'start'}
            >
              <line y1={-(lanes[index] ?? 0) * LOT_LANE} y2={LOTS} stroke="var(--ink)" strokeWidth={1.5} />
              <text
                x={isLeft ? -6 : 6}
                y={24}
                fontSize={14}
                fontWeight={700}
                fill={(odds.of(lot.id)?.chance ?? 1) < 0.5 ? 'var(--danger)' : 'var(--ink)'}
              >
                {stillWanted(lot) > 0 ? percent(odds.of(lot.id)?.chance) : 'handed over'}
              </text>
              <text x={isLeft ? -6 : 6} y={41} fontSize={11.5} fill="var(--soft)">
                {lot.queens} by {say(showDay(lot.by, today))}
              </text>
            </g>
          ))}
        </g>
        <line
          x1={scale.x(today)}
          x2={scale.x(today)}
          y1={0}
          y2={height}
          stroke="var(--ink)"
          strokeWidth={2}
          pointerEvents="none"
        />
      </svg>
    </div>
  );
}

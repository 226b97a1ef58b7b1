import { countOf, monthFirsts, monthShort, showDay } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { useSize } from '../parts/useSize.ts';
import { type DayScale, dayScale } from './dayScale.ts';
import { lanesOf } from './lanes.ts';
import { percent } from './percent.ts';
import { QueensReady } from './QueensReady.tsx';
import { RoundRow } from './RoundRow.tsx';
import { hasIncubator, TrackRows, tracksHeight } from './TrackRows.tsx';
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
  const roomsTop = tracksTop + tracksHeight(hasIncubator(rearing));
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
        <Rooms rearing={rearing} top={roomsTop} scale={scale} width={width} />
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
                {percent(odds.of(lot.id)?.chance)}
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

/** Rooms that are free when cells are ripe, and cells that find none. */
function Rooms({
  rearing: { ripe, today },
  top,
  scale,
  width,
}: {
  rearing: Rearing;
  top: number;
  scale: DayScale;
  width: number;
}) {
  const say = useSay();
  const base = ROOMS - 22;
  const most = Math.max(10, ...ripe.flatMap(({ cells, free }) => [cells, free]));
  const high = (count: number) => (count / most) * (base - 26);
  return (
    <g transform={`translate(0 ${top})`}>
      <line x2={width} stroke="var(--hairline)" />
      <text x={20} y={26} fontSize={13} fontWeight={700} fill="var(--ink)">
        Cells ripe
      </text>
      <text x={20} y={43} fontSize={11.5} fill="var(--soft)">
        against free rooms
      </text>
      <line x1={LABEL} x2={width - RIGHT} y1={base} y2={base} stroke="var(--hairline)" />
      {ripe.length === 0 && (
        <text x={LABEL + 8} y={40} fontSize={12.5} fill="var(--soft)">
          No cells are still to be given.
        </text>
      )}
      {ripe.map(({ round, on, cells, free, over }) => (
        <g key={round.id} transform={`translate(${scale.x(on)} 0)`}>
          <title>
            {`${say(showDay(on, today))}: ${countOf(cells, 'cell')} ripe, ${countOf(free, 'room')} free${over > 0 ? `; ${over} find none` : ''}`}
          </title>
          <rect
            x={-26}
            y={base - high(free)}
            width={24}
            height={high(free)}
            fill="var(--comb)"
            stroke="var(--comb-line)"
          />
          <rect
            x={2}
            y={base - high(cells)}
            width={18}
            height={high(cells)}
            fill="var(--slip)"
            stroke="var(--ink)"
            strokeWidth={1.4}
          />
          {over > 0 && (
            <rect x={2} y={base - high(cells)} width={18} height={high(over)} fill="var(--danger)" />
          )}
          <text x={-14} y={base - high(free) - 5} fontSize={11.5} textAnchor="middle" fill="var(--soft)">
            {free}
          </text>
          <text
            x={11}
            y={base - high(cells) - 5}
            fontSize={12}
            fontWeight={700}
            textAnchor="middle"
            fill="var(--ink)"
          >
            {cells}
          </text>
          {over > 0 && (
            <text
              x={11}
              y={base + 14}
              fontSize={12}
              fontWeight={600}
              textAnchor="middle"
              fill="var(--danger)"
            >
              {over} over
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

import type { Measures, RoundRow, YearRibbon } from '@yellow-cell/contract';
import { type Constants, daylightHours, monthFirsts, monthShort, plusDays } from '@yellow-cell/core';
import { line } from 'd3-shape';
import { memo, useMemo } from 'react';
import { type Tint, type TintRun, tintOf } from './expectedTints.ts';
import type { YearScale } from './yearScale.ts';

const BAND = { top: 20, height: 26 };
interface RibbonBandProps {
  scale: YearScale;
  data: YearRibbon | undefined;
  expected: readonly TintRun[];
  constants: Constants;
  today: string;
  width: number;
  weekStart: Measures['weekStart'];
}

/** The season as a band: daylight as a line, flying weather and frost as tints, rounds as bars, due work as ticks. */
export const RibbonBand = memo(
  RibbonBandPlain,
  (a, b) =>
    a.data === b.data &&
    a.expected === b.expected &&
    a.constants === b.constants &&
    a.width === b.width &&
    a.today === b.today &&
    a.scale.from === b.scale.from &&
    a.weekStart === b.weekStart,
);

function RibbonBandPlain({ scale, data, expected, constants, today, weekStart }: RibbonBandProps) {
  // A round's bar runs from its graft to when its queens may have sealed brood.
  const round_d = constants.cellToRipe_d + constants.scoreTo_d;
  const start = scale.x(scale.from);
  const step = scale.x(plusDays(scale.from, 1)) - start;
  const daylight = useMemo(() => (data ? daylightPath(scale, data) : ''), [scale, data]);
  const base = BAND.top + BAND.height;
  return (
    <>
      {/* Paler than what is known: what the climate leads to expect. */}
      {expected.map(({ from, to, tint }) => (
        <rect
          key={from}
          x={scale.x(from) - step / 2}
          y={BAND.top}
          width={Math.max(0, scale.x(to) - scale.x(from) + step)}
          height={BAND.height}
          fill={FILL[tint]}
          opacity={0.45}
        />
      ))}
      {data?.days.map(({ date, max_C, flying_h }) =>
        // A day of which nothing is known has no tint.
        max_C === null || flying_h === null ? null : (
          <rect
            key={date}
            x={scale.x(date) - step / 2}
            y={BAND.top}
            width={step + 0.3}
            height={BAND.height}
            fill={FILL[tintOf(max_C, flying_h >= constants.flyingDay_h, constants)]}
          />
        ),
      )}
      {step > 2 && <path d={weeks(scale, weekStart, base)} stroke="var(--hairline)" strokeWidth={1} />}
      {monthFirsts(scale.from, scale.to).map((first) => {
        const x = scale.x(first);
        const month = monthShort(first);
        return (
          <g key={first}>
            <line x1={x} x2={x} y1={BAND.top} y2={base} stroke="var(--hairline)" />
            <text x={x + 4} y={14} fontSize={11.5} fontWeight={600} fill="var(--soft)">
              {step > 2 ? month : month.charAt(0)}
            </text>
          </g>
        );
      })}
      <path d={daylight} fill="none" stroke="var(--comb-line)" strokeWidth={1.25} />
      {data?.rounds.map((round, index) => (
        <RoundBar key={round.id} round={round} scale={scale} lane={index % 3} days={round_d} />
      ))}
      {data?.due.map(({ date, count }) => (
        <rect
          key={date}
          x={scale.x(date) - 1.5}
          y={base + 13 - Math.min(9, 2 + count)}
          width={3}
          height={Math.min(9, 2 + count)}
          fill={date <= today ? 'var(--yellow)' : 'var(--slip)'}
          stroke="var(--ink)"
          strokeWidth={0.8}
        />
      ))}
      <path d={`M${scale.x(today)} ${base + 15}l-4.5 6h9z`} fill="var(--ink)" />
    </>
  );
}

const FIRST_WEEKDAY = { sunday: 0, monday: 1 } as const;
/** A short line where each week begins. */
function weeks(scale: YearScale, weekStart: Measures['weekStart'], base: number): string {
  const weekday = new Date(`${scale.from}T00:00:00Z`).getUTCDay();
  const first = (FIRST_WEEKDAY[weekStart] - weekday + 7) % 7;
  return Array.from({ length: Math.ceil((scale.days - first) / 7) }, (_, week) => {
    const day = plusDays(scale.from, first + 7 * week);
    return `M${scale.x(day).toFixed(1)} ${base - 4}v4`;
  }).join('');
}

interface RoundBarProps {
  round: RoundRow;
  scale: YearScale;
  lane: number;
  days: number;
}
function RoundBar({ round, scale, lane, days }: RoundBarProps) {
  const from = scale.x(round.graftedOn);
  const to = scale.x(plusDays(round.graftedOn, days));
  return (
    <rect
      x={from}
      y={BAND.top + 4 + lane * 7}
      width={Math.max(3, to - from)}
      height={4}
      rx={2}
      fill={round.planned ? 'var(--sheet)' : 'var(--ink)'}
      stroke={round.planned ? 'var(--ink)' : 'none'}
      strokeWidth={0.8}
      opacity={0.75}
    >
      <title>{`Round ${round.number}, ${round.donor}: ${roundWords(round)}`}</title>
    </rect>
  );
}

const roundWords = ({ planned, accepted, grafts }: RoundRow): string =>
  planned
    ? `${grafts} grafts planned`
    : accepted === null
      ? `${grafts} grafts, not counted yet`
      : `${accepted} of ${grafts} grafts accepted`;

/** Yellowish where queens could fly, cold grey below 5 °C, else plain. */
const FILL: Readonly<Record<Tint, string>> = {
  warm: 'var(--warm)',
  cold: 'var(--night)',
  plain: 'var(--sheet)',
};

function daylightPath(scale: YearScale, { latitude_deg, longitude_deg }: YearRibbon): string {
  const sampled = Array.from({ length: Math.ceil(scale.days / 7) + 1 }, (_, week) =>
    plusDays(scale.from, Math.min(week * 7, scale.days - 1)),
  );
  const path = line<string>(
    (day) => scale.x(day),
    (day) => BAND.top + BAND.height - (daylightHours(day, latitude_deg, longitude_deg) / 24) * BAND.height,
  );
  return path(sampled) ?? '';
}

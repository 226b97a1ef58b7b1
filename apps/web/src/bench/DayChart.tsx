import type { DesignContent } from '@yellow-cell/contract';
import { dayInBox, maxOn, meanOn, warmestHours } from '@yellow-cell/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useMemo } from 'react';
import { useSay } from '../app/units.ts';
import { showC } from './heat.ts';
import { bare, Ticks } from './Ticks.tsx';
import type { PhysicsDesk } from './usePhysics.ts';

const SIZE = { width: 320, height: 150, left: 28, right: 8, top: 10, bottom: 22 };
/** How far a clear day swings about its mean, where nothing is known of the climate. */
const CLEAR_DAY_K = 6;
const TOO_WARM_C = 36;
const DASHES = ['', '7 3', '2 3', '9 3 2 3'];

/** A clear day hour by hour: outside, and inside each compartment, in the shade or in the sun as it is set. */
export function DayChart({ design, desk }: { design: DesignContent; desk: PhysicsDesk }) {
  const { conditions, weather, place, date, figures } = desk;
  const { climate } = figures;
  const swing_K = climate
    ? maxOn(climate, date, place.latitude_deg) - meanOn(climate, date, place.latitude_deg)
    : CLEAR_DAY_K;
  const { front_deg, paint, sunHour, outside_C } = weather;
  const hours = useMemo(
    () =>
      dayInBox(design, conditions, {
        date,
        ...place,
        mean_C: outside_C,
        swing_K,
        ...(sunHour === undefined ? {} : { sun: { front_deg, paint } }),
      }),
    [design, conditions, date, place, outside_C, swing_K, sunHour, front_deg, paint],
  );
  const all = hours.flatMap((hour) => [hour.outside_C, ...hour.inside_C]);
  const x = scaleLinear([0, 23], [SIZE.left, SIZE.width - SIZE.right]);
  const y = scaleLinear([Math.min(...all), Math.max(...all)], [SIZE.height - SIZE.bottom, SIZE.top]).nice(4);
  const path = line<number>()
    .x((_, hour) => x(hour))
    .y((celsius) => y(celsius));
  const names = desk.physics.compartments.map(({ name }) => name);
  const warmest = warmestHours(hours);
  const [hottest] = [...warmest].sort((one, other) => other.inside_C - one.inside_C);
  const peak = hottest?.inside_C ?? 0;
  const say = useSay();
  const outside = hours.map((hour) => hour.outside_C);
  const words = `Warmest of the day: about ${showC(peak)} beside the bees at ${hottest?.hour ?? 0} h by the sun; outside ${showC(Math.min(...outside))} to ${showC(Math.max(...outside))}, warmest at 15 h.`;
  return (
    <section aria-label="A day">
      <h3 className="eyebrow">A clear day {sunHour === undefined ? 'in the shade' : 'in the sun'}</h3>
      <svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} role="img" aria-label={say(words)} className="w-full">
        <Ticks
          y={y}
          from={SIZE.left}
          to={SIZE.width - SIZE.right}
          show={(celsius) => bare(say(`${celsius} °C`))}
        />
        {[0, 6, 12, 18].map((hour) => (
          <text
            key={hour}
            x={x(hour)}
            y={SIZE.height - 6}
            textAnchor="middle"
            fontSize={11}
            fill="var(--soft)"
          >
            {hour} h
          </text>
        ))}
        <path
          d={path(hours.map((hour) => hour.outside_C)) ?? ''}
          fill="none"
          stroke="var(--soft)"
          strokeWidth={1.4}
        />
        {names.map((name, index) => (
          <path
            key={name}
            d={path(hours.map(({ inside_C }) => inside_C[index] ?? 0)) ?? ''}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={1.8}
            strokeDasharray={DASHES[index % DASHES.length]}
          />
        ))}
      </svg>
      <p className={`text-sm ${peak > TOO_WARM_C ? 'font-semibold text-danger' : ''}`}>{say(words)}</p>
      <p className="flex flex-wrap gap-x-3 text-xs text-soft">
        {['outside', ...names].map((name, index) => (
          <span key={name} className="flex items-center gap-1">
            <svg aria-hidden width={22} height={6}>
              <path
                d="M0 3H22"
                stroke={index === 0 ? 'var(--soft)' : 'var(--ink)'}
                strokeWidth={1.8}
                strokeDasharray={index === 0 ? '' : DASHES[(index - 1) % DASHES.length]}
              />
            </svg>
            {name}
          </span>
        ))}
      </p>
    </section>
  );
}

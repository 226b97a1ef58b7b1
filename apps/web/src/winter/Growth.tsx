import { plusDays, type SpringGrowth, showDay } from '@yellow-cell/core';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { useSay } from '../app/units.ts';
import { WeightTicks } from '../bench/WeightTicks.tsx';
import { BandPath } from '../parts/BandPath.tsx';

const SIZE = { width: 560, height: 190, left: 44, right: 12, top: 18, bottom: 22 };

/** Bees from the end of winter into the season as a band, and the line at which they fill their combs. */
export function Growth({ growth, on }: { growth: SpringGrowth; on: string }) {
  const say = useSay();
  const { course, crowded, frames: combs, full_kg } = growth;
  const [first, last] = [course[0], course.at(-1)];
  if (!first || !last) return null;
  const ends = crowded.late ? plusDays(crowded.late, AFTER_D) : last.on;
  const shown = course.filter((day) => day.on <= ends);
  const x = scaleUtc(
    [new Date(first.on), new Date(shown.at(-1)?.on ?? last.on)],
    [SIZE.left, SIZE.width - SIZE.right],
  );
  const most = Math.max(full_kg * 1.1, ...shown.map(({ middle }) => middle));
  const y = scaleLinear([0, most], [SIZE.height - SIZE.bottom, SIZE.top]).clamp(true);
  const at = (day: string): number => x(new Date(day));
  const words = crowded.expected
    ? `Bees from ${showDay(first.on, on)} on: they fill ${combs} combs about ${showDay(crowded.expected, on)}.`
    : `Bees from ${showDay(first.on, on)} on: about ${last.middle.toFixed(1)} kg on ${showDay(last.on, on)}.`;
  return (
    <figure>
      <figcaption>
        <strong>Its bees into the season</strong>{' '}
        <span className="text-sm text-soft">nine of ten fall in the band; broken: its combs are full</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        role="img"
        aria-label={say(words)}
        className="mt-1 w-full max-w-2xl"
      >
        <WeightTicks y={y} from={SIZE.left} to={SIZE.width - SIZE.right} />
        <BandPath steps={shown.map((day) => ({ x: at(day.on), ...day }))} y={y} />
        <line
          x1={SIZE.left}
          x2={SIZE.width - SIZE.right}
          y1={y(full_kg)}
          y2={y(full_kg)}
          stroke="var(--ink)"
          strokeDasharray="6 4"
        />
        <text x={SIZE.left + 4} y={y(full_kg) - 4} fontSize={12} fill="var(--ink)">
          {`${combs} combs covered`}
        </text>
        <text x={2} y={SIZE.top - 6} fontSize={12} fontWeight={700} fill="var(--ink)">
          {say('1 kg').replace(/^[\d.]+ /, '')}
        </text>
        {x.ticks(4).map((tick) => (
          <text
            key={tick.getTime()}
            x={x(tick)}
            y={SIZE.height - 6}
            textAnchor="middle"
            fontSize={12}
            fill="var(--soft)"
          >
            {say(showDay(tick.toISOString().slice(0, 10), on))}
          </text>
        ))}
      </svg>
    </figure>
  );
}
/** A little beyond the day on which even a slow one is crowded. */
const AFTER_D = 7;

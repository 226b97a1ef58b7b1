import type { RoomRole } from '@yellow-cell/contract';
import {
  type Day,
  plusDays,
  type StrengthAhead,
  seamsCounted,
  showDay,
  strengthAhead,
} from '@yellow-cell/core';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { useMemo } from 'react';
import { useSay } from '../app/units.ts';
import { BandPath } from '../parts/BandPath.tsx';
import { useSize } from '../parts/useSize.ts';
import type { BoxView, CompartmentView, YardView } from './useYard.ts';

const HEIGHT = 74;
const TOP = 8;
const BOTTOM = 58;
const BACK_D = 30;

/** Roles whose bees live by themselves in the room: of the others bees come and go that nobody counts. */
const BY_THEMSELVES: readonly RoomRole[] = ['mating', 'growing', 'father'];

interface StrengthProps {
  view: YardView;
  boxView: BoxView;
  compartment: CompartmentView;
}

/** How strong a room is reckoned to be on the day shown and after it, as a quiet band: what it was made of, moved by every count. */
export function Strength({ view, boxView, compartment }: StrengthProps) {
  const { on, weather, constants, yard } = view;
  const { latitude_deg } = yard;
  const say = useSay();
  const format = boxView.model.compartments[compartment.position]?.frames[0]?.format;
  const strength = useMemo(
    () => format && strengthAhead(compartment, format, { on, latitude_deg, weather, constants }),
    [compartment, format, on, latitude_deg, weather, constants],
  );
  if (!strength || !format || !BY_THEMSELVES.includes(compartment.role) || compartment.shares) return null;
  const seams = (kg: number): number => seamsCounted(kg, compartment, format.pitch_mm, constants);
  const today = strength.course.find((day) => day.on >= on);
  if (!today || today.middle <= 0) return null;
  const words = [
    `About ${seams(today.middle)} seams (${seams(today.low)} to ${seams(today.high)})`,
    ...marksOf(strength, on),
  ];
  return (
    <section aria-label="Strength" className="mt-2">
      <Band strength={strength} on={on} label={say(`${words.join('; ')}.`)} />
      <p className="text-sm text-soft">{say(`${words.join('; ')}.`)}</p>
    </section>
  );
}

/** What comes next of it, in a few words each. */
function marksOf(strength: StrengthAhead, on: Day): string[] {
  const { ownBeesFrom, crowdedOn, weakOn, givesFrom, holdsUntil, moved } = strength;
  const days: [string, Day | undefined][] = [
    ['her own bees', ownBeesFrom && ownBeesFrom > on ? ownBeesFrom : undefined],
    ['crowded', crowdedOn],
    ['weak', weakOn],
    ['a frame of sealed brood to give', givesFrom],
    ['without her it would be too weak', holdsUntil],
  ];
  return [
    ...days
      .flatMap(([what, day]) => (day ? [{ what, day }] : []))
      .sort((a, b) => a.day.localeCompare(b.day))
      .map(({ what, day }) => `${what} ${day <= on ? 'now' : `about ${showDay(day, on)}`}`),
    ...(moved && Math.abs(moved.by_kg) >= 0.05
      ? [
          `the count of ${showDay(moved.on, on)} moved it by ${moved.by_kg > 0 ? '+' : '−'}${Math.abs(moved.by_kg).toFixed(1)} kg`,
        ]
      : []),
  ];
}

function Band({ strength, on, label }: { strength: StrengthAhead; on: Day; label: string }) {
  const [ref, { width }] = useSize<HTMLDivElement>({ width: 310, height: HEIGHT });
  const from = plusDays(on, -BACK_D);
  const days = strength.course.filter((day) => day.on >= from);
  const [first, last] = [days[0], days.at(-1)];
  if (!first || !last) return null;
  const most = Math.max(strength.full_kg * 1.1, ...days.map(({ middle }) => middle));
  const x = scaleUtc([new Date(first.on), new Date(last.on)], [8, width - 8]);
  const y = scaleLinear([0, most], [BOTTOM, TOP]).clamp(true);
  const at = (day: Day): number => x(new Date(day));
  return (
    <div ref={ref}>
      <svg width={width} height={HEIGHT} role="img" aria-label={label}>
        <BandPath
          steps={days.map((day) => ({ x: at(day.on), ...day }))}
          y={y}
          opacity={0.45}
          stroke="var(--soft)"
          strokeWidth={1.5}
        />
        <line
          x1={8}
          x2={width - 8}
          y1={y(strength.full_kg)}
          y2={y(strength.full_kg)}
          stroke="var(--soft)"
          strokeDasharray="4 4"
        />
        <text x={width - 8} y={y(strength.full_kg) - 3} textAnchor="end" fontSize={11} fill="var(--soft)">
          all combs covered
        </text>
        {strength.counts
          .filter(({ on: day }) => day >= first.on)
          .map(({ on: day, kg }) => (
            <circle key={day} cx={at(day)} cy={y(kg)} r={3} fill="var(--ink)" />
          ))}
        <line x1={at(on)} x2={at(on)} y1={TOP} y2={BOTTOM} stroke="var(--yellow)" strokeWidth={2} />
        <line x1={8} x2={width - 8} y1={BOTTOM} y2={BOTTOM} stroke="var(--hairline)" />
        {[first.on, on, last.on].map((day, index) => (
          <text
            key={day}
            x={at(day)}
            y={HEIGHT - 3}
            fontSize={11}
            textAnchor={index === 0 ? 'start' : index === 1 ? 'middle' : 'end'}
            fill="var(--soft)"
          >
            {index === 1 ? '' : showDay(day, on)}
          </text>
        ))}
      </svg>
    </div>
  );
}

import type { WinterForecast } from '@yellow-cell/core';
import { scaleLinear, scalePoint } from 'd3-scale';
import { line } from 'd3-shape';
import { useSay } from '../app/units.ts';
import { Ticks } from '../bench/Ticks.tsx';
import { WeightTicks } from '../bench/WeightTicks.tsx';
import { BandPath } from '../parts/BandPath.tsx';
import { storesSteps } from '../parts/storesSteps.ts';

const SIZE = { width: 560, left: 44, right: 12, top: 16 };
const STORES_H = 130;
const BEES_H = 70;
const START = 'now';

interface CourseProps {
  title: string;
  forecast: WinterForecast;
  /** Another course beside it, as a broken line, with what it is. */
  beside?: { forecast: WinterForecast; words: string } | undefined;
  start_kg: number;
  bees_kg: number;
  seams: (kg: number) => number;
}

/** Stores and bees from now to spring, as bands. */
export function Course({ title, forecast, beside, start_kg, bees_kg, seams }: CourseProps) {
  const say = useSay();
  const names = [START, ...forecast.months.map(({ name }) => name)];
  const x = scalePoint(names, [SIZE.left, SIZE.width - SIZE.right]);
  const at = (name: string) => x(name) ?? 0;
  const most = Math.max(start_kg, ...forecast.months.map(({ high_kg }) => high_kg), 1);
  const y = scaleLinear([0, most], [STORES_H, SIZE.top]);
  const inSeams = (name: string, { low, middle, high }: WinterForecast['months'][number]['bees_kg']) => ({
    x: at(name),
    low: seams(low),
    middle: seams(middle),
    high: seams(high),
  });
  const bees = [
    inSeams(START, { low: bees_kg, middle: bees_kg, high: bees_kg }),
    ...forecast.months.map((month) => inSeams(month.name, month.bees_kg)),
  ];
  const mostSeams = Math.max(2, ...bees.map(({ high }) => high));
  const beesTop = STORES_H + 26;
  const yBees = scaleLinear([0, mostSeams], [beesTop + BEES_H, beesTop]);
  const last = forecast.months.at(-1);
  const lastBees = bees.at(-1);
  const words = `${title}: ${last?.middle_kg.toFixed(1)} kg of stores are left in spring, in nine winters of ten ${last?.low_kg.toFixed(1)} to ${last?.high_kg.toFixed(1)} kg, and about ${lastBees?.middle.toFixed(1)} seams of bees.`;
  const before =
    beside &&
    line<WinterForecast['months'][number]>(
      ({ name }) => at(name),
      ({ middle_kg }) => y(middle_kg),
    );
  return (
    <figure>
      <figcaption>
        <strong>{title}</strong>{' '}
        <span className="text-sm text-soft">nine winters of ten fall in the bands</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${SIZE.width} ${beesTop + BEES_H + 20}`}
        role="img"
        aria-label={say(words)}
        className="mt-1 w-full max-w-2xl"
      >
        <WeightTicks y={y} from={SIZE.left} to={SIZE.width - SIZE.right} />
        <Ticks y={yBees} from={SIZE.left} to={SIZE.width - SIZE.right} show={String} />
        <BandPath steps={storesSteps(START, start_kg, forecast.months, at)} y={y} />
        {before && beside && (
          <path
            d={before([...beside.forecast.months]) ?? ''}
            fill="none"
            stroke="var(--soft)"
            strokeDasharray="5 4"
          />
        )}
        <BandPath steps={bees} y={yBees} fill="var(--hairline)" opacity={1} />
        <text x={2} y={SIZE.top - 5} fontSize={12} fontWeight={700} fill="var(--ink)">
          {say('1 kg').replace(/^[\d.]+ /, '')}
        </text>
        <text x={2} y={beesTop - 3} fontSize={12} fontWeight={700} fill="var(--ink)">
          seams
        </text>
        {names.map((name) => (
          <text
            key={name}
            x={at(name)}
            y={beesTop + BEES_H + 15}
            textAnchor="middle"
            fontSize={12}
            fill="var(--soft)"
          >
            {name === START ? name : name.slice(0, 3)}
          </text>
        ))}
      </svg>
      {beside && <p className="text-sm text-soft">Broken line: {beside.words}.</p>}
    </figure>
  );
}

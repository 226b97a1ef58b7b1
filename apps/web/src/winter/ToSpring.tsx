import {
  beesOfSeams,
  comesThrough,
  type Preparation,
  seamsOfBees,
  type WinterForecast,
} from '@yellow-cell/core';
import { scaleLinear, scalePoint } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useSay } from '../app/units.ts';
import { bare, Ticks } from '../bench/Ticks.tsx';
import { odds } from './odds.ts';
import type { WinterView } from './useWinter.ts';

const SIZE = { width: 560, left: 44, right: 12, top: 16 };
const STORES_H = 130;
const BEES_H = 70;
const START = 'now';

interface ToSpringProps {
  winter: WinterView;
  preparation: Preparation;
  pitch_mm: number;
  /** Counted now. */
  seams: number;
}

/** Stores and bees to spring as it is and fitted and fed, with what becomes of a hundred such winters. */
export function ToSpring({ winter, preparation, pitch_mm, seams }: ToSpringProps) {
  const { fitted, asItIs } = preparation;
  if (!fitted.forecast)
    return (
      <p className="mt-3 border-t border-hairline pt-2 text-soft">
        The winter is reckoned once its seams are counted and its stores are known.
      </p>
    );
  const { smallSeams, litresPerKg } = winter.season.constants;
  const strong_kg = beesOfSeams(smallSeams, pitch_mm, litresPerKg);
  const rows = oddsOf(fitted.forecast, asItIs.forecast, strong_kg, smallSeams);
  return (
    <div className="mt-3 grid gap-x-6 gap-y-2 border-t border-hairline pt-2 sm:grid-cols-[minmax(0,1fr)_15rem]">
      <Course
        fitted={fitted.forecast}
        asItIs={asItIs.forecast}
        start_kg={Math.min(preparation.holds_kg, (preparation.stores_kg ?? 0) + preparation.short_kg)}
        bees_kg={beesOfSeams(seams, pitch_mm, litresPerKg)}
        seams={(kg) => seamsOfBees(kg, pitch_mm, litresPerKg)}
      />
      <table className="h-fit w-full text-[0.92rem]">
        <caption className="text-left font-semibold">Odds</caption>
        <thead>
          <tr className="text-right text-sm text-soft">
            <td />
            <th className="font-normal">as it is</th>
            <th className="font-normal">for winter</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([words, before, after]) => (
            <tr key={words} className="border-b border-hairline text-right">
              <th scope="row" className="py-0.5 pr-2 text-left font-normal leading-tight">
                {words}
              </th>
              <td className="whitespace-nowrap text-soft">{before === undefined ? '?' : odds(before)}</td>
              <td className="whitespace-nowrap font-semibold">{odds(after)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

type Row = readonly [words: string, before: number | undefined, after: number];
function oddsOf(
  fitted: WinterForecast,
  asItIs: WinterForecast | undefined,
  strong_kg: number,
  smallSeams: number,
): Row[] {
  const strong = (forecast: WinterForecast) => comesThrough(forecast, strong_kg);
  const few = (forecast: WinterForecast) => comesThrough(forecast) - strong(forecast);
  return [
    ['starves', asItIs?.starved, fitted.starved],
    ['dwindles', asItIs?.dwindled, fitted.dwindled],
    [`comes through with fewer than ${smallSeams} seams`, asItIs && few(asItIs), few(fitted)],
    [`comes through with ${smallSeams} or more`, asItIs && strong(asItIs), strong(fitted)],
  ];
}

interface CourseProps {
  fitted: WinterForecast;
  asItIs: WinterForecast | undefined;
  start_kg: number;
  bees_kg: number;
  seams: (kg: number) => number;
}

function Course({ fitted, asItIs, start_kg, bees_kg, seams }: CourseProps) {
  const say = useSay();
  const names = [START, ...fitted.months.map(({ name }) => name)];
  const x = scalePoint(names, [SIZE.left, SIZE.width - SIZE.right]);
  const at = (name: string) => x(name) ?? 0;
  const most = Math.max(start_kg, ...fitted.months.map(({ high_kg }) => high_kg), 1);
  const y = scaleLinear([0, most], [STORES_H, SIZE.top]);
  const inSeams = (name: string, { low, middle, high }: WinterForecast['months'][number]['bees_kg']) => ({
    name,
    low: seams(low),
    middle: seams(middle),
    high: seams(high),
  });
  const bees = [
    inSeams(START, { low: bees_kg, middle: bees_kg, high: bees_kg }),
    ...fitted.months.map((month) => inSeams(month.name, month.bees_kg)),
  ];
  const mostSeams = Math.max(2, ...bees.map(({ high }) => high));
  const beesTop = STORES_H + 16;
  const yBees = scaleLinear([0, mostSeams], [beesTop + BEES_H, beesTop]);
  const stores = [
    { name: START, low_kg: start_kg, middle_kg: start_kg, high_kg: start_kg },
    ...fitted.months,
  ];
  type Stores = (typeof stores)[number];
  const last = fitted.months.at(-1);
  const lastBees = bees.at(-1);
  const words = `Fitted and fed, ${last?.middle_kg.toFixed(1)} kg of stores are left in spring, in nine winters of ten ${last?.low_kg.toFixed(1)} to ${last?.high_kg.toFixed(1)} kg, and about ${lastBees?.middle.toFixed(1)} seams of bees.`;
  const before =
    asItIs &&
    line<WinterForecast['months'][number]>(
      ({ name }) => at(name),
      ({ middle_kg }) => y(middle_kg),
    );
  return (
    <figure>
      <figcaption>
        <strong>To spring</strong>{' '}
        <span className="text-sm text-soft">nine winters of ten fall in the bands</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${SIZE.width} ${beesTop + BEES_H + 20}`}
        role="img"
        aria-label={say(words)}
        className="mt-1 w-full max-w-2xl"
      >
        <Ticks y={y} from={SIZE.left} to={SIZE.width - SIZE.right} show={(kg) => bare(say(`${kg} kg`))} />
        <Ticks y={yBees} from={SIZE.left} to={SIZE.width - SIZE.right} show={(count) => String(count)} />
        <path
          d={
            area<Stores>(
              ({ name }) => at(name),
              ({ low_kg }) => y(low_kg),
              ({ high_kg }) => y(high_kg),
            )(stores) ?? ''
          }
          fill="var(--comb)"
          opacity={0.6}
        />
        <path
          d={
            line<Stores>(
              ({ name }) => at(name),
              ({ middle_kg }) => y(middle_kg),
            )(stores) ?? ''
          }
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2}
        />
        {before && asItIs && (
          <path d={before([...asItIs.months]) ?? ''} fill="none" stroke="var(--soft)" strokeDasharray="5 4" />
        )}
        <path
          d={
            area<(typeof bees)[number]>(
              ({ name }) => at(name),
              ({ low }) => yBees(low),
              ({ high }) => yBees(high),
            )(bees) ?? ''
          }
          fill="var(--hairline)"
        />
        <path
          d={
            line<(typeof bees)[number]>(
              ({ name }) => at(name),
              ({ middle }) => yBees(middle),
            )(bees) ?? ''
          }
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2}
        />
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
      {asItIs && <p className="text-sm text-soft">Broken line: as it is, not fed.</p>}
    </figure>
  );
}

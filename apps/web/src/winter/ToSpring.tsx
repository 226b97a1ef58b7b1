import {
  beesOfSeams,
  comesThrough,
  type Preparation,
  seamsOfBees,
  type WinterForecast,
} from '@yellow-cell/core';
import { Course } from './Course.tsx';
import { odds } from './odds.ts';
import type { WinterView } from './useWinter.ts';

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
        title="To spring, fitted and fed"
        forecast={fitted.forecast}
        beside={asItIs.forecast && { forecast: asItIs.forecast, words: 'as it is, not fed' }}
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

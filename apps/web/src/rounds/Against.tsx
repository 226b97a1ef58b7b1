import type { SeasonAnswer } from '@yellow-cell/contract';
import { type LotState, showDay } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { percent } from './percent.ts';
import type { Odds } from './useOdds.ts';

/** A plan of a season with the odds of its lots. */
export interface Sized {
  answer: SeasonAnswer;
  lots: readonly LotState[];
  odds: Odds;
}

const FIGURES: readonly (readonly [string, (answer: SeasonAnswer) => number])[] = [
  ['Rounds', ({ rounds }) => rounds.length],
  ['Cells, and rooms to stock', ({ rounds }) => rounds.reduce((sum, { cells }) => sum + cells, 0)],
  [
    'Queens in time, in the mean',
    ({ lots }) => Math.round(lots.reduce((sum, { queens }) => sum + queens, 0)),
  ],
];

/** Two plans side by side: the one that was kept, and the one of the habits as they are now. */
export function Against({ now, kept, today }: { now: Sized; kept: Sized; today: string }) {
  const say = useSay();
  const chanceIn = ({ lots, odds }: Sized, lot: string): string =>
    lots.some((each) => each.lot.id === lot) ? percent(odds.of(lot)?.chance) : '–';
  return (
    <table className="mt-1 w-full text-sm">
      <thead className="text-soft">
        <tr>
          <th className="text-left font-normal">Side by side</th>
          <th className="text-right font-normal">kept</th>
          <th className="text-right font-normal">now</th>
        </tr>
      </thead>
      <tbody>
        {FIGURES.map(([name, of]) => (
          <tr key={name} className="border-t border-hairline">
            <th className="text-left font-normal">{name}</th>
            <td className="pl-2 text-right whitespace-nowrap">{of(kept.answer)}</td>
            <td className="pl-2 text-right font-semibold whitespace-nowrap">{of(now.answer)}</td>
          </tr>
        ))}
        {now.lots.map(({ lot }) => (
          <tr key={lot.id} className="border-t border-hairline">
            <th className="text-left font-normal">{say(`${lot.name} by ${showDay(lot.by, today)}`)}</th>
            <td className="pl-2 text-right whitespace-nowrap">{chanceIn(kept, lot.id)}</td>
            <td className="pl-2 text-right font-semibold whitespace-nowrap">{chanceIn(now, lot.id)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

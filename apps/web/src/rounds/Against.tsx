import type { SeasonAnswer } from '@yellow-cell/contract';
import { type LotState, type SeasonHabits, showDay } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { percent } from './percent.ts';
import { queensOf } from './seasonSolve.ts';
import type { Odds } from './useOdds.ts';

/** A plan of a season with the odds of its lots, and what it wants of bees and hands. */
export interface Sized {
  answer: SeasonAnswer;
  lots: readonly LotState[];
  odds: Odds;
  /** In starters, of all its rounds. */
  bees_kg: number;
  hours: number;
}

const FIGURES: readonly (readonly [string, (plan: Sized) => string])[] = [
  ['Rounds', ({ answer }) => String(answer.rounds.length)],
  ['Cells, and rooms to stock', ({ answer }) => String(cellsIn(answer))],
  ['Bees in starters', ({ bees_kg }) => `${bees_kg.toFixed(1)} kg`],
  ['Hours of work', ({ hours }) => `${Math.round(hours)} h`],
  ['Queens in time, in the mean', ({ answer }) => String(Math.round(queensOf(answer)))],
];
const cellsIn = ({ rounds }: SeasonAnswer): number => rounds.reduce((sum, { cells }) => sum + cells, 0);

/** What it takes of hands: its grafts, its cells, and its queens. */
export const hoursOf = (answer: SeasonAnswer, { round_h, cell_h, queen_h }: SeasonHabits['work']): number =>
  answer.rounds.length * round_h + cellsIn(answer) * cell_h + queensOf(answer) * queen_h;

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
            <td className="pl-2 text-right whitespace-nowrap">{say(of(kept))}</td>
            <td className="pl-2 text-right font-semibold whitespace-nowrap">{say(of(now))}</td>
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

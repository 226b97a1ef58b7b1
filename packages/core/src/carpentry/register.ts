import type { Equipment, SpareComb } from '@yellow-cell/contract';
import { excludesQueens } from '../box/gap.ts';

export const spareCombWords: Readonly<Record<SpareComb, string>> = {
  drawn: 'drawn',
  stores: 'with stores',
  pollen: 'with pollen',
  partDrawn: 'part drawn',
  foundation: 'foundation',
};

/** Frames of a format that lie ready, by what they hold; broken ones and those to be cleaned are not ready. */
export function readyFrames(
  register: readonly Equipment[],
  format: string,
): { comb: SpareComb; count: number }[] {
  const ready = register.filter(
    (line) => line.kind === 'frame' && line.format === format && READY.includes(line.condition),
  );
  return (Object.keys(spareCombWords) as SpareComb[]).flatMap((comb) => {
    const count = ready.reduce((sum, line) => sum + (line.comb === comb ? line.count : 0), 0);
    return count > 0 ? [{ comb, count }] : [];
  });
}
const READY: readonly Equipment['condition'][] = ['new', 'good', 'worn'];

/** What is wrong with a line as told: an excluder keeps queens back by its slots, in the format that it covers (requirement 114). */
export function equipmentProblem({ kind, slot_mm, format }: Equipment): string | undefined {
  if (kind !== 'excluder') return undefined;
  if (slot_mm === undefined || format === undefined)
    return 'Of an excluder its format and its slots are to be known.';
  return excludesQueens(slot_mm)
    ? undefined
    : `Slots of ${slot_mm} mm do not part a queen from her bees: workers pass from 4.1 mm, a queen above 4.5.`;
}

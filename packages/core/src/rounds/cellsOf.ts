import type { Round } from '@yellow-cell/contract';

/** What became of a graft, as far as it is counted. */
export type CellFate = 'uncounted' | 'refused' | 'left' | 'given' | 'discarded';

export const discardedOf = ({ moved = [] }: Pick<Round, 'moved'>): number =>
  moved.reduce((sum, { to, cells }) => sum + (to === 'discarded' ? cells : 0), 0);

/** Cells that were taken on and can still be given: those carried to a finisher, an incubator or a bank are among them. */
export const cellsLeft = (
  { accepted, grafts, ...round }: Pick<Round, 'accepted' | 'grafts' | 'moved'>,
  given: number,
): number => Math.max(0, (accepted?.cells ?? grafts) - given - discardedOf(round));

/**
 * A round's grafts, one by one, on bars of so many. They are counted and not followed, so that given ones stand first,
 * then those that are left, thrown away, and refused.
 */
export function barsOf(
  round: Pick<Round, 'accepted' | 'grafts' | 'moved'>,
  given: number,
  each: number,
): CellFate[][] {
  const { accepted, grafts } = round;
  const taken = Math.min(grafts, accepted?.cells ?? 0);
  const gone = Math.min(given, taken);
  const left = Math.min(cellsLeft(round, given), taken - gone);
  const counts: [CellFate, number][] = accepted
    ? [
        ['given', gone],
        ['left', left],
        ['discarded', taken - gone - left],
        ['refused', grafts - taken],
      ]
    : [['uncounted', grafts]];
  const all = counts.flatMap(([fate, count]) => Array.from({ length: count }, () => fate));
  return Array.from({ length: Math.ceil(all.length / each) }, (_, bar) =>
    all.slice(bar * each, (bar + 1) * each),
  );
}

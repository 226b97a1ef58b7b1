import type { CombContent, CombSide } from '@yellow-cell/contract';

/** A side of a comb as so many fields in rows; each is half a hundredth of it, so that shares come out even. */
export const COMB_COLUMNS = 20;
export const COMB_ROWS = 10;
const FIELDS = COMB_COLUMNS * COMB_ROWS;

/** What is on one field; null: empty drawn comb. */
export type CombField = CombContent | null;

/** From the middle outwards: the oldest brood lies where she began, pollen in a band about it. */
const FROM_THE_MIDDLE: readonly CombContent[] = ['sealed', 'openBrood', 'eggs', 'pollen'];
/** Honey from the top corners inwards; what is not drawn, and drones, from the lower corners. */
const FROM_ABOVE: readonly CombContent[] = ['stores'];
const FROM_BELOW: readonly CombContent[] = ['drone', 'foundation', 'partDrawn'];

const across = (field: number): number => ((field % COMB_COLUMNS) + 0.5) / COMB_COLUMNS - 0.5;
const down = (field: number): number => (Math.floor(field / COMB_COLUMNS) + 0.5) / COMB_ROWS;
/** Brood lies as a ball cut through, a little below the middle. */
const fromTheMiddle = (field: number): number => Math.hypot(across(field), 0.8 * (down(field) - 0.55));
const fromAbove = (field: number): number => down(field) - 1.2 * Math.abs(across(field));
const fromBelow = (field: number): number => 1 - down(field) - 1.2 * Math.abs(across(field));

/** Shares as a comb would bear them (places are not kept): all that is told, each share to the nearest half of a hundredth. */
export function combFields(side: CombSide): CombField[] {
  const fields: CombField[] = Array.from({ length: FIELDS }, () => null);
  const lay = (contents: readonly CombContent[], rank: (field: number) => number) => {
    const free = fields.flatMap((content, field) => (content === null ? [field] : []));
    const order = free.sort((a, b) => rank(a) - rank(b) || a - b);
    for (const content of contents)
      for (const field of order.splice(0, Math.round((side[content] ?? 0) * FIELDS))) fields[field] = content;
  };
  lay(FROM_THE_MIDDLE, fromTheMiddle);
  lay(FROM_ABOVE, fromAbove);
  lay(FROM_BELOW, fromBelow);
  return fields;
}

/** The shares of what lies on the fields. */
export function combShares(fields: readonly CombField[]): CombSide {
  const counts = new Map<CombContent, number>();
  for (const content of fields) if (content) counts.set(content, (counts.get(content) ?? 0) + 1);
  return Object.fromEntries([...counts].map(([content, count]) => [content, count / FIELDS]));
}

/** Fields that a brush covers whose middle is at a place, each from 0 to 1 from the left and from above. */
export function fieldsAt(x: number, y: number, reach: number): number[] {
  const [column, row] = [x * COMB_COLUMNS - 0.5, y * COMB_ROWS - 0.5];
  const found: number[] = [];
  for (let field = 0; field < FIELDS; field++) {
    const away = Math.hypot((field % COMB_COLUMNS) - column, Math.floor(field / COMB_COLUMNS) - row);
    if (away <= reach) found.push(field);
  }
  return found;
}

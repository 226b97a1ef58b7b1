export interface Span {
  start: number;
  end: number;
}

/** A line with other words in place of some of it. What becomes a note goes to its end, where nothing is taken for a part of it. */
export function inPlace(line: string, { start, end }: Span, says: string): string {
  const [before, after] = [line.slice(0, start), line.slice(end)];
  if (says.startsWith('note ')) return `${oneSpaced(`${before}${after}`)} ${says}`;
  return says === '' ? oneSpaced(`${before}${after}`) : `${before}${says}${after}`;
}
export const oneSpaced = (line: string): string => line.replaceAll(/\s+/g, ' ').trim();

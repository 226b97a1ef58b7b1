/** `1 day`, `0 days`, `2.5 seams`. */
export const countOf = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;

/** `West`, `West and East`, `West, Middle and East`. */
export function listOf(names: readonly string[], last = 'and'): string {
  const before = names.slice(0, -1);
  const end = names.at(-1) ?? '';
  return before.length === 0 ? end : `${before.join(', ')} ${last} ${end}`;
}

/** A sentence begins with a capital letter. */
export const capital = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1);

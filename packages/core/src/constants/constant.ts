/** A figure of judgement: its default, what it may be, what it means and where it comes from. */
export interface Constant {
  value: number;
  unit: string;
  /** Where the default comes from: the project's handbook, by chapter, or our own estimate. */
  source: string;
  range: readonly [number, number];
  meaning: string;
}

export function constant(
  value: number,
  unit: string,
  source: string,
  range: readonly [number, number],
  meaning: string,
): Constant {
  return { value, unit, source, range, meaning };
}

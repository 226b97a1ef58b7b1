/** One line of the table: ours against a plain baseline measured in the same run. */
export interface Figure {
  what: string;
  ours: number;
  baseline: number;
  unit: string;
  /** What the baseline is. */
  against: string;
  /** True where the figure keeps what is asked of it. */
  holds: boolean;
  wanted: string;
}

export function printTable(figures: readonly Figure[]): void {
  const rows = figures.map(({ what, ours, baseline, unit, against, holds, wanted }) => [
    what,
    `${digits(ours)} ${unit}`,
    `${digits(baseline)} ${unit}`,
    digits(ours / baseline),
    holds ? 'holds' : 'MISSED',
    `${wanted}; against ${against}`,
  ]);
  const all = [['what', 'ours', 'baseline', 'ratio', '', 'wanted'], ...rows];
  const widths = all[0]?.map((_, column) => Math.max(...all.map((row) => row[column]?.length ?? 0))) ?? [];
  for (const row of all) console.log(row.map((cell, column) => cell.padEnd(widths[column] ?? 0)).join('  '));
}

const digits = (value: number): string =>
  value >= 1_000 ? Math.round(value).toLocaleString('en') : value.toPrecision(3);

/** Middle value of repeated timings in ms: shared machines are noisy, and single timings lie. */
export async function medianMs(times: number, work: () => unknown): Promise<number> {
  const taken: number[] = [];
  for (let time = 0; time < times; time++) {
    const started = performance.now();
    await work();
    taken.push(performance.now() - started);
  }
  return taken.sort((a, b) => a - b)[Math.floor(times / 2)] ?? Number.NaN;
}

/** Calls a second of pure work, after a warm-up. */
export function perSecond(work: () => unknown, forMs = 600, atOnce = 50): number {
  for (let until = performance.now() + forMs / 3; performance.now() < until; ) work();
  let calls = 0;
  const started = performance.now();
  while (performance.now() - started < forMs) {
    for (let batch = 0; batch < atOnce; batch++) work();
    calls += atOnce;
  }
  return (calls / (performance.now() - started)) * 1_000;
}

import { quick } from '@yellow-cell/core';
import type { Figure } from './figure.ts';

const boxes = (count: number) =>
  Array.from({ length: count }, (_, index) => ({
    label: `B${index + 1}`,
    compartments: ['West', 'Middle', 'East'],
  }));
const PLAIN = 'b7 w eggs 85 3 seams q seen, m no eggs, e fed 0.5 l 1:1 28 may';
/** Lines that a grammar chokes on: many readings, long, of nothing that it knows. */
const BAD: readonly string[] = [
  '3 '.repeat(5_000),
  '3 '.repeat(60),
  'eggs 3 '.repeat(30),
  'fed 1 kg fondant '.repeat(15),
  '🐝'.repeat(3_000),
  '🐝 '.repeat(60),
  'ქართული ენა '.repeat(30),
  'strips '.repeat(60),
  'x'.repeat(10_000),
];
const BAD_MS = 50;
const LARGE_YARD = 500;

/** How long a typed line keeps a person waiting. */
export function quickFigures(): Figure[] {
  const few = msOf(() => quick({ line: PLAIN, on: '2026-05-31', boxes: boxes(12) }));
  const many = msOf(() => quick({ line: PLAIN, on: '2026-05-31', boxes: boxes(LARGE_YARD) }));
  const worst = Math.max(
    ...BAD.map((line) => msOf(() => quick({ line, on: '2026-05-31', boxes: boxes(LARGE_YARD) }))),
  );
  return [
    {
      what: `a plain line read, ${LARGE_YARD} boxes`,
      ours: many,
      baseline: few,
      unit: 'ms',
      against: 'the same among 12 boxes',
      holds: many <= 16,
      wanted: 'within a frame, 16 ms',
    },
    {
      what: 'the worst of bad lines asked or refused',
      ours: worst,
      baseline: many,
      unit: 'ms',
      against: 'a plain line',
      holds: worst <= BAD_MS,
      wanted: `${BAD_MS} ms`,
    },
  ];
}

/** The middle of nine, after one that warms up. */
function msOf(work: () => unknown): number {
  work();
  const taken = Array.from({ length: 9 }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  });
  return taken.sort((a, b) => a - b)[4] ?? Number.NaN;
}

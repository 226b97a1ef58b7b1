import type { NestAnswer, NestQuestion } from '@yellow-cell/contract';
import { expect, it } from 'vitest';
import { seededRandom } from '../random.ts';
import { faultsOf, firstFit, sawnApart } from './nest.test.kit.ts';
import { nestRounds } from './nest.ts';

/** Parts of many sizes, that are nobody's whole sheet: what is hard to lay. */
function mixed(seed: number, kinds: number, most: number, scale = 1): NestQuestion {
  const random = seededRandom(seed);
  return {
    sheet: { width_mm: 1_220, height_mm: 610 },
    kerf_mm: 3,
    parts: Array.from({ length: kinds }, (_, index) => ({
      name: `P${index}`,
      width_mm: Math.round((40 + random() * 400) * scale),
      height_mm: Math.round((40 + random() * 300) * scale),
      count: most === 0 ? 46 : 1 + Math.floor(random() * most),
      turn: random() < 0.7,
    })),
  };
}
const offcuts = [
  { name: 'Long', width_mm: 700, height_mm: 200 },
  { name: 'Short', width_mm: 260, height_mm: 300 },
];
const QUESTIONS: Readonly<Record<string, NestQuestion>> = {
  'a few parts': mixed(1, 8, 3),
  'parts with pieces at hand': { ...mixed(2, 10, 3), offcuts },
  'more parts': mixed(5, 14, 2),
  'many like parts': mixed(9, 6, 6),
  'parts of eight sheets': mixed(11, 16, 14),
  'three sheets sawn apart': sawnApart(21, 3, 12, 3),
  'five hundred and more, in batches': mixed(4, 12, 0, 1 / 3),
};

const lineOf = ({ sheets, bound }: NestAnswer): string => {
  const shares = sheets.map(({ placements, width_mm, height_mm }) =>
    Math.round(
      (100 * placements.reduce((sum, part) => sum + part.width_mm * part.height_mm, 0)) /
        (width_mm * height_mm),
    ),
  );
  const rests = sheets.flatMap((sheet) => sheet.offcuts.map((rest) => rest.width_mm * rest.height_mm));
  return `${sheets.length} sheets (by area ${bound}), filled ${shares.join(' ')} %, largest rest ${Math.round(Math.max(0, ...rests) / 100)} cm²`;
};

/**
 * Each answer that the search tells, in its order. It is seeded and pure: browser, worker and shell tell the same, and a
 * change of the search shows here, to be judged by whether it ends better.
 */
it('what the search tells, step by step, stands in its file; every answer can be sawn', async () => {
  const told = Object.entries(QUESTIONS).flatMap(([name, question]) => {
    const rounds = [...nestRounds(question)];
    const last = rounds.at(-1);
    expect([name, last && faultsOf(question, last)]).toEqual([name, []]);
    if (!question.offcuts) expect(last?.sheets.length ?? Number.NaN).toBeLessThanOrEqual(firstFit(question));
    return [name, ...rounds.map((round) => `  ${lineOf(round)}`)];
  });
  await expect(`${told.join('\n')}\n`).toMatchFileSnapshot('./found.txt');
}, 60_000);

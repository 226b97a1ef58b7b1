import { expect, it } from 'vitest';
import { type ConstantName, type Constants, defaultConstants, registry } from '../registry.ts';
import { built, things, warm } from './ofBoxes.test.kit.ts';
import { steps } from './ofPlaybooks.test.kit.ts';
import { rounds } from './ofRounds.test.kit.ts';
import { bees, rooms, warnings } from './ofTheYard.test.kit.ts';
import { wintering, yardInWinter } from './ofWinter.test.kit.ts';
import type { Reckonings } from './reckoning.test.kit.ts';

const reckonings: Reckonings = {
  ...rooms,
  ...warnings,
  ...bees,
  ...steps,
  ...built,
  ...warm,
  ...things,
  ...yardInWinter,
  ...wintering,
  ...rounds,
};
/** Used where days are coloured, and moved there: the ribbon’s own test. */
const OF_THE_RIBBON: readonly ConstantName[] = ['queensFly_C', 'coldDay_C'];
const figures = (Object.keys(registry) as ConstantName[]).filter((name) => !OF_THE_RIBBON.includes(name));

/** As text; figures that an answer carries along are no effect of them. */
const answerOf = (name: string, constants: Constants): string =>
  JSON.stringify(reckonings[name]?.(constants) ?? null, (key, value) =>
    key === 'constants' ? undefined : value instanceof Map ? [...value] : value,
  );

/** The answers with all defaults, and for each figure those that read it, first those that read few. */
function asItIs() {
  const answers = new Map<string, string>();
  const reads = new Map<string, number>();
  const readBy = new Map<PropertyKey, string[]>();
  for (const name of Object.keys(reckonings)) {
    const read = new Set<PropertyKey>();
    const watched = new Proxy(defaultConstants, {
      get: (all, figure) => {
        read.add(figure);
        return all[figure as ConstantName];
      },
      // Spread into another record, they may all be read there.
      ownKeys: (all) => {
        for (const figure of figures) read.add(figure);
        return Reflect.ownKeys(all);
      },
    });
    answers.set(name, answerOf(name, watched));
    reads.set(name, read.size);
    for (const figure of read) readBy.set(figure, [...(readBy.get(figure) ?? []), name]);
  }
  for (const names of readBy.values()) names.sort((a, b) => (reads.get(a) ?? 0) - (reads.get(b) ?? 0));
  return { answers, readBy };
}

it('every figure of the registry moves an answer, from one end of its range to the other', () => {
  const { answers, readBy } = asItIs();
  const moves = (figure: ConstantName): boolean =>
    (readBy.get(figure) ?? []).some((name) =>
      registry[figure].range.some(
        (end) => answerOf(name, { ...defaultConstants, [figure]: end }) !== answers.get(name),
      ),
    );
  expect(figures.filter((figure) => !moves(figure))).toEqual([]);
}, 60_000);

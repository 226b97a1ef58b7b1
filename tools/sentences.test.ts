import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { DesignContent, Measures } from '@yellow-cell/contract';
import {
  boxViews,
  checkDesign,
  defaultConstants,
  designProblems,
  families,
  familyDesign,
  fold,
  inMeasures,
  METRIC,
  plusDays,
  rules,
  type Situation,
  seededRandom,
  warningsOf,
} from '@yellow-cell/core';
import { createDemo, recorded } from '@yellow-cell/demo';
import { describe, expect, it } from 'vitest';
import { yard as quickYard } from '../packages/core/src/quick/quick.test.kit.ts';
import { readQuickLine } from '../packages/core/src/quick/quickLine.ts';
import { begun, known as storyKnown, told } from '../packages/core/src/yard/story.test.kit.ts';
import { root } from './root.ts';

/** What no person should be told: names of the program's own, instants, figures as they come, wrong numbers of things. */
const AMISS: readonly (readonly [string, RegExp])[] = [
  ['an identifier', /\b[a-z]+[A-Z][a-z]+|[0-9a-f]{8}-[0-9a-f]{4}|\b[a-z]+_(?:mm|kg|C|d)\b/],
  ['an instant or a day as it is stored', /\d{4}-\d{2}-\d{2}/],
  ['a figure as it comes', /\d\.\d{4,}|\d{5,}|e-\d|NaN|Infinity|undefined|null|\[object/],
  [
    'one of many',
    /(?<![\d.,/:])\b1 (?:days|weeks|frames|seams|compartments|dividers|cells|holes|boxes|queens|rows|hours|minutes)\b/,
  ],
  [
    'many of one',
    /(?<![\d.,/:])\b(?:0|[2-9]|\d{2,}|\d+\.\d+) (?:day|week|frame|seam|compartment|divider|cell|hole|box|queen|row|hour|minute)\b(?![’'-])/,
  ],
  ['a list without an end', /\b\w+, (?:West|East|Middle|Left|Right)\b(?! and)[^,]*\.$/],
  ['no sentence', /^\s|\s$|\s{2}|^[a-z]/],
  ['its source by chapter', /[Hh]andbook|[Rr]equirement \d/],
];
const US: Measures = {
  length: 'inch',
  weight: 'lb',
  volume: 'usQuart',
  temperature: 'F',
  weekStart: 'sunday',
  dates: 'monthDay',
};
const NOT_US: readonly (readonly [string, RegExp])[] = [
  ['millimetres', /\d mm\b/],
  ['kilograms', /\d kg\b/],
  ['degrees of Celsius', /°C/],
  ['no length', /(?<![\d./])0 in\b/],
];
const wrong = (sentences: ReadonlySet<string>): string[] =>
  [...sentences].flatMap((sentence) => [
    ...AMISS.flatMap(([what, pattern]) =>
      pattern.test(inMeasures(sentence, METRIC)) ? [`${what}: ${sentence}`] : [],
    ),
    ...NOT_US.flatMap(([what, pattern]) => {
      const said = inMeasures(sentence, US);
      return pattern.test(said) && !/\b0 mm\b/.test(sentence) ? [`${what}: ${said}`] : [];
    }),
  ]);

const COUNTS = [0, 1, 2, 2.5];

describe('every sentence of', () => {
  it('rules that raise work', () => {
    const sentences = new Set(rules.flatMap(({ title, why }) => [title, why]));
    const NOW = '2026-08-20T12:00:00.000Z';
    const demo = createDemo(NOW);
    const { known, events } = recorded(demo);
    for (const on of [
      '2025-06-01',
      '2025-10-10',
      '2026-04-15',
      '2026-05-20',
      '2026-05-31',
      '2026-06-20',
      '2026-08-19',
    ]) {
      const state = fold(
        known,
        events.filter(({ occurredAt }) => occurredAt.slice(0, 10) <= on),
      );
      for (const { id } of demo.yards)
        for (const { compartments } of boxViews(state, known, id, defaultConstants, { on, today: on }))
          for (const { expectations } of compartments)
            for (const { reason } of expectations) sentences.add(reason);
    }
    expect(sentences.size).toBeGreaterThan(150);
    expect(wrong(sentences)).toEqual([]);
  });

  it('rules and warnings, with figures of 0, 1, 2 and a half', () => {
    const IN = { box: 'box-1', colony: 'colony-1' };
    const CELL = '2026-05-10';
    const sentences = new Set<string>();
    for (const count of COUNTS) {
      const on = plusDays(CELL, 12 + Math.round(count));
      const whole = Math.round(count);
      const events = [
        ...begun(CELL),
        told('strengthSeen', plusDays(CELL, 3), { ...IN, seams: count, broodFrames: whole }),
        told('fed', plusDays(CELL, 3), { ...IN, feed: 'syrup11', amount_kg: Math.max(0.1, count) }),
        told('stripsPut', plusDays(CELL, 2), { ...IN, product: 'Strips', outBy: plusDays(CELL, 11 + whole) }),
        told('troubleSeen', plusDays(CELL, 5), { ...IN, trouble: 'robbing', over: false }),
        told('queenSeen', plusDays(CELL, 6), { ...IN, seen: false }),
        told('wildCellsSearched', plusDays(CELL, 7), { ...IN, found: whole }),
        told('outingLeft', plusDays(CELL, 8), {
          ...IN,
          place: 'The fair',
          backBy: `${plusDays(CELL, 8)}T15:00:00.000Z`,
        }),
      ];
      const state = fold(storyKnown, events);
      const weather = new Map(
        Array.from({ length: 30 }, (_, day) => {
          const date = plusDays(CELL, day - 10);
          return [
            date,
            {
              date,
              min_C: count,
              max_C: 10 + count,
              wind_ms: count,
              rain_mm: 0,
              flying_h: day % 4 === 0 ? count : 0,
            },
          ] as const;
        }),
      );
      const situation: Situation = {
        state,
        designs: storyKnown.designs,
        on,
        weather,
        constants: defaultConstants,
        yard: { latitude_deg: 48 },
      };
      for (const { compartments } of boxViews(
        { ...state, weather: new Map([['yard-1', weather]]) },
        storyKnown,
        'yard-1',
        defaultConstants,
        { on, today: on },
      ))
        for (const { expectations } of compartments)
          for (const { reason, title } of expectations) sentences.add(reason).add(title);
      const acts: Parameters<typeof warningsOf>[1][] = [
        { kind: 'eggsSeen', payload: { ...IN, attempt: 'attempt-1' } },
        { kind: 'cellGiven', payload: { ...IN, attempt: 'other' } },
        { kind: 'queenTaken', payload: { ...IN, to: 'sold', beesRemain: true } },
        { kind: 'fed', payload: { ...IN, feed: 'syrup21', amount_kg: count + 1 } },
        { kind: 'coverSet', payload: { ...IN, on: false } },
        { kind: 'combined', payload: { ...IN, intoBox: 'box-1', into: 'colony-1' } },
        { kind: 'boxTakenApart', payload: { box: 'box-1' } },
      ];
      for (const act of acts) for (const { sentence } of warningsOf(situation, act)) sentences.add(sentence);
    }
    expect(sentences.size).toBeGreaterThan(20);
    expect(wrong(sentences)).toEqual([]);
  });

  it('checks, whichever length of a design is another', () => {
    const sentences = new Set<string>();
    const random = seededRandom(5);
    for (const { family } of families) {
      const design = familyDesign(family);
      const lengths = lengthsIn(design);
      for (let tried = 0; tried < 20; tried++) {
        const path = lengths[Math.floor(random() * lengths.length)] ?? [];
        const by = [-4.25, -1, 0, 1, 2, 2.5, 12][Math.floor(random() * 7)] ?? 0;
        const changed = withLength(design, path, by);
        const problems = designProblems(changed);
        for (const { sentence } of problems) sentences.add(sentence);
        if (problems.length > 0) continue;
        for (const { sentence, fix } of checkDesign(changed)) {
          sentences.add(sentence);
          if (fix) sentences.add(fix.label);
        }
      }
    }
    expect(sentences.size).toBeGreaterThan(300);
    expect(wrong(sentences)).toEqual([]);
  });

  it('the quick line', () => {
    const document = readFileSync(join(root, 'docs', 'quick-line.md'), 'utf8');
    const sentences = new Set<string>();
    for (const [, line = ''] of document.matchAll(/^\| (.+?) \| (.+?) \|$/gmu)) {
      const answer = readQuickLine(line, quickYard, () => 'new');
      if (answer.is === 'ask') sentences.add(answer.question);
      if (answer.is === 'entry') sentences.add(answer.words);
    }
    const plain = [...sentences].filter((sentence) => !/[“”]/.test(sentence));
    expect(wrong(new Set(plain))).toEqual([]);
  });
});

/** Where the lengths of a design stand. */
function lengthsIn(value: unknown, path: readonly string[] = []): (readonly string[])[] {
  if (value === null || typeof value !== 'object') return [];
  if (typeof (value as { mm?: unknown }).mm === 'number') return [path];
  return Object.entries(value).flatMap(([key, each]) => lengthsIn(each, [...path, key]));
}
function withLength(design: DesignContent, path: readonly string[], by: number): DesignContent {
  const changed = structuredClone(design);
  let at = changed as unknown as Record<string, unknown>;
  for (const key of path) at = at[key] as Record<string, unknown>;
  at.mm = Math.max(0, Number(at.mm) + by);
  delete at.typed;
  return changed;
}

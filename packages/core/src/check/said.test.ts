import type { DesignContent, Family } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { designProblems } from '../box/designProblems.ts';
import { familyDesigns } from '../families/build.ts';
import { type Changeable, changeables } from './changedByOne.test.kit.ts';
import { checkDesign, findingsOf } from './check.ts';

/** What does not hold of a design, each in a line; where it cannot be at all, why. */
function faults(design: DesignContent): string[] {
  const problems = designProblems(design);
  if (problems.length > 0) return [`refused: ${problems[0]?.sentence}`];
  return findingsOf(design).flatMap(({ holds, severity, kind, places, sentence }) =>
    holds ? [] : [`${severity} ${kind} [${places.join(' ')}]: ${sentence}`],
  );
}
/** The same without its figures, which change all the time: a fault begins where this changes. */
const mattersOf = (said: readonly string[]): string =>
  [...new Set(said.map((line) => line.replaceAll(/[−-]?\d+(\.\d+)?/g, '#')))].sort().join('\n');

/** A tenth of a mm is the finest that anybody sets. */
const STEP = 10;
const inSteps = (mm: number): number => Math.round(mm * STEP);

/** Values of a length at which what does not hold becomes another matter, from its own outwards. */
function turns(length: Changeable, own: number): number[] {
  const said = new Map<number, string>();
  const at = (step: number): string => {
    const known = said.get(step) ?? mattersOf(faults(length.with(step / STEP)));
    said.set(step, known);
    return known;
  };
  const ends = own === 0 ? [-5, 5, 30] : [0.6 * own, 1.6 * own];
  return ends
    .toSorted((a, b) => Math.abs(a - own) - Math.abs(b - own))
    .flatMap((end, index, all) => {
      const nearer = all.slice(0, index).findLast((each) => each < own === end < own) ?? own;
      let [same, other] = [inSteps(nearer), inSteps(end)];
      if (at(same) === at(other)) return [];
      while (Math.abs(other - same) > 1) {
        const middle = Math.round((same + other) / 2);
        if (at(middle) === at(same)) same = middle;
        else other = middle;
      }
      return [other / STEP];
    });
}

const NEW_AT_MOST = 4;
/** What is said of a changed design and not of the design itself, and how much is said no more. */
function difference(before: readonly string[], design: DesignContent): string[] {
  const now = faults(design);
  const [old, matters] = [new Set(before.map(bare)), new Set(now.map(bare))];
  const fixes = now.some((line) => line.startsWith('refused'))
    ? new Map<string, string>()
    : new Map(checkDesign(design).flatMap(({ sentence, fix }) => (fix ? [[sentence, fix.label]] : [])));
  const fresh = now.filter((line) => !old.has(bare(line)));
  const gone = before.filter((line) => !matters.has(bare(line)));
  const fixOf = (line: string) => [...fixes].find(([sentence]) => line.endsWith(sentence))?.[1];
  return [
    ...fresh.slice(0, NEW_AT_MOST).map((line) => `    ${line}${fixOf(line) ? ` → ${fixOf(line)}` : ''}`),
    ...(fresh.length > NEW_AT_MOST ? [`    and ${fresh.length - NEW_AT_MOST} more`] : []),
    ...gone.map((line) => `    no more: ${line.split(':')[0]}`),
  ];
}
const bare = (line: string): string => line.replaceAll(/[−-]?\d+(\.\d+)?/g, '#');

/** All that is said of a family as it is drawn, and where that changes when one thing of it is changed. */
function saidOf(design: DesignContent): string {
  const before = faults(design);
  const lines = findingsOf(design).map(
    ({ holds, severity, kind, places, sentence, figure, limit }) =>
      `${holds ? 'holds' : severity} ${kind} [${places.join(' ')}]${figure === undefined ? '' : ` ${Math.round(figure * 100) / 100}`}${limit ? ` (${limit.value}, ${limit.source})` : ''}: ${sentence}`,
  );
  for (const thing of changeables(design)) {
    const { name, is, others } = thing;
    for (const value of typeof is === 'number' ? turns(thing, is) : others) {
      const said = difference(before, thing.with(value));
      if (said.length > 0) lines.push(`  ${name} ${is} → ${short(value)}`, ...said);
    }
  }
  return `${lines.join('\n')}\n`;
}
const short = (value: unknown): string =>
  Array.isArray(value)
    ? `${value.length}`
    : value !== null && typeof value === 'object'
      ? 'had'
      : String(value);

describe('what the checks say', () => {
  it.each(Object.keys(familyDesigns) as Family[])(
    'of %s, and where it changes when one thing is changed, stands in its file',
    async (family) => {
      await expect(saidOf(familyDesigns[family]())).toMatchFileSnapshot(`./said/${family}.txt`);
    },
    60_000,
  );
});

import { expect, it } from 'vitest';
import { daysBetween } from '../../calendar/days.ts';
import { fold } from '../fold.ts';
import { CELL, SITUATIONS } from '../situations.test.kit.ts';
import { known, workOf } from '../story.test.kit.ts';
import type { Expectation } from './expectation.ts';

/** From, expected and to in days since the cell was given; what lapses, or is quiet, or has an hour. */
const lineOf = ({ kind, key, from, expected, to, by, lapses, quiet, reason }: Expectation): string =>
  `  ${kind}${key === undefined ? '' : ` (${key})`}: ${[from, expected, to].map((each) => daysBetween(CELL, each)).join(' | ')}${lapses ? ', lapses' : ''}${quiet ? ', quiet' : ''}${by === undefined ? '' : `, by ${by}`}. ${reason}`;

it('what is expected, when, and why, of one compartment in each of these situations', async () => {
  const lines = SITUATIONS.flatMap(([name, events, on]) => {
    const state = fold(known, [...events]);
    expect(state.toSettle, name).toEqual([]);
    return [name, ...workOf(state, 'colony-1', on).map(lineOf), ''];
  });
  await expect(lines.join('\n')).toMatchFileSnapshot('./windows.txt');
});

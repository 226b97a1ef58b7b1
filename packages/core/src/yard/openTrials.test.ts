import { expect, it } from 'vitest';
import { openTrials } from './openTrials.ts';
import { told, YARD } from './story.test.kit.ts';

it('of trials those are open that were begun and have not ended, the last first', () => {
  const begun = (trial: string, on: string) =>
    told('trialBegun', on, {
      trial,
      yard: YARD,
      question: trial,
      measured: 'takes',
      boxesIn: ['a'],
      boxesAgainst: ['b'],
    });
  const ended = told('trialEnded', '2026-06-03', { trial: 'two', yard: YARD, answer: '' });
  const all = [begun('one', '2026-05-01'), begun('two', '2026-05-02'), begun('three', '2026-05-03'), ended];
  expect(openTrials(all).map(({ trial }) => trial)).toEqual(['three', 'one']);
  const back = told('withdrawn', '2026-06-04', {}, { corrects: ended.id });
  expect(openTrials([...all, back]).map(({ trial }) => trial)).toEqual(['three', 'two', 'one']);
});

import { expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { clashesWith } from './clash.ts';
import { begun, OF, told } from './story.test.kit.ts';

const CELL = '2026-05-10';
const day = (count: number) => plusDays(CELL, count);
const IN = { box: 'box-1', colony: 'colony-1' };

it('what stands in the way of an entry is the last that changed a status, not a feed after it, nor what came later', () => {
  const eggs = told('eggsSeen', day(14), OF);
  const fed = told('fed', day(15), { ...IN, feed: 'syrup11', amount_kg: 0.5 });
  const taken = told('queenTaken', day(30), { ...OF, to: 'sold', beesRemain: true });
  const cell = told('cellGiven', day(16), { ...IN, attempt: 'attempt-9' });
  expect(clashesWith(cell, [...begun(CELL), eggs, fed, taken])?.id).toBe(eggs.id);
});

it('of two dividers the one that was moved, and nothing where nothing is told', () => {
  const other = told('dividerSet', day(1), { box: 'box-1', board: 'a', stands: false });
  const weighed = told('weighed', day(2), { box: 'box-1', weight_kg: 9, felt: true });
  const again = told('dividerSet', day(3), { box: 'box-1', board: 'a', stands: false });
  expect(clashesWith(again, [other, weighed])?.id).toBe(other.id);
  expect(clashesWith(again, [])).toBeUndefined();
});

it('what was told at the same instant stands in the way too, and of each thing only what is told of that thing', () => {
  const cell = told('cellGiven', day(16), { ...IN, attempt: 'attempt-9' }, { hour: 9 });
  const failed = told('failed', day(16), { ...OF, reason: 'virginLost' }, { hour: 9 });
  expect(clashesWith(cell, [...begun(CELL), failed])?.id).toBe(failed.id);
  const later = told('failed', day(16), { ...OF, reason: 'virginLost' }, { hour: 10 });
  expect(clashesWith(cell, [...begun(CELL), later])?.kind).toBe('cellGiven');
  // The box was placed last; the smaller thing, the colony, was stocked before that.
  const stocked = told('stocked', day(0), {
    ...IN,
    bays: ['bay-2'],
    frames: { sealedBrood: 1, stores: 0, drawn: 0 },
    shakes: 0,
    openBrood: false,
  });
  const placed = told('boxTakenApart', day(2), { box: 'box-1' });
  expect(clashesWith(cell, [stocked, placed])?.id).toBe(stocked.id);
});

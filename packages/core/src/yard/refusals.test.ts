import type { LogEvent, QueenFate } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { bodiesOf } from '../box/stack.ts';
import { plusDays } from '../calendar/days.ts';
import { fold } from './fold.ts';
import { begun, DESIGN, known, OF, stockedIn, threeWayDesign, told } from './story.test.kit.ts';

const CELL = '2026-05-10';
const day = (count: number) => plusDays(CELL, count);
const IN = { box: OF.box, colony: OF.colony };
const slot = threeWayDesign().versions.flatMap(({ content }) =>
  bodiesOf(content).flatMap(({ bays }) => bays.flatMap(({ frames }) => frames.map(({ id }) => id))),
)[0] as string;
const after = (...events: LogEvent[]) => fold(known, [...begun(CELL), ...events]);
const refusal = (...events: LogEvent[]) => after(...events).toSettle[0]?.sentence;

describe('what cannot be so waits to be settled', () => {
  it('a feeder where a frame stands, or a thing in a place that is not there', () => {
    const frame = told('frameAudited', day(1), { ...IN, frame: 'f', slot, sides: [{ sealed: 1 }, {}] });
    const set = (at: string, holds: 'feeder' | 'comb') =>
      told('slotSet', day(2), { box: IN.box, slot: at, holds });
    expect(refusal(frame, set(slot, 'feeder'))).toContain('A frame stands in that place');
    expect(refusal(frame, set(slot, 'comb'))).toBeUndefined();
    expect(refusal(set(slot, 'feeder'))).toBeUndefined();
    expect(after(set(slot, 'feeder')).boxes.get(IN.box)?.slots).toEqual({ [slot]: 'feeder' });
    expect(refusal(set('elsewhere', 'feeder'))).toContain('no such place');
  });

  it('a box taken down that stands on no other, put on itself, or where another stands', () => {
    const more = ['box-2', 'box-3'].map((box, at) =>
      told('boxBuilt', day(-5), { box, label: `B${at + 2}`, design: DESIGN, version: 1 }),
    );
    const on = (box: string, onto: string | null) => told('boxStacked', day(1), { box, onto });
    expect(refusal(on('box-1', null))).toBe('Box B1 stands on no other box.');
    expect(refusal(...more, on('box-2', 'box-1'), on('box-2', null))).toBeUndefined();
    expect(refusal(...more, on('box-2', 'box-1'), on('box-1', 'box-2'))).toBe(
      'Box B2 stands on box B1 itself.',
    );
    expect(refusal(...more, on('box-2', 'box-1'), on('box-3', 'box-1'))).toBe(
      'Box B2 stands on box B1 already.',
    );
  });

  it('a round grafted twice', () => {
    const again = told('grafted', day(1), { round: 'round-1', number: 1, donor: 'Sable', grafts: 20 });
    expect(refusal(again)).toContain('already grafted');
    expect(after(again).rounds.get('round-1')?.grafts).toBe(30);
  });

  it('a queen seen in a colony where she is not, or after she was gone', () => {
    const emerged = told('cellOpened', day(3), OF);
    const seen = (colony: string, on = day(15)) =>
      told('queenSeen', on, { box: OF.box, colony, queen: OF.attempt, seen: true });
    const eggs = told('eggsSeen', day(14), OF);
    const other = stockedIn('colony-2', 1, day(0));
    const queen = (events: readonly LogEvent[]) => after(...events).queens.get(OF.attempt);
    expect(queen([emerged, eggs, seen(OF.colony)])?.sightings).toEqual([{ on: day(15) }]);
    expect(refusal(emerged, eggs, other, seen('colony-2'))).toBeDefined();
    const died = told('queenTaken', day(16), { ...OF, to: 'died', beesRemain: true });
    expect(refusal(emerged, eggs, died, seen(OF.colony, day(17)))).toBeDefined();
  });
  it('a queen handed over for a lot who is neither sold nor goes to a colony', () => {
    const [emerged, eggs] = [told('cellOpened', day(3), OF), told('eggsSeen', day(14), OF)];
    const taken = (to: QueenFate) => told('queenTaken', day(16), { ...OF, to, beesRemain: true, lot: 'l' });
    for (const to of ['sold', 'colony'] as const) expect(refusal(emerged, eggs, taken(to))).toBeUndefined();
    for (const to of ['bank', 'culled', 'died', 'aside'] as const)
      expect(refusal(emerged, eggs, taken(to))).toContain('only where she is sold');
  });
});

describe('a count of one thing', () => {
  it('leaves the other as it was last counted', () => {
    const seams = told('strengthSeen', day(1), { ...IN, seams: 2.5 });
    const brood = told('strengthSeen', day(3), { ...IN, broodFrames: 1 });
    expect(after(seams, brood).colonies.get(IN.colony)).toMatchObject({
      strength: { on: day(1), seams: 2.5 },
      broodSeen: { on: day(3), frames: 1 },
    });
    expect(after(seams).colonies.get(IN.colony)?.broodSeen).toBeUndefined();
    expect(after(brood).colonies.get(IN.colony)?.strength).toBeUndefined();
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { slotsOf } from '../yard/slots.ts';
import { told } from '../yard/story.test.kit.ts';
import { AUDITS, ON, room, scene, slots } from './preparation.test.kit.ts';
import { winterEntries } from './winterEntries.ts';
import { winterMoves } from './winterMoves.ts';

let made = 0;

describe('the frames of a plan', () => {
  const order = fc.shuffledSubarray(slots, { minLength: 1 });
  it('stand side by side at their end in their order, all others are out, whatever stays', () => {
    fc.assert(
      fc.property(order, fc.constantFrom('left' as const, 'right' as const), (kept, end) => {
        const { state, box, compartment } = scene(AUDITS);
        const hung = slotsOf(state, box.box, room, compartment);
        const keeps = kept.map((slot) => ({ slot, turned: false }));
        const moves = winterMoves('b', hung, { keeps, end }, () => 'new');
        if ('why' in moves) throw new Error(moves.why);
        const after = scene([
          ...AUDITS,
          ...(moves.length > 0 ? [told('framesMoved', '2026-10-08', { moves, purpose: 'reduce' })] : []),
        ]);
        expect(after.state.toSettle).toEqual([]);
        const now = slotsOf(after.state, after.box.box, room, after.compartment);
        const idAt = (slot: string) => `f${slots.indexOf(slot) + 1}`;
        const first = end === 'left' ? 0 : 10 - kept.length;
        expect(now.map(({ frame }) => frame?.id)).toEqual(
          slots.map((_, place) => {
            const slot = kept[place - first];
            return slot === undefined ? undefined : idAt(slot);
          }),
        );
      }),
      { numRuns: 40 },
    );
  });

  it('are where the bees are, once the follower stands, however few they are and at either end', () => {
    for (const end of ['left', 'right'] as const)
      for (const count of [1, 3, 4, 7]) {
        const { state, box, compartment } = scene(AUDITS);
        const keeps = slots.slice(2, 2 + count).map((slot) => ({ slot, turned: false }));
        const done = { act: 'reduce', room: { keeps, end, follower: true, insulation_mm: 0 } } as const;
        const plan = { ...done, on: ON, sugar_kg: 0, fed_kg: 0 };
        const entries = winterEntries(state, box, compartment, plan, () => `new ${count} ${made++}`);
        if ('why' in entries) throw new Error(entries.why);
        const events = entries.map(({ kind, payload }) => told(kind, '2026-10-09', payload as never));
        const booked = told('winterPlanned', '2026-10-08', { box: 'b', colony: 'a', sugar_kg: 0, ...done });
        const after = scene([...AUDITS, booked, ...events]);
        expect(after.state.toSettle).toEqual([]);
        const lived = after.box.compartments.filter(({ colony }) => colony?.id === 'a');
        expect([end, count, lived.map(({ frames }) => frames)]).toEqual([end, count, [count]]);
        const [start] = lived[0] ? [after.box.model.compartments[lived[0].position]?.x[0]] : [];
        expect(start === room.x[0]).toBe(end === 'left');
      }
  });

  it('and no follower is entered where none can stand any more: it says why', () => {
    const { state, box, compartment } = scene(AUDITS);
    const keeps = slots.map((slot) => ({ slot, turned: false }));
    const plan = { act: 'reduce', room: { keeps, end: 'left', follower: true, insulation_mm: 0 } } as const;
    expect(
      winterEntries(state, box, compartment, { ...plan, on: ON, sugar_kg: 0, fed_kg: 0 }, () => 'x'),
    ).toMatchObject({ why: expect.stringContaining('All its frames stay') });
  });

  it('are refused where one of them hangs there no more', () => {
    const { state, box, compartment } = scene(AUDITS);
    const hung = slotsOf(state, box.box, room, compartment);
    expect(
      winterMoves('b', hung, { keeps: [{ slot: 'gone', turned: false }], end: 'left' }, () => 'new'),
    ).toMatchObject({ why: expect.stringContaining('plan it anew') });
  });
});

describe('a plan that is another’s work', () => {
  it.each(['move', 'pair'] as const)(
    '%s is entered where it is done, and the plan is done with it',
    (act) => {
      const { state, box, compartment } = scene([]);
      const plan = { act, to: { box: 'c', bays: ['bay'] }, on: ON, sugar_kg: 0, fed_kg: 0 };
      expect(winterEntries(state, box, compartment, plan, () => 'x')).toMatchObject({
        why: expect.stringContaining('moved in the yard'),
      });
      const { to: _, ...stays } = plan;
      expect(winterEntries(state, box, compartment, stays, () => 'x')).toMatchObject([
        { kind: 'winterPrepared' },
      ]);
    },
  );
});

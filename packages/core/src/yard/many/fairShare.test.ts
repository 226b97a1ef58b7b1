import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fairShare, type Side } from './fairShare.ts';

/** Rooms are their place in the order walked, with the letter of their side: i, a, or none. */
const sideOf = (room: string): Side =>
  room.startsWith('i') ? 'in' : room.startsWith('a') ? 'against' : undefined;
const ROOMS = ['i1', 'i2', 'i3', 'n4', 'a5', 'a6', 'i7', 'n8'];

describe('what there is not enough of', () => {
  it('goes to the first as one walks, where no trial runs', () => {
    expect(fairShare(ROOMS, 3)).toEqual(['i1', 'i2', 'i3']);
    expect(fairShare(ROOMS, 99)).toEqual(ROOMS);
    expect(fairShare(ROOMS, 0)).toEqual([]);
  });
  it('goes to equally many of both sides of a trial, then to rooms of neither, then to those that one side has more', () => {
    expect(fairShare(ROOMS, 2, { sideOf })).toEqual(['i1', 'a5']);
    expect(fairShare(ROOMS, 3, { sideOf })).toEqual(['i1', 'n4', 'a5']);
    expect(fairShare(ROOMS, 5, { sideOf })).toEqual(['i1', 'i2', 'n4', 'a5', 'a6']);
    expect(fairShare(ROOMS, 7, { sideOf })).toEqual(['i1', 'i2', 'i3', 'n4', 'a5', 'a6', 'n8']);
    expect(fairShare(['i1', 'i2'], 1, { sideOf })).toEqual(['i1']);
  });
  it('is drawn by lot within each side: the same lot gives the same rooms, others give others', () => {
    const many = Array.from({ length: 40 }, (_, at) => `${at % 2 ? 'i' : 'a'}${at}`);
    const lots = ['r1 t', 'r2 t', 'r3 t'].map((lot) => fairShare(many, 10, { sideOf, lot }).join());
    expect(new Set(lots).size).toBe(3);
    expect(fairShare(many, 10, { sideOf, lot: 'r1 t' }).join()).toBe(lots[0]);
  });
  it('draws every room of a side about as often', () => {
    const often = new Map<string, number>();
    for (let lot = 0; lot < 1200; lot++)
      for (const room of fairShare(ROOMS, 4, { sideOf, lot: `round ${lot}` }))
        often.set(room, (often.get(room) ?? 0) + 1);
    // Two of four on the one side: 600 on an average, with a deviation of 17.
    for (const room of ['i1', 'i2', 'i3', 'i7'])
      expect(Math.abs((often.get(room) ?? 0) - 600)).toBeLessThan(90);
    expect(often.get('a5')).toBe(1200);
  });
  it('is always so many, in the order walked, and as even as the sides allow', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.tuple(fc.constantFrom('i', 'a', 'n'), fc.nat(99)), { selector: ([, at]) => at }),
        fc.nat(60),
        fc.option(fc.string(), { nil: undefined }),
        (made, most, lot) => {
          const rooms = made.map(([side, at]) => `${side}${at}`);
          const got = fairShare(rooms, most, { sideOf, ...(lot === undefined ? {} : { lot }) });
          expect(got).toHaveLength(Math.min(most, rooms.length));
          expect(got).toEqual(rooms.filter((room) => got.includes(room)));
          const count = (of: readonly string[], side: Side) =>
            of.filter((room) => sideOf(room) === side).length;
          const least = Math.min(count(rooms, 'in'), count(rooms, 'against'), Math.floor(most / 2));
          expect(count(got, 'in')).toBeGreaterThanOrEqual(least);
          expect(count(got, 'against')).toBeGreaterThanOrEqual(least);
        },
      ),
    );
  });
});

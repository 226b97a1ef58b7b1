import { Entry, NewDesign, NewYard, Role } from '@yellow-cell/contract';
import { boxViews, compartmentsOf, defaultConstants, designProblems, fold } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { createDemo, type Demo, recorded } from './index.ts';

const NOW = '2026-05-31T08:00:00.000Z';

function stateOf(demo: Demo) {
  const { known, events } = recorded(demo);
  return { state: fold(known, events), known };
}

describe('the demo', () => {
  it('is the same each time, and new entries only are added as its day goes on', () => {
    expect(createDemo(NOW)).toEqual(createDemo(NOW));
    for (const [before, after] of [
      ['2026-05-20', '2026-05-31'],
      ['2026-05-31', '2026-10-20'],
      ['2026-10-20', '2027-02-10'],
    ]) {
      const later = new Map(
        createDemo(`${after}T08:00:00.000Z`).entries.map((entry) => [entry.id, entry] as const),
      );
      for (const entry of createDemo(`${before}T08:00:00.000Z`).entries)
        expect(later.get(entry.id)).toEqual(entry);
    }
  });

  it.each(['2026-05-31', '2026-08-20', '2027-02-10'])(
    'has on %s the same rooms for a screen, which looks box by box, as for whoever looks through all of it',
    (on) => {
      const demo = createDemo(`${on}T08:00:00.000Z`);
      const { state, known } = stateOf(demo);
      const views = demo.yards.flatMap(({ id }) =>
        boxViews(state, known, id, defaultConstants, { on, today: on }),
      );
      expect(views.length).toBeGreaterThan(30);
      for (const { box, compartments } of views)
        compartmentsOf(state, known.designs, box).forEach((room, at) => {
          expect(compartments[at]).toMatchObject(room);
        });
    },
  );

  it('goes through the same schemas as a user’s entries', () => {
    const { designs, yards, entries } = createDemo(NOW);
    for (const yard of yards) NewYard.parse(yard);
    for (const design of designs) {
      NewDesign.parse(design);
      expect(designProblems(design.version.content)).toEqual([]);
    }
    for (const entry of entries) Entry.parse(entry);
  });

  it.each(['2026-04-20', '2026-05-05', '2026-05-31', '2026-07-01', '2026-08-20', '2026-10-20', '2027-02-10'])(
    'hangs together on %s: no entry is left to settle',
    (day) => {
      const demo = createDemo(`${day}T08:00:00.000Z`);
      expect(
        stateOf(demo).state.toSettle.map(
          ({ event, sentence }) => `${event.kind} ${event.occurredAt}: ${sentence}`,
        ),
      ).toEqual([]);
      expect(
        demo.entries.every(({ occurredAt }) => Date.parse(occurredAt) <= Date.parse(`${day}T08:00:00.000Z`)),
      ).toBe(true);
    },
  );

  it('has three yards, one of them in the south, at least six designs, thirty-five boxes, about fifty compartments, and a season of every outcome', () => {
    const demo = createDemo(NOW);
    const { state, known } = stateOf(demo);
    expect(demo.yards).toHaveLength(3);
    expect(demo.designs.length).toBeGreaterThanOrEqual(6);
    expect(state.boxes.size).toBe(35);
    const compartments = [...state.boxes.values()].flatMap((box) =>
      compartmentsOf(state, known.designs, box),
    );
    expect(compartments.length).toBeGreaterThanOrEqual(45);
    const reasons = new Set([...state.attempts.values()].flatMap(({ failed }) => failed?.reason ?? []));
    expect(reasons.size).toBeGreaterThanOrEqual(4);
    const kinds = new Set(compartments.map(({ status }) => status));
    for (const status of ['cellGiven', 'virgin', 'laying', 'proven'] as const)
      expect(kinds).toContain(status);
    const told = [...state.boxes.values()].flatMap(({ roles = [] }) => roles.map(({ role }) => role));
    expect(new Set([...compartments.map(({ role }) => role), ...told])).toEqual(
      new Set([...Role.options, 'empty']),
    );
  });
});

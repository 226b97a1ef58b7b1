import type { LogEvent, Status } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bodiesOf } from '../box/stack.ts';
import { plusDays } from '../calendar/days.ts';
import { compartmentsOf } from './compartments.ts';
import { fold } from './fold.ts';
import { bays, DESIGN, known, threeWayDesign, told, YARD } from './story.test.kit.ts';

/**
 * Dividers pulled and set at random while colonies come and go, told to the fold and to a naive model: three rooms in a
 * row, walls between them that stand or not, and who lives in each room.
 */
const START = '2026-05-01';
const FRAMES_EACH = 3;
const boards = threeWayDesign().versions.flatMap(({ content }) =>
  bodiesOf(content).flatMap((body) => body.boards.map(({ id }) => id)),
);
const RANK: readonly Status[] = ['laying', 'queenright', 'cellGiven', 'stocked'];

interface Bees {
  id: string;
  status: Status;
  stocked: number;
  rooms: number[];
  attempt?: { id: string; rooms: number[] };
}
interface Step {
  do: 'divider' | 'stock' | 'cell' | 'eggs' | 'leave';
  at: number;
}

/** Rooms that nothing stands between, as groups from the left. */
function groupsOf(walls: readonly boolean[]): number[][] {
  const groups = [[0]];
  for (const room of [1, 2])
    if (walls[room - 1]) groups.push([room]);
    else groups.at(-1)?.push(room);
  return groups;
}

function naive(steps: readonly Step[]) {
  const walls = [true, true];
  let living: Bees[] = [];
  const attempts: NonNullable<Bees['attempt']>[] = [];
  const ever: string[] = [];
  const events: LogEvent[] = [];
  const of = (bees: Bees) => ({ box: 'box-1', colony: bees.id });
  steps.forEach(({ do: act, at }, index) => {
    const day = plusDays(START, index);
    const groups = groupsOf(walls);
    const group = groups[at % groups.length] as number[];
    const here = living.find(({ rooms }) => rooms.some((room) => group.includes(room)));
    if (act === 'divider') {
      const wall = at % 2;
      walls[wall] = !walls[wall];
      events.push(
        told('dividerSet', day, {
          box: 'box-1',
          board: boards[wall] as string,
          stands: walls[wall] as boolean,
        }),
      );
      for (const joined of groupsOf(walls)) {
        const together = living
          .filter(({ rooms }) => rooms.some((room) => joined.includes(room)))
          .sort((a, b) => RANK.indexOf(a.status) - RANK.indexOf(b.status) || a.stocked - b.stocked);
        const [stays, ...others] = together;
        if (!stays || others.length === 0) continue;
        stays.rooms = [...new Set(together.flatMap(({ rooms }) => rooms))];
        living = living.filter((bees) => !others.includes(bees));
      }
      for (const bees of living) {
        const parts = groupsOf(walls).filter((part) => part.some((room) => bees.rooms.includes(room)));
        if (parts.length < 2) continue;
        const largest = parts.reduce((most, part) => (part.length > most.length ? part : most));
        bees.rooms = bees.rooms.filter((room) => largest.includes(room));
      }
    } else if (act === 'stock' && !here) {
      const bees: Bees = { id: `colony-${index}`, status: 'stocked', stocked: index, rooms: group };
      living.push(bees);
      ever.push(bees.id);
      events.push(
        told('stocked', day, {
          ...of(bees),
          bays: group.map((room) => bays[room] as string),
          frames: { sealedBrood: 1, stores: 1, drawn: 1 },
          shakes: 1,
          openBrood: false,
        }),
      );
    } else if (act === 'cell' && here?.status === 'stocked') {
      here.status = 'cellGiven';
      here.attempt = { id: `attempt-${index}`, rooms: group };
      attempts.push(here.attempt);
      events.push(told('cellGiven', day, { ...of(here), attempt: here.attempt.id }));
    } else if (act === 'eggs' && here && here.status !== 'laying' && here.status !== 'queenright') {
      here.status = here.status === 'cellGiven' ? 'laying' : 'queenright';
      events.push(told('eggsSeen', day, of(here)));
    } else if (act === 'leave' && here) {
      living = living.filter((bees) => bees !== here);
      events.push(told('failed', day, { ...of(here), reason: 'absconded' }));
    }
  });
  return { walls, living, attempts, ever, events };
}

const steps = fc.array(
  fc.record({
    do: fc.constantFrom<Step['do']>('divider', 'divider', 'stock', 'stock', 'cell', 'eggs', 'leave'),
    at: fc.integer({ min: 0, max: 5 }),
  }),
  { maxLength: 40 },
);

describe('any sequence of dividers pulled and set', () => {
  it('leaves the compartments, the colonies in them and every history as rooms in a row would', () => {
    fc.assert(
      fc.property(steps, (list) => {
        const { walls, living, attempts, ever, events } = naive(list);
        const state = fold(known, [
          told('boxBuilt', plusDays(START, -2), { box: 'box-1', label: 'B1', design: DESIGN, version: 1 }),
          told('boxPlaced', plusDays(START, -1), {
            box: 'box-1',
            yard: YARD,
            stand: '1',
            east_m: 0,
            north_m: 0,
            bearing_deg: 180,
          }),
          ...events,
        ]);
        expect(state.toSettle).toEqual([]);
        const box = state.boxes.get('box-1');
        if (!box) throw new Error('The box is gone.');
        const expected = groupsOf(walls).map((group) => {
          const bees = living.find(({ rooms }) => rooms.some((room) => group.includes(room)));
          return [group.length * FRAMES_EACH, bees?.status ?? 'empty', bees?.id ?? null];
        });
        expect(
          compartmentsOf(state, known.designs, box).map(({ frames, status, colony }) => [
            frames,
            status,
            colony?.id ?? null,
          ]),
        ).toEqual(expected);
        // Nobody's history is lost, and what an attempt had stays on its record.
        expect([...state.colonies.keys()].sort()).toEqual([...ever].sort());
        for (const { id, rooms } of attempts)
          expect(state.attempts.get(id)).toMatchObject({
            frames: rooms.length * FRAMES_EACH,
          });
      }),
      { numRuns: 250 },
    );
  });

  it('comes to the same where a divider was entered by mistake and corrected, but for the record', () => {
    fc.assert(
      fc.property(steps, fc.nat(), (list, pick) => {
        const { events } = naive(list);
        const wrong = events[pick % Math.max(1, events.length)];
        if (wrong?.kind !== 'dividerSet') return;
        const base = [
          told('boxBuilt', plusDays(START, -2), { box: 'box-1', label: 'B1', design: DESIGN, version: 1 }),
        ];
        const undo = told('withdrawn', plusDays(START, 50), {}, { corrects: wrong.id });
        const { story: _, ...corrected } = fold(known, [...base, ...events, undo]);
        const { story: __, ...never } = fold(known, [...base, ...events.filter(({ id }) => id !== wrong.id)]);
        expect(corrected).toEqual(never);
      }),
      { numRuns: 80 },
    );
  });
});

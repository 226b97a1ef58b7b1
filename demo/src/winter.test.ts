import type { Entry, LogEvent } from '@yellow-cell/contract';
import { kindVersionOf } from '@yellow-cell/contract/subjects';
import {
  autumnList,
  boxViews,
  defaultConstants,
  fold,
  instantOf,
  prepareRoom,
  watchList,
  winterAhead,
  winterEntries,
  winterMonths,
} from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { createDemo } from './index.ts';
import { asEvent, recorded } from './recorded.ts';

let made = 0;
const newId = (): string => `new ${made++}`;

/** The demo on a day, with what is entered on top of it. */
function stand(day: string) {
  const demo = createDemo(`${day}T20:00:00.000Z`);
  const { known, events: told } = recorded(demo);
  let seq = 0;
  const entered = (on: string, zone: string, drafts: readonly Pick<Entry, 'kind' | 'payload'>[]) =>
    drafts.map(
      ({ kind, payload }): LogEvent =>
        asEvent({
          id: `made ${seq}`,
          kind,
          kindVersion: kindVersionOf(kind),
          occurredAt: instantOf(on, 22, 0, zone),
          zone,
          person: 'P',
          device: 'd',
          deviceSeq: seq++,
          payload,
        } as Entry),
    );
  const views = (yard: string, more: readonly LogEvent[] = []) => {
    const state = fold(known, [...told, ...more]);
    return { state, boxes: boxViews(state, known, yard, defaultConstants, { on: day, today: day }) };
  };
  return { yards: demo.yards, views, entered };
}
const seasonOf = (on: string, latitude_deg: number) => ({
  on,
  ...winterAhead(winterMonths(undefined, latitude_deg), on, latitude_deg),
  constants: defaultConstants,
});

describe('every box of the demo, whatever it serves as', () => {
  // Each room is fitted at one end, the next at the other, and on the other day the other way round.
  it.each([
    ['2026-05-31', 0],
    ['2026-10-20', 1],
  ])(
    'is fitted to its bees on %s, and stands as it was planned',
    (day, turn) => {
      const { yards, views, entered } = stand(day);
      let fitted = 0;
      for (const { id, latitude_deg, zone } of yards) {
        const { state, boxes } = views(id);
        const season = seasonOf(day, latitude_deg);
        for (const [index, line] of autumnList(state, boxes, season).entries()) {
          const end = (index + turn) % 2 ? 'left' : 'right';
          const { box, room, seams, stores_kg } = line;
          const hung = room.frames;
          const name = `${box.box.label} ${room.name} ${end}`;
          const arrangement = {
            school: 'sun',
            sunSide: end,
            end,
            follower: true,
            insulation_mm: 60,
          } as const;
          const all = prepareRoom(state, box, room, { seams, stores_kg }, arrangement, season);
          if (!all || !room.colony) continue;
          const keeps = all.frames
            .slice(0, Math.max(1, hung - 2))
            .map(({ slot }) => ({ slot: slot.slot, turned: false }));
          const now = prepareRoom(
            state,
            box,
            room,
            { seams, stores_kg },
            { ...arrangement, kept: keeps },
            season,
          );
          const follower = now?.follower !== undefined && !('why' in now.follower);
          const plan = {
            act: 'reduce',
            room: { keeps, end, follower, insulation_mm: 0 },
            sugar_kg: 0,
          } as const;
          const entries = winterEntries(state, box, room, { ...plan, on: day, fed_kg: 0 } as never, newId);
          if ('why' in entries) throw new Error(`${name}: ${entries.why}`);
          const planned = {
            kind: 'winterPlanned',
            payload: { box: box.box.id, colony: room.colony.id, ...plan },
          } as const;
          const after = views(id, entered(day, zone, [planned as never, ...entries]));
          expect([name, after.state.toSettle.map(({ sentence }) => sentence)]).toEqual([name, []]);
          const colony = after.state.colonies.get(room.colony.id);
          expect([name, colony?.winter?.preparedOn]).toEqual([name, day]);
          if (!follower) continue;
          fitted += 1;
          const stands = after.boxes.find((each) => each.box.id === box.box.id);
          const own = stands?.compartments.find(
            (each) => each.colony?.id === room.colony?.id && each.shares === undefined,
          );
          expect([name, own?.frames]).toEqual([name, keeps.length]);
        }
      }
      expect(fitted).toBeGreaterThan(10);
    },
    120_000,
  );

  it('is watched in February: each line with its reason, and no figure that is none', () => {
    const day = '2027-02-10';
    const { yards, views } = stand(day);
    for (const { id, latitude_deg } of yards) {
      const { state, boxes } = views(id);
      const months = winterMonths(undefined, latitude_deg);
      for (const line of watchList(state, boxes, {
        on: day,
        months,
        latitude_deg,
        constants: defaultConstants,
      })) {
        expect(line.why).toMatch(/\.$/);
        for (const figure of [line.stores_kg, line.factor, line.forecast?.starved])
          if (figure !== undefined) expect(Number.isFinite(figure)).toBe(true);
      }
    }
  });
});

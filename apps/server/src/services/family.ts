import type { Relative } from '@yellow-cell/contract';
import { compartmentsOf, roomWords } from '@yellow-cell/core';
import type { Store } from '../store/database.ts';
import type { FamilyRow } from '../store/queens.ts';
import { toldBoxes } from '../store/standing.ts';
import { designsOf } from './designCache.ts';
import { stateOf } from './surroundings.ts';

/**
 * Queens with the room that each lives in now, which need not be that in which she was mated, and what that is; of one
 * that is gone from the box in which she was mated, the room that she had there.
 */
export async function withRooms(
  store: Store,
  breeder: string,
  rows: readonly FamilyRow[],
): Promise<Relative[]> {
  const boxes = new Set(rows.flatMap(({ queen }) => (queen.gone ? [] : [queen.box])));
  const told = (await toldBoxes(store, [...boxes])).map((row) => row.told);
  const designs = await designsOf(store, breeder, [...new Set(told.map(({ box }) => box.design))]);
  const byId = new Map(designs.map((design) => [design.id, design]));
  const rooms = new Map(
    told.flatMap((whole) =>
      compartmentsOf(stateOf([whole], ALONE), byId, whole.box).flatMap((room) =>
        room.queens.map(({ id }) => [id, room] as const),
      ),
    ),
  );
  return rows.map(({ queen, label, pattern_pct, mated_in, compartment }) => {
    const room = rooms.get(queen.id);
    const last = queen.gone && mated_in === queen.box ? compartment : undefined;
    return {
      queen,
      place: label === null ? null : [label, room?.name ?? last].filter(Boolean).join(' '),
      is: room ? roomWords(room) : null,
      pattern_pct,
    };
  });
}
const ALONE = { rounds: new Map(), weather: new Map() };

import { doorsOf, type ManyRoom } from '@yellow-cell/core';
import { useCallback, useState } from 'react';
import { newId } from '../../app/ids.ts';
import { draft } from '../../app/useLog.ts';
import { TextField } from '../../parts/Field.tsx';
import { type ActForm, at } from './actForm.ts';

const COUNTS = [
  ['sealedBrood', 'Sealed brood', 20],
  ['stores', 'Stores and pollen', 20],
  ['shakes', 'Shakes of bees', 40],
] as const;
const isWhole = (typed: string, most: number): boolean =>
  /^\d{1,2}$/.test(typed.trim()) && Number(typed) <= most;

export function useStock(): ActForm {
  const [typed, setTyped] = useState({ sealedBrood: '1', stores: '1', shakes: '2' });
  const [sealedBrood, stores, shakes] = COUNTS.map(([name]) => Number(typed[name])) as [
    number,
    number,
    number,
  ];
  return {
    words: `Stocked, ${sealedBrood} of brood, ${stores} of stores, ${shakes} shakes`,
    ready: COUNTS.every(([name, , most]) => isWhole(typed[name], most)),
    fields: (
      <>
        <div className="grid max-w-xl grid-cols-3 gap-x-3">
          {COUNTS.map(([name, label, most]) => (
            <TextField
              key={name}
              label={label}
              inputMode="numeric"
              value={typed[name]}
              problem={isWhole(typed[name], most) ? undefined : `A whole number to ${most}.`}
              onChange={({ target }) => setTyped({ ...typed, [name]: target.value })}
            />
          ))}
        </div>
        <p className="mb-2 text-sm text-soft">
          The rest of each room is drawn comb. No queen among them, no open brood; shut on vent, cool and fed
          for one to three days. Shaken bees sting: veil and gloves; whoever has reacted before keeps away.
        </p>
      </>
    ),
    drafts: useCallback(
      (each: ManyRoom) => [
        draft('stocked', {
          ...at(each),
          colony: newId(),
          bays: [...each.room.bays],
          frames: { sealedBrood, stores, drawn: Math.max(0, each.room.frames - sealedBrood - stores) },
          shakes,
          openBrood: false,
        }),
      ],
      [sealedBrood, stores, shakes],
    ),
  };
}

const opened = (each: ManyRoom) =>
  doorsOf(each.room, each.box, false)
    .slice(0, 1)
    .map((entrance) => draft('entranceSet', { ...at(each), entrance, state: 'open' }));
export const useOpen = (): ActForm => ({ words: 'Entrance opened', ready: true, drafts: opened });

const shut = (each: ManyRoom) =>
  doorsOf(each.room, each.box, true).map((entrance) =>
    draft('entranceSet', { ...at(each), entrance, state: 'vent' }),
  );
export const useShut = (): ActForm => ({
  words: 'Shut on vent',
  ready: true,
  drafts: shut,
  fields: (
    <p className="mb-2 text-soft">
      When all are home. Shut in they want feed, water and air, and are opened after one to three days.
    </p>
  ),
});

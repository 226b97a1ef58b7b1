import { countOf, inRoom, type ManyRoom } from '@yellow-cell/core';
import { useCallback } from 'react';
import { newId } from '../../app/ids.ts';
import { draft } from '../../app/useLog.ts';
import { useRound } from '../../yard/useRound.tsx';
import type { YardView } from '../../yard/useYard.ts';
import type { ActForm } from './actForm.ts';
import { useTrialSides } from './useTrialSides.tsx';

export function useCell(view: YardView): ActForm {
  const { round, left, field } = useRound(view);
  const trial = useTrialSides(view, round);
  return {
    words: 'Cell given',
    ready: true,
    fields: (
      <div className="grid max-w-xl gap-x-3 sm:grid-cols-2">
        {field}
        {trial.field}
      </div>
    ),
    ...(trial.apart ? { apart: trial.apart } : {}),
    drafts: useCallback(
      ({ box, room }: ManyRoom) => [
        draft('cellGiven', { ...inRoom(box.box, room), attempt: newId(), ...(round ? { round } : {}) }),
      ],
      [round],
    ),
    ...(left === undefined
      ? {}
      : {
          most: {
            rooms: left,
            sentence: `No more than ${countOf(left, 'cell')} of that round can be left.`,
          },
        }),
  };
}

const opened = ({ box, room }: ManyRoom) => [
  draft('cellOpened', { ...inRoom(box.box, room), attempt: room.attempt?.id ?? '' }),
];
export const useOpened = (): ActForm => ({
  words: 'Cell seen opened',
  ready: true,
  drafts: opened,
  fields: <p className="mb-2 text-soft">Choose those whose cell is open at its tip; the others wait.</p>,
});

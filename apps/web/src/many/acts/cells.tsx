import { useQuery } from '@tanstack/react-query';
import { countOf, inRoom, type ManyRoom, roundViews, showWindow, virginsOf } from '@yellow-cell/core';
import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { newId } from '../../app/ids.ts';
import { rearingQuery } from '../../app/queries.ts';
import { useSay } from '../../app/units.ts';
import { draft } from '../../app/useLog.ts';
import { Check } from '../../parts/Check.tsx';
import { SelectField } from '../../parts/Field.tsx';
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

/** Virgins that hatched in an incubator, each caged with candy into a room. */
export function useVirgin(view: YardView): ActForm {
  const say = useSay();
  const [params] = useSearchParams();
  const { data: season } = useQuery(rearingQuery(view.on));
  const waiting = useMemo(
    () =>
      (season ? roundViews(season, view.constants, view.on) : []).flatMap(({ round, days, outcome }) => {
        // What this device has given and not sent yet is in the yard's own state alone.
        const here = [...view.state.attempts.values()].filter((each) => each.round === round.id).length;
        const given = Math.max(here, outcome?.given ?? 0);
        const virgins = virginsOf(round, days, given, view.on, view.constants);
        return virgins ? [{ round, days, virgins }] : [];
      }),
    [season, view.constants, view.on, view.state.attempts],
  );
  const [typed, setTyped] = useState(params.get('round') ?? undefined);
  const chosen = waiting.find(({ round }) => round.id === typed) ?? (typed === '' ? undefined : waiting[0]);
  const [caged, setCaged] = useState(true);
  const round = chosen?.round.id;
  return {
    words: 'Virgin given',
    ready: true,
    fields: (
      <div className="max-w-xl">
        <SelectField
          label="From round"
          value={round ?? ''}
          hint="To bees queenless for about a day; poorer acceptance than cells, but her quality has been seen."
          onChange={({ target }) => setTyped(target.value)}
        >
          {waiting.map(({ round: { id, number, donor }, days, virgins }) => (
            <option key={id} value={id}>
              {say(
                `Round ${number}, ${donor}: ${virgins.count} hatched ${showWindow(...days.emergence, view.on)}`,
              )}
            </option>
          ))}
          <option value="">Not one of these</option>
        </SelectField>
        <Check tall label="In a cage, with candy" checked={caged} onChange={setCaged} />
      </div>
    ),
    drafts: useCallback(
      ({ box, room }: ManyRoom) => [
        draft('queenGiven', {
          ...inRoom(box.box, room),
          queen: newId(),
          what: 'virgin',
          caged,
          ...(round ? { round } : {}),
        }),
      ],
      [round, caged],
    ),
    ...(chosen
      ? {
          most: {
            rooms: chosen.virgins.count,
            sentence: `No more than ${countOf(chosen.virgins.count, 'virgin')} of that round can wait.`,
          },
        }
      : {}),
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

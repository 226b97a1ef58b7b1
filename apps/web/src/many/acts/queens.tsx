import type { QueenColour, QueenFate } from '@yellow-cell/contract';
import { attemptOf, fateWords, inRoom, type ManyRoom, nextMark, yearColour } from '@yellow-cell/core';
import { useCallback, useState } from 'react';
import { draft } from '../../app/useLog.ts';
import { SelectField, TextField } from '../../parts/Field.tsx';
import { queenColours } from '../../yard/queenColours.ts';
import type { YardView } from '../../yard/useYard.ts';
import { type ActForm, at } from './actForm.ts';

const of = ({ box, room }: ManyRoom) => ({ ...inRoom(box.box, room), ...attemptOf(room) });

const eggs = (each: ManyRoom) => [draft('eggsSeen', of(each))];
export const useEggs = (): ActForm => ({
  words: 'Eggs seen',
  ready: true,
  drafts: eggs,
  fields: (
    <p className="mb-2 text-soft">Choose those with eggs, one at the floor of each cell; the others wait.</p>
  ),
});

export function usePattern(): ActForm {
  const [typed, setTyped] = useState('');
  const pattern_pct = Number(typed);
  const ready = /^\d{1,3}$/.test(typed.trim()) && pattern_pct <= 100;
  return {
    words: `Pattern ${typed} %`,
    ready,
    fields: (
      <div className="max-w-xs">
        <TextField
          label="Pattern of those chosen (%)"
          inputMode="numeric"
          value={typed}
          placeholder="not scored yet"
          problem={ready || typed === '' ? undefined : 'A pattern is 0 to 100 %.'}
          hint="Choose those that are alike; then the next."
          onChange={({ target }) => setTyped(target.value)}
        />
      </div>
    ),
    drafts: useCallback(
      (each: ManyRoom) => [draft('patternScored', { ...of(each), pattern_pct })],
      [pattern_pct],
    ),
  };
}

export function useMark(view: YardView): ActForm {
  const year = Number(view.on.slice(0, 4));
  const [colour, setColour] = useState<QueenColour>(yearColour(year));
  const [typed, setTyped] = useState<string>();
  const first = typed ?? String(nextMark(view.state.queens.values(), colour));
  const ready = /^\d{1,9}$/.test(first.trim());
  return {
    words: `Marked ${colour}, from ${first}`,
    ready,
    fields: (
      <div className="grid max-w-xl grid-cols-2 gap-x-3">
        <SelectField
          label="Mark"
          value={colour}
          hint={`The colour of ${year} is ${yearColour(year)}.`}
          onChange={({ target }) => setColour(target.value as QueenColour)}
        >
          {queenColours.map((each) => (
            <option key={each}>{each}</option>
          ))}
        </SelectField>
        <TextField
          label="First number"
          inputMode="numeric"
          value={first}
          problem={ready ? undefined : 'A number to begin with.'}
          hint="Counted on as one walks past those chosen."
          onChange={({ target }) => setTyped(target.value)}
        />
      </div>
    ),
    drafts: useCallback(
      (each: ManyRoom, nth: number) => {
        const { room } = each;
        const [queen] = room.queens;
        if (!queen || !room.colony) return [];
        const her = { ...at(each), colony: room.colony.id, queen: queen.id };
        const birthYear = room.attempt && Number(room.attempt.givenOn.slice(0, 4));
        return [
          ...(queen.birthYear === undefined && birthYear !== undefined
            ? [draft('queenRecorded', { ...her, birthYear })]
            : []),
          draft('queenMarked', { ...her, colour, clipped: false, number: String(Number(first) + nth) }),
        ];
      },
      [colour, first],
    ),
  };
}

const FATES = ['sold', 'colony', 'bank', 'culled'] as const satisfies readonly QueenFate[];

export function useTaken(): ActForm {
  const [to, setTo] = useState<QueenFate>('sold');
  return {
    words: `Queens taken, ${fateWords[to]}`,
    ready: true,
    fields: (
      <div className="max-w-xs">
        <SelectField
          label="Where they went"
          value={to}
          hint="Their bees stay for the next cell."
          onChange={({ target }) => setTo(target.value as QueenFate)}
        >
          {FATES.map((each) => (
            <option key={each} value={each}>
              {fateWords[each]}
            </option>
          ))}
        </SelectField>
      </div>
    ),
    drafts: useCallback(
      (each: ManyRoom) => {
        const [queen] = each.room.queens;
        return [
          draft('queenTaken', {
            ...of(each),
            to,
            beesRemain: true,
            ...(queen ? { queen: queen.id } : {}),
          }),
        ];
      },
      [to],
    ),
  };
}

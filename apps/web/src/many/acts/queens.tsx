import type { QueenColour, QueenFate } from '@yellow-cell/contract';
import {
  attemptOf,
  countOf,
  fateWords,
  inRoom,
  type ManyRoom,
  nextMark,
  showDay,
  stillWanted,
  yearColour,
} from '@yellow-cell/core';
import { useCallback, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useSay } from '../../app/units.ts';
import { draft } from '../../app/useLog.ts';
import { SelectField, TextField } from '../../parts/Field.tsx';
import { LotField } from '../../rounds/LotField.tsx';
import { useOpenLots } from '../../rounds/useOpenLots.ts';
import { queenColours } from '../../yard/queenColours.ts';
import { queenName } from '../../yard/queenName.ts';
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
/** Where queens go that are wanted by somebody. */
const WANTED: readonly QueenFate[] = ['sold', 'colony'];

/** Asked for a lot, queens are handed over for it. */
export function useTaken({ on }: YardView): ActForm {
  const [params] = useSearchParams();
  const lots = useOpenLots();
  const [to, setTo] = useState<QueenFate>('sold');
  const [wanted, setWanted] = useState(params.get('lot') ?? '');
  const say = useSay();
  const lot = WANTED.includes(to) ? lots.find(({ id }) => id === wanted) : undefined;
  return {
    words: lot ? `Queens handed over for ${lot.name}` : `Queens taken, ${fateWords[to]}`,
    ready: true,
    says: ({ room }) => say(readyWords(room, on)),
    ...(lot
      ? {
          most: {
            rooms: stillWanted(lot),
            sentence: `Only ${countOf(stillWanted(lot), 'queen is', 'queens are')} still wanted for ${lot.name}.`,
          },
        }
      : {}),
    fields: (
      <div className="grid max-w-xl gap-x-3 sm:grid-cols-2">
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
        {WANTED.includes(to) && <LotField lots={lots} value={lot?.id ?? ''} onChange={setWanted} />}
      </div>
    ),
    drafts: useCallback(
      (each: ManyRoom) => {
        const [queen] = each.room.queens;
        // Those of a bank are there already.
        if (to === 'bank' && each.room.role === 'bank') return [];
        return [
          draft('queenTaken', {
            ...of(each),
            to,
            beesRemain: true,
            ...(queen ? { queen: queen.id } : {}),
            ...(lot ? { lot: lot.id } : {}),
          }),
        ];
      },
      [to, lot],
    ),
  };
}

/** By what one chooses among queens: who she is, how long she has laid, or stood in the bank, and how her brood looked. */
function readyWords({ queens: [queen], attempt, role }: ManyRoom['room'], on: string): string {
  const pattern = attempt?.patterns?.at(-1);
  return [
    ...(queen ? [queenName(queen)] : []),
    ...(role === 'bank' && queen
      ? [`${queen.cage ? `cage ${queen.cage}, ` : ''}in since ${showDay(queen.since, on)}`]
      : []),
    ...(attempt?.layingOn ? [`laying since ${showDay(attempt.layingOn, on)}`] : []),
    ...(pattern ? [`pattern ${pattern.pattern_pct} %`] : []),
  ].join(', ');
}

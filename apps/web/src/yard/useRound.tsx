import { cellsLeft, cellsUntil, plusDays, showDay } from '@yellow-cell/core';
import { type ReactNode, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useSay } from '../app/units.ts';
import { SelectField } from '../parts/Field.tsx';
import type { YardView } from './useYard.ts';

const MOST_SHOWN = 8;

/**
 * The round that cells come from, the ripe one first. `left` is how many of its cells no room of this yard has been
 * given; undefined where the round is not known.
 */
export function useRound(view: YardView): {
  round: string;
  left: number | undefined;
  field: ReactNode;
} {
  const say = useSay();
  const { rounds: all, attempts } = view.state;
  const rounds = [...all.values()]
    .filter((each) => !each.planned && cellsUntil(each) >= view.on)
    .sort((a, b) => (a.graftedOn > b.graftedOn ? -1 : 1))
    .slice(0, MOST_SHOWN);
  const ripe = (graftedOn: string) => plusDays(graftedOn, view.constants.cellToRipe_d);
  const [params] = useSearchParams();
  // A round's own page leads here with its cells.
  const led = rounds.find(({ id }) => id === params.get('round'));
  const [round, setRound] = useState(
    (led ?? rounds.find(({ graftedOn }) => ripe(graftedOn) <= view.on))?.id ?? '',
  );
  const chosen = all.get(round);
  const given = [...attempts.values()].filter((each) => each.round === round).length;
  const left = chosen && cellsLeft(chosen, given);
  const field = (
    <SelectField
      label="From round"
      value={round}
      hint={`${left === undefined ? '' : `${left} of its cells are told of in no room here. `}Upright, unjolted, warm; between top bars near brood.`}
      onChange={({ target }) => setRound(target.value)}
    >
      {rounds.map(({ id, number, donor, graftedOn }) => (
        <option key={id} value={id}>
          Round {number}, {donor}: ripe {say(showDay(ripe(graftedOn), view.on))}
        </option>
      ))}
      <option value="">Not one of these</option>
    </SelectField>
  );
  return { round, left, field };
}

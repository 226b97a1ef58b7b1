import { useQuery } from '@tanstack/react-query';
import { dayOf, type ManyRoom, openTrials, type TrialSides } from '@yellow-cell/core';
import { type ReactNode, useMemo, useState } from 'react';
import { seasonQuery } from '../../app/queries.ts';
import { SelectField } from '../../parts/Field.tsx';
import type { YardView } from '../../yard/useYard.ts';

/** While a trial runs in the yard: which rooms have the cells of a round, so that it compares like with like. */
export function useTrialSides(
  { yard, on }: YardView,
  round: string,
): { apart: TrialSides<ManyRoom> | undefined; field: ReactNode } {
  const { data: events } = useQuery(seasonQuery(yard.id));
  const trials = useMemo(
    () => openTrials((events ?? []).filter(({ occurredAt, zone }) => dayOf(occurredAt, zone) <= on)),
    [events, on],
  );
  const [typed, setTyped] = useState<string>();
  const how = typed ?? (trials[0] ? `even ${trials[0].trial}` : '');
  const apart = useMemo(() => {
    const trial = trials.find((each) => how.endsWith(each.trial));
    if (how === '' || !trial) return undefined;
    const sideOf: TrialSides<ManyRoom>['sideOf'] = ({ box: { box } }) =>
      trial.boxesIn.includes(box.id) ? 'in' : trial.boxesAgainst.includes(box.id) ? 'against' : undefined;
    return { sideOf, ...(how.startsWith('lot') ? { lot: `${round} ${trial.trial}` } : {}) };
  }, [how, trials, round]);
  if (trials.length === 0) return { apart: undefined, field: null };
  const field = (
    <SelectField
      label="Where cells are fewer than rooms"
      value={how}
      hint="A trial runs: its two sides have equally many, so that rounds and days tell neither apart."
      onChange={({ target }) => setTyped(target.value)}
    >
      {trials.map(({ trial, question }) => (
        <option key={trial} value={`even ${trial}`}>
          as many on each side of “{question}”
        </option>
      ))}
      {trials.map(({ trial, question }) => (
        <option key={trial} value={`lot ${trial}`}>
          the same, drawn by lot, of “{question}”
        </option>
      ))}
      <option value="">the first as one walks</option>
    </SelectField>
  );
  return { apart, field };
}

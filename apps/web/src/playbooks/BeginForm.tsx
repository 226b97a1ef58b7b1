import type { PlaybookName } from '@yellow-cell/contract';
import { cellsUntil, guidances, playbooks, towardsDay } from '@yellow-cell/core';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { newId } from '../app/ids.ts';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Form } from '../yard/Form.tsx';
import type { BoxView, CompartmentView, YardView } from '../yard/useYard.ts';
import { runPath } from './clocks.ts';
import { BEGIN } from './likely.ts';
import { TowardsDay } from './TowardsDay.tsx';

const USUAL_CELLS = 30;

/** Begins a playbook in a room: for how many cells, of which round, and what speaks against it. */
export function BeginForm({
  view,
  boxView,
  compartment,
  playbook,
  onDone,
}: {
  view: YardView;
  boxView: BoxView;
  compartment: CompartmentView;
  playbook: PlaybookName;
  onDone: () => void;
}) {
  const say = useSay();
  const log = useLog();
  const navigate = useNavigate();
  const { title, why, ofCells, wanted } = playbooks[playbook];
  const rounds = [...view.state.rounds.values()]
    .filter((round) => round.planned || cellsUntil(round) >= view.on)
    .sort((a, b) => (a.graftedOn < b.graftedOn ? -1 : 1));
  const [params] = useSearchParams();
  const asked = rounds.find(({ id }) => id === params.get(BEGIN.round));
  const [round, setRound] = useState((asked ?? rounds[0])?.id ?? '');
  const chosen = rounds.find(({ id }) => id === round);
  const [typed, setTyped] = useState<string>();
  const cellsText = typed ?? String(chosen?.grafts ?? USUAL_CELLS);
  const cells = Number(cellsText);
  const problem =
    !ofCells || (Number.isInteger(cells) && cells >= 1 && cells <= 1_000)
      ? undefined
      : 'From 1 to 1,000 cells.';
  const [by, setBy] = useState('');
  const past = by !== '' && by < view.on ? 'That day is over.' : undefined;
  const [reason, setReason] = useState('');
  const [refused, setRefused] = useState<string>();
  const against = guidances[playbook].against?.({
    state: view.state,
    view: boxView,
    room: compartment,
    constants: view.constants,
    ...(ofCells && problem === undefined ? { cells } : {}),
  });
  const begin = async () => {
    if (problem || past || (against && reason.trim() === '')) return;
    const run = newId();
    const delivery = await log(`${boxView.box.label} ${compartment.name}: ${title} begun`, [
      draft(
        'playbookBegun',
        {
          box: boxView.box.id,
          run,
          playbook,
          bays: [...compartment.bays],
          ...(ofCells ? { cells } : {}),
          ...(ofCells && round ? { round } : {}),
          ...(by ? { by } : {}),
        },
        against ? reason.trim() : undefined,
      ),
    ]);
    if (delivery.state === 'refused') setRefused(delivery.problems[0]?.sentence);
    else {
      onDone();
      void navigate(runPath(view.yard.id, boxView.box.id, run));
    }
  };
  return (
    <Form save={`Begin: ${title}`} onSave={begin} onCancel={onDone}>
      <p className="mb-2">{why}</p>
      {refused && (
        <p role="alert" className="mb-2 text-danger">
          {refused}
        </p>
      )}
      {ofCells && (
        <div className="grid grid-cols-2 gap-x-3">
          <SelectField label="Of round" value={round} onChange={({ target }) => setRound(target.value)}>
            {rounds.map(({ id, number, donor, planned }) => (
              <option key={id} value={id}>
                Round {number}, {donor}
                {planned ? ', planned' : ''}
              </option>
            ))}
            <option value="">none of these</option>
          </SelectField>
          <TextField
            label="Cells"
            inputMode="numeric"
            value={cellsText}
            problem={problem}
            onChange={({ target }) => setTyped(target.value)}
          />
        </div>
      )}
      {wanted && (
        <>
          <TextField
            label={wanted}
            type="date"
            value={by}
            min={view.on}
            problem={past}
            hint="Where a day is set, every stage is reckoned back from it."
            onChange={({ target }) => setBy(target.value)}
          />
          {by && !past && (
            <TowardsDay
              view={view}
              playbook={playbook}
              by={by}
              towards={towardsDay(playbook, by, view.on, view.constants)}
            />
          )}
        </>
      )}
      {against && (
        <>
          <p role="alert" className="mb-1 font-medium text-danger">
            {say(against)}
          </p>
          <TextField
            label="Why it is begun all the same"
            value={reason}
            maxLength={300}
            onChange={({ target }) => setReason(target.value)}
          />
        </>
      )}
    </Form>
  );
}

import type { CellsTo, Round } from '@yellow-cell/contract';
import { cellsLeft, cellsToWords, countOf, later } from '@yellow-cell/core';
import { useState } from 'react';
import { type Draft, draft } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import { Form } from '../yard/Form.tsx';

interface DayFormProps {
  round: Round;
  today: string;
  onSave: (graftOn: string) => Promise<void>;
  onCancel: () => void;
}

/** Another day for a graft that is planned, where there is no sheet to drag it on. */
export function DayForm({ round, today, onSave, onCancel }: DayFormProps) {
  const [day, setDay] = useState(later(round.graftedOn, today));
  const problem = day < today ? 'A plan lies ahead: today at the earliest.' : undefined;
  return (
    <Form save="Moved" onSave={() => problem === undefined && onSave(day)} onCancel={onCancel}>
      <TextField
        label="Graft on"
        type="date"
        value={day}
        problem={problem}
        onChange={({ target }) => setDay(target.value)}
      />
    </Form>
  );
}

interface CountFormProps {
  label: string;
  usual: number | undefined;
  most: number;
  save: string;
  onSave: (count: number) => Promise<void>;
  onCancel: () => void;
}

export function CountForm({ label, usual, most, save, onSave, onCancel }: CountFormProps) {
  const [typed, setTyped] = useState(usual === undefined ? '' : String(usual));
  const count = numberIn(typed);
  const problem =
    Number.isInteger(count) && count >= 0 && count <= most ? undefined : `A whole number from 0 to ${most}.`;
  return (
    <Form save={save} onSave={() => problem === undefined && onSave(count)} onCancel={onCancel}>
      <TextField
        label={label}
        inputMode="numeric"
        value={typed}
        problem={typed === '' ? undefined : problem}
        onChange={({ target }) => setTyped(target.value)}
      />
    </Form>
  );
}

export function CarryForm({
  round,
  given,
  finisherMost,
  send,
  onCancel,
}: {
  round: Round;
  given: number;
  /** Cells at once that a finisher builds well. */
  finisherMost: number;
  send: (title: string, drafts: readonly Draft[]) => Promise<void>;
  onCancel: () => void;
}) {
  const [to, setTo] = useState<CellsTo>('finisher');
  const [typed, setTyped] = useState(String(cellsLeft(round, given)));
  const [where, setWhere] = useState('');
  const cells = numberIn(typed);
  const most = round.accepted?.cells ?? round.grafts;
  const problem =
    Number.isInteger(cells) && cells >= 1 && cells <= most ? undefined : `A whole number from 1 to ${most}.`;
  const load =
    to === 'finisher' && cells > finisherMost
      ? `A finisher feeds ${finisherMost} cells at once at most for well-built ones: share them between two.`
      : undefined;
  return (
    <Form
      save="Carried"
      onSave={() =>
        problem === undefined &&
        send(`${countOf(cells, 'cell')} ${cellsToWords[to]}`, [
          draft('cellsMoved', {
            round: round.id,
            cells,
            to,
            ...(where.trim() ? { where: where.trim() } : {}),
          }),
        ])
      }
      onCancel={onCancel}
    >
      <SelectField
        label="Where"
        value={to}
        hint={load}
        onChange={({ target }) => setTo(target.value as CellsTo)}
      >
        {Object.entries(cellsToWords).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </SelectField>
      <div className="grid grid-cols-2 gap-x-3">
        <TextField
          label="Cells (how many)"
          inputMode="numeric"
          value={typed}
          problem={problem}
          onChange={({ target }) => setTyped(target.value)}
        />
        <TextField
          label={to === 'discarded' ? 'Why' : 'Which'}
          maxLength={80}
          value={where}
          onChange={({ target }) => setWhere(target.value)}
        />
      </div>
    </Form>
  );
}

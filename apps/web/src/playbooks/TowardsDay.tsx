import type { PlaybookName, Run } from '@yellow-cell/contract';
import { playbooks, showDay, type Towards, towardsOf, towardsSentence, withoutYear } from '@yellow-cell/core';
import { useState } from 'react';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';
import { Form } from '../yard/Form.tsx';
import type { BoxView, YardView } from '../yard/useYard.ts';

interface TowardsProps {
  view: YardView;
  by: string;
  towards: Towards;
}

/** Whether the day wanted can be kept. */
function Kept({ view, by, towards }: TowardsProps) {
  const say = useSay();
  return (
    <p role="status" className={`font-semibold ${towards.inHand_d < 0 ? 'text-danger' : ''}`}>
      {say(withoutYear(towardsSentence(towards, by), view.on))}
    </p>
  );
}

/** The same, and by when each stage is to be done for it, before it is begun. */
export function TowardsDay({ playbook, ...props }: TowardsProps & { playbook: PlaybookName }) {
  const say = useSay();
  const { view, by, towards } = props;
  const { latest } = towards.plan;
  const dated = playbooks[playbook].steps.filter(({ id }) => latest.has(id));
  return (
    <div className="my-2">
      <Kept {...props} />
      {towards.inHand_d >= 0 && (
        <ul aria-label="Latest days" className="text-sm">
          {dated.map(({ id, title }) => (
            <li key={id} className="row-line">
              <span>{title}</span>
              <span className="shrink-0 text-right">by {say(showDay(latest.get(id) ?? by, view.on))}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** The day wanted of a run: kept or not as it stands, and another in its place. */
export function RunTowards({
  view,
  boxView,
  run,
  now,
}: {
  view: YardView;
  boxView: BoxView;
  run: Run;
  now: string;
}) {
  const log = useLog();
  const [changing, setChanging] = useState(false);
  const [by, setBy] = useState(run.by ?? '');
  const { wanted, title } = playbooks[run.playbook];
  if (!wanted || run.ended) return null;
  const towards = towardsOf(run, now, view.constants);
  const save = async () => {
    const { playbook, bays, cells, round } = run;
    const said = {
      box: boxView.box.id,
      run: run.id,
      playbook,
      bays: [...bays],
      cells,
      round,
      ...(by ? { by } : {}),
    };
    await log(
      `${boxView.box.label}: ${title}, ${by ? `${wanted.toLowerCase()} ${showDay(by)}` : 'no day wanted any more'}`,
      [{ ...draft('playbookBegun', said), corrects: run.begun.entry, at: run.begun.at }],
    );
    setChanging(false);
  };
  return (
    <section aria-label="Day wanted" className="mb-3 flex max-w-2xl flex-wrap items-center gap-x-4">
      {towards && run.by !== undefined && <Kept view={view} by={run.by} towards={towards} />}
      {changing ? (
        <Form save="Set the day" onSave={save} onCancel={() => setChanging(false)}>
          <TextField
            label={wanted}
            type="date"
            value={by}
            min={run.begun.on}
            onChange={({ target }) => setBy(target.value)}
          />
        </Form>
      ) : (
        <button type="button" className="no-print min-h-11 underline" onClick={() => setChanging(true)}>
          {run.by === undefined ? `${wanted}…` : 'Another day…'}
        </button>
      )}
    </section>
  );
}

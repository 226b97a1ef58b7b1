import type { BoxState, Condition } from '@yellow-cell/contract';
import { conditionWords, showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Form } from './Form.tsx';

/** What the box itself is like, as last seen, and a form to say so anew. */
export function ConditionForm({ box }: { box: BoxState }) {
  const say = useSay();
  const { isToday } = useAsOf();
  const [open, setOpen] = useState(false);
  const { inspected } = box;
  return (
    <section aria-label="Condition">
      <h3 className="eyebrow">The box itself</h3>
      <p>
        {inspected
          ? `${conditionWords[inspected.condition]}${inspected.finish ? `, ${inspected.finish}` : ''}${inspected.missing ? `; missing ${inspected.missing}` : ''}, seen ${say(showDay(inspected.on))}.`
          : 'Nothing is kept of its finish and condition.'}{' '}
        {isToday && !open && (
          <button type="button" className="underline" onClick={() => setOpen(true)}>
            Look at it
          </button>
        )}
      </p>
      {open && <Fields box={box} onDone={() => setOpen(false)} />}
    </section>
  );
}

function Fields({ box, onDone }: { box: BoxState; onDone: () => void }) {
  const log = useLog();
  const [condition, setCondition] = useState<Condition>(box.inspected?.condition ?? 'good');
  const [finish, setFinish] = useState(box.inspected?.finish ?? '');
  const [missing, setMissing] = useState(box.inspected?.missing ?? '');
  const [problem, setProblem] = useState<string>();
  const save = async () => {
    const payload = { box: box.id, condition, finish: finish.trim(), missing: missing.trim() };
    const delivery = await log(`${box.label} looked at`, [draft('boxInspected', payload)]);
    if (delivery.state === 'refused') setProblem(delivery.problems[0]?.sentence);
    else onDone();
  };
  return (
    <Form save="Keep it" onSave={save} onCancel={onDone}>
      <SelectField
        label="Condition"
        value={condition}
        onChange={({ target }) => setCondition(target.value as Condition)}
      >
        {Object.entries(conditionWords).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Finish"
        value={finish}
        maxLength={80}
        placeholder="linseed, aired since 3 May"
        onChange={({ target }) => setFinish(target.value)}
      />
      <TextField
        label="Missing"
        value={missing}
        maxLength={200}
        problem={problem}
        placeholder="one disc"
        onChange={({ target }) => setMissing(target.value)}
      />
    </Form>
  );
}

import type { Role } from '@yellow-cell/contract';
import { endOfDay, proposedRole, roles } from '@yellow-cell/core';
import { useState } from 'react';
import { useAsOf } from '../app/now.ts';
import { draft } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Form, type FormProps } from './Form.tsx';

/** What a room serves as from a day on: proposed by its design and its story, said otherwise here. */
export function RoleForm({ view, boxView, compartment, send, onCancel }: FormProps) {
  const { on } = useAsOf();
  const { role: now, bays, colony } = compartment;
  const proposed = proposedRole({ design: boxView.design, bays, colony });
  const [role, setRole] = useState<Role>(now === 'empty' ? proposed : now);
  const [since, setSince] = useState(on);
  const problem = since > on ? 'From today, or an earlier day.' : undefined;
  const save = () => {
    if (problem) return;
    const set = draft('roleSet', { box: boxView.box.id, role, bays: [...bays] });
    return send(`serves as ${roles[role].name}`, [
      since === on ? set : { ...set, at: endOfDay(since, view.yard.zone) },
    ]);
  };
  return (
    <Form save="Serves so" onSave={save} onCancel={onCancel}>
      <SelectField
        label="Serves as"
        value={role}
        hint={`${roles[role].why}${role === proposed ? ' Proposed by its design and what was entered.' : ''}`}
        onChange={({ target }) => setRole(target.value as Role)}
      >
        {Object.entries(roles).map(([key, { name }]) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Since"
        type="date"
        value={since}
        problem={problem}
        onChange={({ target }) => setSince(target.value)}
      />
    </Form>
  );
}

import { useState } from 'react';
import { draft } from '../app/useLog.ts';
import { SelectField } from '../parts/Field.tsx';
import { Form, type FormProps, inColony, NoForm } from './Form.tsx';

/** A whole colony into an empty compartment, of this box or of another in the yard; its history goes along. */
export function MoveForm(props: FormProps) {
  const { view, send, onCancel } = props;
  const targets = view.boxes.flatMap(({ box, compartments }) =>
    compartments
      .filter(({ colony }) => !colony)
      .map((room) => ({ box, room, key: `${box.id} ${room.position}` })),
  );
  const [into, setInto] = useState(targets[0]?.key ?? '');
  const target = targets.find(({ key }) => key === into);
  if (!target)
    return (
      <NoForm onCancel={onCancel}>
        No compartment in this yard is empty: build a box, or combine two colonies first.
      </NoForm>
    );
  const { box, room } = target;
  const move = () =>
    send(`moved into ${box.label} ${room.name}`, [
      draft('colonyMoved', { ...inColony(props), toBox: box.id, bays: [...room.bays] }),
    ]);
  return (
    <Form save="Moved" onSave={() => void move()} onCancel={onCancel}>
      <SelectField
        label="Into"
        value={into}
        hint="Frames in their order and the same way round; know where she is before the last frame goes over."
        onChange={({ target: { value } }) => setInto(value)}
      >
        {targets.map((each) => (
          <option key={each.key} value={each.key}>
            {each.box.label} {each.room.name}: {each.room.frames} frames
          </option>
        ))}
      </SelectField>
    </Form>
  );
}

import { countOf, framesWithoutPlace, listOf } from '@yellow-cell/core';
import { useState } from 'react';
import { newId } from '../app/ids.ts';
import { draft } from '../app/useLog.ts';
import { SelectField } from '../parts/Field.tsx';
import { Form, type FormProps, inColony, NoForm } from './Form.tsx';

/** A whole colony into an empty compartment, of this box or of another in the yard; its history goes along. */
export function MoveForm(props: FormProps) {
  const { view, send, onCancel } = props;
  const slots = (props.boxView.model.compartments[props.compartment.position]?.frames ?? []).map(
    ({ id }) => id,
  );
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
  const { colony } = props.compartment;
  const out = colony
    ? framesWithoutPlace({ designs: view.designs, yards: NO_YARDS }, view.state, colony, {
        from: props.boxView.box,
        to: box,
        bays: room.bays,
      })
    : [];
  const numbers = out.map(({ slot }) => slots.indexOf(slot) + 1);
  const move = () => {
    const left = out.flatMap(({ slot, known }) => (known ? [] : [{ frame: newId(), slot }]));
    return send(`moved into ${box.label} ${room.name}`, [
      draft('colonyMoved', {
        ...inColony(props),
        toBox: box.id,
        bays: [...room.bays],
        ...(left.length > 0 ? { left } : {}),
      }),
    ]);
  };
  return (
    <Form save="Moved" onSave={move} onCancel={onCancel}>
      <SelectField
        label="Into"
        value={into}
        hint="Frames in their order and the same way round; know where she is before the last frame goes over."
        onChange={({ target: { value } }) => setInto(value)}
      >
        {targets.map((each) => (
          <option key={each.key} value={each.key}>
            {each.box.label} {each.room.name}: {countOf(each.room.frames, 'frame')}
          </option>
        ))}
      </SelectField>
      {out.length > 0 && (
        <p className="mb-2 rounded bg-glow px-2 py-1">
          {countOf(out.length, 'frame finds', 'frames find')} no place there (too many, too long or too deep):
          number {listOf(numbers.map(String))} from the left. They stay out, and are kept as out.
        </p>
      )}
    </Form>
  );
}

/** The frames alone are asked about: no yard is named. */
const NO_YARDS: ReadonlySet<string> = new Set();

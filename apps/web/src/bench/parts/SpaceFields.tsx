import type { Bay, Body, Slot } from '@yellow-cell/contract';
import {
  type BoxModel,
  columnsOf,
  fitSentence,
  fitWord,
  frameFormat,
  standardFormats,
  withDummy,
  withEntranceAdded,
  withFramesIn,
  withoutPart,
  withPart,
  withVentAdded,
} from '@yellow-cell/core';
import { useUnits } from '../../app/units.ts';
import { SelectField } from '../../parts/Field.tsx';
import { Stepper } from '../../parts/Stepper.tsx';
import { GapList } from '../GapList.tsx';
import { type PartFieldsProps, PartFrame } from './PartFrame.tsx';

const HOLDS: readonly (readonly [Slot['holds'], string])[] = [
  ['comb', 'A comb'],
  ['feeder', 'A frame feeder'],
  ['grafts', 'The graft bar'],
  ['bank', 'A bank frame, in the room of two'],
  ['display', 'A frame to show'],
];

export function SlotFields({ desk, slot, onChoose }: PartFieldsProps & { slot: Slot }) {
  return (
    <PartFrame
      title="Frame’s place"
      onChoose={onChoose}
      onRemove={() => desk.edit((now) => withoutPart(now, slot.id))}
    >
      <SelectField
        label="Holds"
        value={slot.holds}
        onChange={({ target }) =>
          desk.edit((now) => withPart(now, slot.id, { holds: target.value as Slot['holds'] }))
        }
      >
        {HOLDS.map(([holds, label]) => (
          <option key={holds} value={holds}>
            {label}
          </option>
        ))}
      </SelectField>
    </PartFrame>
  );
}

const USES: readonly (readonly [Bay['use'], string])[] = [
  ['mating', 'Mates a queen'],
  ['colony', 'A colony with its queen'],
  ['held', 'A queen held inside'],
  ['grafts', 'Grafts and cells'],
  ['bees', 'Bees without a queen'],
  ['bank', 'Caged queens'],
  ['stores', 'Stores'],
  ['nothing', 'Nobody'],
];

export function SpaceFields({
  desk,
  model,
  space,
  onChoose,
}: PartFieldsProps & { space: BoxModel['spaces'][number] }) {
  const units = useUnits();
  const fit = model.compartments.flatMap(({ fits }) => fits).find((each) => each.space === space.id);
  const bay = space.bays[0];
  const body: Body | undefined = space.body?.body;
  if (!bay || !body) return null;
  const bad = fit?.verdict === 'impossible' || fit?.verdict === 'jams';
  const column = columnsOf(body).find(({ bays }) => bays.some(({ id }) => id === bay.id));
  return (
    <PartFrame title={space.name} onChoose={onChoose}>
      {fit && space.kind === 'frames' && (
        <p className={bad ? 'text-danger' : ''}>
          <strong>{fitWord[fit.verdict]}.</strong> {fitSentence(fit, units)}
        </p>
      )}
      <div className="my-1">
        <Stepper
          label={`frames, ${space.name}`}
          unit="frames"
          count={bay.frames.length}
          least={0}
          most={30}
          onChange={(count) => desk.edit((now) => withFramesIn(now, bay.id, count))}
        />
      </div>
      <SelectField
        label="What lives here"
        value={bay.use}
        onChange={({ target }) =>
          desk.edit((now) =>
            space.bays.reduce(
              (changed, { id }) => withPart(changed, id, { use: target.value as Bay['use'] }),
              now,
            ),
          )
        }
      >
        {USES.map(([use, label]) => (
          <option key={use} value={use}>
            {label}
          </option>
        ))}
      </SelectField>
      <SelectField
        label="Frames"
        value={bay.format?.id ?? ''}
        onChange={({ target }) => {
          const standard = standardFormats.find(({ id }) => id === target.value);
          const format = standard ? frameFormat(standard) : null;
          desk.edit((now) => space.bays.reduce((changed, { id }) => withPart(changed, id, { format }), now));
        }}
      >
        <option value="">{body.format.name}, the body’s own</option>
        {standardFormats
          .filter(({ id }) => id !== body.format.id)
          .map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
      </SelectField>
      <GapList model={model} space={space.id} />
      <div className="mt-1 flex flex-wrap gap-2">
        <button
          type="button"
          className="button min-h-8 px-2 py-0.5"
          onClick={() => desk.edit((now) => withEntranceAdded(now, body.id, bay.id))}
        >
          Drill an entrance
        </button>
        <button
          type="button"
          className="button min-h-8 px-2 py-0.5"
          onClick={() => desk.edit((now) => withVentAdded(now, body.id, bay.id, 'back'))}
        >
          Add a vent
        </button>
        {column && (
          <button
            type="button"
            className="button min-h-8 px-2 py-0.5"
            onClick={() => desk.edit((now) => withDummy(now, body.id, space))}
          >
            Add a dummy
          </button>
        )}
      </div>
    </PartFrame>
  );
}

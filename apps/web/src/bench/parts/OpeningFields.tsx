import type { Entrance, Mark, Side, Vent } from '@yellow-cell/contract';
import { bodyWith, MARK_COLOURS, MARK_SHAPES, markUnlike, withoutPart, withPart } from '@yellow-cell/core';
import { MarkIcon } from '../../drawing/MarkSign.tsx';
import { SelectField } from '../../parts/Field.tsx';
import { LengthField } from '../../parts/LengthField.tsx';
import { type PartFieldsProps, PartFrame } from './PartFrame.tsx';

const STATES: readonly (readonly [Entrance['state'], string])[] = [
  ['open', 'Open'],
  ['reduced', 'Reduced: all pass, few at a time'],
  ['workersOnly', 'Workers only'],
  ['vent', 'Vent: air only'],
  ['closed', 'Closed'],
];
const SIDES: readonly Side[] = ['front', 'back', 'left', 'right'];

export function EntranceFields({ desk, entrance, onChoose }: PartFieldsProps & { entrance: Entrance }) {
  const { content } = desk.draft;
  const { id, mark } = entrance;
  const set = (patch: Partial<Entrance>, tag = '') =>
    desk.edit((now) => withPart(now, id, patch), tag && `${tag}-${id}`);
  const others =
    bodyWith(content, id)?.entrances.filter(
      (other) =>
        other.id !== id && (other.side !== entrance.side || Math.abs(other.along.mm - entrance.along.mm) > 1),
    ) ?? [];
  return (
    <PartFrame
      title={`Entrance at the ${entrance.side}`}
      onChoose={onChoose}
      onRemove={() => desk.edit((now) => withoutPart(now, id))}
    >
      <div className="grid grid-cols-2 gap-x-3">
        <SelectField
          label="Side"
          value={entrance.side}
          onChange={({ target }) => set({ side: target.value as Side })}
        >
          {SIDES.map((side) => (
            <option key={side}>{side}</option>
          ))}
        </SelectField>
        <SelectField
          label="State"
          value={entrance.state}
          onChange={({ target }) => set({ state: target.value as Entrance['state'] })}
        >
          {STATES.map(([state, label]) => (
            <option key={state} value={state}>
              {label}
            </option>
          ))}
        </SelectField>
        <LengthField
          label="Along the wall"
          takes="zero"
          value={entrance.along}
          onChange={(along) => set({ along }, 'along')}
        />
        <LengthField
          label="Above the edge"
          takes="signed"
          value={entrance.height}
          onChange={(height) => set({ height }, 'height')}
        />
        <LengthField
          label="Width"
          value={entrance.width}
          onChange={(width) =>
            set({ width, ...(entrance.shape === 'round' ? { tall: width } : {}) }, 'width')
          }
        />
        <LengthField
          label="Height"
          value={entrance.tall}
          onChange={(tall) => set({ tall, ...(entrance.shape === 'round' ? { width: tall } : {}) }, 'tall')}
        />
      </div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={entrance.shape === 'round'}
          onChange={({ target }) =>
            set({
              shape: target.checked ? 'round' : 'slot',
              ...(target.checked ? { tall: entrance.width } : {}),
            })
          }
        />
        A round hole
      </label>
      <fieldset className="mt-1">
        <legend className="text-sm text-soft">Mark, that bees tell it by</legend>
        <div className="flex flex-wrap items-center gap-2">
          {mark ? <MarkIcon mark={mark} size={26} /> : <span className="text-soft">none</span>}
          {mark && (
            <>
              <select
                aria-label="Shape of the mark"
                className="field min-h-8 w-auto"
                value={mark.shape}
                onChange={({ target }) => set({ mark: { ...mark, shape: target.value as Mark['shape'] } })}
              >
                {MARK_SHAPES.map((shape) => (
                  <option key={shape}>{shape}</option>
                ))}
              </select>
              <select
                aria-label="Colour of the mark"
                className="field min-h-8 w-auto"
                value={mark.colour}
                onChange={({ target }) => set({ mark: { ...mark, colour: target.value as Mark['colour'] } })}
              >
                {MARK_COLOURS.map((colour) => (
                  <option key={colour}>{colour}</option>
                ))}
              </select>
            </>
          )}
          <button
            type="button"
            className="button min-h-8 px-2 py-0.5 text-sm"
            onClick={() => set({ mark: markUnlike(others.map((other) => other.mark)) })}
          >
            Propose one
          </button>
        </div>
      </fieldset>
      {bodyWith(content, id)?.cheeks && (entrance.side === 'front' || entrance.side === 'back') && (
        <label className="mt-1 flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-yellow"
            checked={entrance.tunnel ?? false}
            onChange={({ target }) => set({ tunnel: target.checked })}
          />
          Led through the cheek in a tunnel
        </label>
      )}
    </PartFrame>
  );
}

export function VentFields({ desk, vent, onChoose }: PartFieldsProps & { vent: Vent }) {
  const set = (patch: Partial<Vent>, tag: string) =>
    desk.edit((now) => withPart(now, vent.id, patch), `${tag}-${vent.id}`);
  return (
    <PartFrame
      title={`Vent at the ${vent.side}`}
      onChoose={onChoose}
      onRemove={() => desk.edit((now) => withoutPart(now, vent.id))}
    >
      <div className="grid grid-cols-2 gap-x-3">
        <LengthField
          label="Along the wall"
          takes="zero"
          value={vent.along}
          onChange={(along) => set({ along }, 'along')}
        />
        <LengthField
          label="Above the edge"
          takes="signed"
          value={vent.height}
          onChange={(height) => set({ height }, 'height')}
        />
        <LengthField label="Width" value={vent.width} onChange={(width) => set({ width }, 'width')} />
        <LengthField label="Height" value={vent.tall} onChange={(tall) => set({ tall }, 'tall')} />
        <LengthField
          label="Mesh"
          value={{ mm: vent.mesh }}
          onChange={({ mm }) => set({ mesh: mm }, 'mesh')}
        />
      </div>
    </PartFrame>
  );
}

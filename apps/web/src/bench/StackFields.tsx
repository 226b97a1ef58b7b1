import type { DesignContent, Units } from '@yellow-cell/contract';
import {
  type BoxModel,
  countOf,
  resistanceOf,
  roofLayers,
  sheetWords,
  showLength,
  withCover,
  withExcluder,
  withoutLayer,
  withRim,
  withStorey,
} from '@yellow-cell/core';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { useUnits } from '../app/units.ts';
import { SelectField } from '../parts/Field.tsx';
import { LengthField } from '../parts/LengthField.tsx';
import { ClaimField } from './ClaimField.tsx';
import type { DraftDesk } from './useDraft.ts';
import { useYardFigures } from './useYardFigures.ts';

/** What stands on what, from the roof down: layers are added, moved and taken out here. */
export function StackFields({
  desk,
  model,
  onChoose,
  setBody,
}: {
  desk: DraftDesk;
  model: BoxModel;
  onChoose: (id: string) => void;
  setBody: (id: string) => void;
}) {
  const { content } = desk.draft;
  const units = useUnits();
  const { layers } = content;
  const swap = (index: number, by: number) =>
    desk.edit((now) => {
      const list = [...now.layers];
      const [a, b] = [list[index], list[index + by]];
      if (!a || !b) return now;
      [list[index], list[index + by]] = [b, a];
      return { ...now, layers: list };
    });
  return (
    <section aria-label="The stack">
      <h2 className="eyebrow">The stack, from the top</h2>
      <ul>
        <Row title={`Roof, ${content.roof.kind}`} onChoose={() => onChoose('roof')} />
        {[...layers].reverse().map((layer, fromTop) => {
          const index = layers.length - 1 - fromTop;
          return (
            <Row
              key={layer.id}
              title={titleOf(layer, model, units)}
              onChoose={() => (layer.kind === 'body' ? setBody(layer.id) : onChoose(layer.id))}
              onUp={index < layers.length - 1 && index > 0 ? () => swap(index, 1) : undefined}
              onDown={index > 1 ? () => swap(index, -1) : undefined}
              onRemove={index > 0 ? () => desk.edit((now) => withoutLayer(now, layer.id)) : undefined}
            />
          );
        })}
        <Row
          title={`Floor, ${content.floor.kind}, lip ${showLength(content.floor.lip.mm, units)}`}
          onChoose={() => onChoose('floor')}
        />
      </ul>
      <div className="mt-1 flex flex-wrap gap-1.5">
        <AddButton label="Body" onAdd={() => desk.edit(withStorey)} />
        <AddButton label="Rim" onAdd={() => desk.edit((now) => withRim(now))} />
        <AddButton label="Excluder" onAdd={() => desk.edit(withExcluder)} />
        <AddButton label="Inner cover" onAdd={() => desk.edit(withCover)} />
      </div>
    </section>
  );
}

function AddButton({ label, onAdd }: { label: string; onAdd: () => void }) {
  return (
    <button type="button" className="button min-h-8 px-2 py-0.5 text-sm font-normal" onClick={onAdd}>
      + {label}
    </button>
  );
}

interface RowProps {
  title: string;
  onChoose: () => void;
  onUp?: (() => void) | undefined;
  onDown?: (() => void) | undefined;
  onRemove?: (() => void) | undefined;
}

function Row({ title, onChoose, onUp, onDown, onRemove }: RowProps) {
  return (
    <li className="flex items-center justify-between gap-1 border-b border-hairline py-0.5">
      <button type="button" className="py-1 text-left hover:underline" onClick={onChoose}>
        {title}
      </button>
      <span className="flex">
        {onUp && <Icon label={`Move ${title} up`} onPress={onUp} sign={<ArrowUp size={15} aria-hidden />} />}
        {onDown && (
          <Icon label={`Move ${title} down`} onPress={onDown} sign={<ArrowDown size={15} aria-hidden />} />
        )}
        {onRemove && (
          <Icon label={`Take out ${title}`} onPress={onRemove} sign={<Trash2 size={15} aria-hidden />} />
        )}
      </span>
    </li>
  );
}

const Icon = ({ label, onPress, sign }: { label: string; onPress: () => void; sign: React.ReactNode }) => (
  <button type="button" className="p-1.5" aria-label={label} title={label} onClick={onPress}>
    {sign}
  </button>
);

function titleOf(layer: DesignContent['layers'][number], model: BoxModel, units: Units): string {
  if (layer.kind === 'sheet')
    return `${sheetWords[layer.what]}${layer.each ? ', one each' : ''}${layer.holes.length > 0 ? `, ${countOf(layer.holes.length, 'hole')}` : ''}`;
  const frames = model.frames.filter(({ bay }) => layer.bays.some(({ id }) => id === bay)).length;
  return `${layer.name || (frames > 0 ? 'Body' : 'Rim')}, ${showLength(layer.depth.mm, units)} deep${frames > 0 ? `, ${countOf(frames, 'frame')}` : ''}`;
}

export function FloorFields({ desk }: { desk: DraftDesk }) {
  const { floor } = desk.draft.content;
  const set = (patch: Partial<DesignContent['floor']>, tag = '') =>
    desk.edit((now) => ({ ...now, floor: { ...now.floor, ...patch } }), tag);
  return (
    <section aria-label="Floor" className="-mx-2 mb-2 rounded-lg bg-glow px-3 py-2">
      <h2 className="text-base">Floor</h2>
      <SelectField
        label="Kind"
        value={floor.kind}
        onChange={({ target }) =>
          set({ kind: target.value as typeof floor.kind, mesh: target.value === 'solid' ? null : 2.5 })
        }
      >
        <option value="solid">Solid</option>
        <option value="mesh">Mesh</option>
        <option value="tray">Mesh over a sliding tray</option>
      </SelectField>
      <div className="grid grid-cols-2 gap-x-3">
        <LengthField label="Lip" takes="zero" value={floor.lip} onChange={(lip) => set({ lip }, 'lip')} />
        <LengthField
          label="Thickness"
          value={floor.thickness}
          onChange={(thickness) => set({ thickness }, 'floor-thick')}
        />
      </div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={floor.fixed}
          onChange={({ target }) => set({ fixed: target.checked })}
        />
        Fixed to the body
      </label>
    </section>
  );
}

export function RoofFields({ desk }: { desk: DraftDesk }) {
  const { roof, fastenings } = desk.draft.content;
  const { constants } = useYardFigures();
  const set = (patch: Partial<DesignContent['roof']>, tag = '') =>
    desk.edit((now) => ({ ...now, roof: { ...now.roof, ...patch } }), tag);
  return (
    <section aria-label="Roof" className="-mx-2 mb-2 rounded-lg bg-glow px-3 py-2">
      <h2 className="text-base">Roof</h2>
      <SelectField
        label="Kind"
        value={roof.kind}
        onChange={({ target }) => set({ kind: target.value as typeof roof.kind })}
      >
        <option value="flat">Flat</option>
        <option value="deep">Deep</option>
        <option value="insulated">Insulated</option>
        <option value="glazed">Glazed</option>
      </SelectField>
      <LengthField
        label="Thickness"
        value={roof.thickness}
        onChange={(thickness) => set({ thickness }, 'roof-thick')}
      />
      <ClaimField
        computed={resistanceOf(roofLayers(desk.draft.content, constants))}
        claimed={roof.claimedR}
        onChange={(claimedR) =>
          desk.edit((now) => {
            const { claimedR: _, ...rest } = now.roof;
            return { ...now, roof: claimedR === undefined ? rest : { ...rest, claimedR } };
          }, 'roof-claim')
        }
      />
      <LengthField
        label="Room under it"
        takes="zero"
        value={roof.room}
        onChange={(room) => set({ room }, 'room')}
      />
      <label className="flex items-center gap-2">
        <input type="checkbox" checked={roof.each} onChange={({ target }) => set({ each: target.checked })} />
        A lid for each compartment
      </label>
      <fieldset className="mt-1">
        <legend className="text-sm text-soft">Held together by</legend>
        {(['latches', 'strap', 'screws'] as const).map((each) => (
          <label key={each} className="mr-3 inline-flex items-center gap-1">
            <input
              type="checkbox"
              checked={fastenings.includes(each)}
              onChange={({ target }) =>
                desk.edit((now) => ({
                  ...now,
                  fastenings: target.checked
                    ? [...now.fastenings, each]
                    : now.fastenings.filter((other) => other !== each),
                }))
              }
            />
            {each}
          </label>
        ))}
      </fieldset>
    </section>
  );
}

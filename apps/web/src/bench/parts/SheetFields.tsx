import type { DesignContent, Hole, Sheet } from '@yellow-cell/contract';
import { resistanceOf, sheetLayer, withoutPart, withPart } from '@yellow-cell/core';
import { SelectField } from '../../parts/Field.tsx';
import { LengthField } from '../../parts/LengthField.tsx';
import { ClaimField } from '../ClaimField.tsx';
import { useYardFigures } from '../useYardFigures.ts';
import { type PartFieldsProps, PartFrame } from './PartFrame.tsx';

const CLOSERS: readonly (readonly [Hole['closedBy'], string])[] = [
  ['nothing', 'Nothing: open above'],
  ['jar', 'An inverted jar'],
  ['mesh', 'Mesh'],
  ['excluder', 'An excluder'],
  ['plug', 'A plug'],
  ['escape', 'A bee escape: down, and not back'],
];

export function HoleFields({ desk, hole, onChoose }: PartFieldsProps & { hole: Hole }) {
  const set = (patch: Partial<Hole>, tag = '') =>
    desk.edit((now) => withPart(now, hole.id, patch), tag && `${tag}-${hole.id}`);
  return (
    <PartFrame
      title="Hole in the cover"
      onChoose={onChoose}
      onRemove={() => desk.edit((now) => withoutPart(now, hole.id))}
    >
      <SelectField
        label="Closed by"
        value={hole.closedBy}
        onChange={({ target }) => set({ closedBy: target.value as Hole['closedBy'] })}
      >
        {CLOSERS.map(([closer, label]) => (
          <option key={closer} value={closer}>
            {label}
          </option>
        ))}
      </SelectField>
      {hole.closedBy === 'jar' && (
        <p className="text-sm text-soft">Shade the jar: in full sun syrup spoils, expands and drips.</p>
      )}
      <div className="grid grid-cols-2 gap-x-3">
        <LengthField
          label="From the left wall"
          takes="signed"
          value={hole.x}
          onChange={(x) => set({ x }, 'x')}
        />
        <LengthField
          label="From the front wall"
          takes="signed"
          value={hole.y}
          onChange={(y) => set({ y }, 'y')}
        />
        <LengthField label="Width" value={hole.width} onChange={(width) => set({ width }, 'width')} />
        <LengthField label="Length" value={hole.length} onChange={(length) => set({ length }, 'length')} />
      </div>
    </PartFrame>
  );
}

const SHEETS: readonly (readonly [Sheet['what'], string])[] = [
  ['board', 'Thin board'],
  ['cloth', 'Cloth or feed-sack'],
  ['foil', 'Foil-bubble'],
  ['slats', 'Slatted mat'],
  ['mesh', 'Mesh'],
  ['excluder', 'Excluder'],
  ['screen', 'Screen'],
  ['tray', 'Tray'],
];
const SLOT_OF: Readonly<Partial<Record<Sheet['what'], number>>> = { excluder: 4.2, screen: 2.5, mesh: 2.5 };

export function SheetFields({ desk, sheet, onChoose, model }: PartFieldsProps & { sheet: Sheet }) {
  const set = (patch: Partial<Sheet>, tag = '') =>
    desk.edit((now) => withPart(now, sheet.id, patch), tag && `${tag}-${sheet.id}`);
  const { constants } = useYardFigures();
  const below = model.stack.bodies[0];
  const addHole = () =>
    desk.edit((now) => {
      const id = `hole-${now.lastPart + 1}`;
      const hole: Hole = {
        id,
        x: { mm: (below?.body.insideWidth.mm ?? 300) / 2 },
        y: { mm: (below?.body.insideLength.mm ?? 300) / 2 },
        width: { mm: 60 },
        length: { mm: 60 },
        closedBy: 'jar',
      };
      return withPart({ ...now, lastPart: now.lastPart + 1 }, sheet.id, { holes: [...sheet.holes, hole] });
    });
  return (
    <PartFrame
      title="Sheet"
      onChoose={onChoose}
      onRemove={() => desk.edit((now) => withoutPart(now, sheet.id))}
    >
      <div className="grid grid-cols-2 gap-x-3">
        <SelectField
          label="What it is"
          value={sheet.what}
          onChange={({ target }) =>
            set({ what: target.value as Sheet['what'], slot: SLOT_OF[target.value as Sheet['what']] ?? null })
          }
        >
          {SHEETS.map(([what, label]) => (
            <option key={what} value={what}>
              {label}
            </option>
          ))}
        </SelectField>
        <LengthField
          label="Thickness"
          value={sheet.thickness}
          onChange={(thickness) => set({ thickness }, 'thick')}
        />
        {sheet.slot !== null && (
          <LengthField
            label="Slot"
            value={{ mm: sheet.slot }}
            onChange={({ mm }) => set({ slot: mm }, 'slot')}
          />
        )}
      </div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={sheet.each}
          onChange={({ target }) => set({ each: target.checked })}
        />
        One for each compartment
      </label>
      <ClaimField
        computed={resistanceOf([sheetLayer(sheet, constants)])}
        claimed={sheet.claimedR}
        onChange={(claimedR) => desk.edit((now) => withClaim(now, sheet, claimedR), `claim-${sheet.id}`)}
      />
      <ul className="mt-1">
        {sheet.holes.map((hole, index) => (
          <li key={hole.id}>
            <button type="button" className="underline" onClick={() => onChoose(hole.id)}>
              Hole {index + 1}: {hole.closedBy}
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="button mt-1 min-h-8 px-2 py-0.5" onClick={addHole}>
        Add a hole for a jar
      </button>
    </PartFrame>
  );
}

/** A claim that is taken back leaves no field behind. */
function withClaim(design: DesignContent, sheet: Sheet, claimedR: number | undefined): DesignContent {
  const { claimedR: _, ...rest } = sheet;
  const next: Sheet = claimedR === undefined ? rest : { ...rest, claimedR };
  return { ...design, layers: design.layers.map((layer) => (layer.id === sheet.id ? next : layer)) };
}

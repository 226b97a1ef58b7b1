import type { Body, Material } from '@yellow-cell/contract';
import { withPart } from '@yellow-cell/core';
import { useState } from 'react';
import { Check } from '../parts/Check.tsx';
import { SelectField, TextField } from '../parts/Field.tsx';
import { LengthField } from '../parts/LengthField.tsx';
import { OwnedFields } from './OwnedFields.tsx';
import { PaneFields } from './PaneFields.tsx';
import type { DraftDesk } from './useDraft.ts';

const MATERIALS: readonly (readonly [Material, string])[] = [
  ['pine', 'Softwood'],
  ['plywood', 'Plywood'],
  ['foam', 'Dense foam'],
  ['plastic', 'Plastic'],
  ['corrugated', 'Corrugated plastic'],
  ['glass', 'Glass'],
];

/** What most boxes do not need: material, double walls, cheeks, panes, and what the breeder owns. */
export function MoreFields({ desk, body }: { desk: DraftDesk; body: Body }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-1" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="text-sm text-soft">
        Material, walls, rebate, cheeks, panes, and what you own
      </summary>
      {open && (
        <div className="mt-2">
          <WallFields desk={desk} body={body} />
          <PaneFields desk={desk} body={body} />
          <OwnedFields desk={desk} />
        </div>
      )}
    </details>
  );
}

/** A body's walls: what they are of, what is in them and cut into them, and where they stand. */
function WallFields({ desk, body }: { desk: DraftDesk; body: Body }) {
  const set = (patch: Partial<Body>, tag = '') =>
    desk.edit((now) => withPart(now, body.id, patch), tag && `${tag}-${body.id}`);
  return (
    <>
      <TextField
        label="Name of the body"
        value={body.name}
        maxLength={40}
        onChange={({ target }) => set({ name: target.value }, 'name')}
      />
      <div className="grid grid-cols-2 gap-x-3">
        <SelectField
          label="Material"
          value={body.material}
          onChange={({ target }) => set({ material: target.value as Material })}
        >
          {MATERIALS.map(([material, label]) => (
            <option key={material} value={material}>
              {label}
            </option>
          ))}
        </SelectField>
        {body.lining && (
          <LengthField
            label="Insulation in the wall"
            value={body.lining.thickness}
            onChange={(thickness) => body.lining && set({ lining: { ...body.lining, thickness } }, 'lining')}
          />
        )}
        {body.rebate && (
          <>
            <LengthField
              label="Rebate width"
              value={body.rebate.width}
              onChange={(width) => body.rebate && set({ rebate: { ...body.rebate, width } }, 'rw')}
            />
            <LengthField
              label="Rebate depth"
              value={body.rebate.depth}
              onChange={(depth) => body.rebate && set({ rebate: { ...body.rebate, depth } }, 'rd')}
            />
          </>
        )}
        {body.cheeks && (
          <>
            <LengthField
              label="Cheeks from the wall"
              value={body.cheeks.inset}
              onChange={(inset) => body.cheeks && set({ cheeks: { ...body.cheeks, inset } }, 'ci')}
            />
            <LengthField
              label="Cheek thickness"
              value={body.cheeks.thickness}
              onChange={(thickness) => body.cheeks && set({ cheeks: { ...body.cheeks, thickness } }, 'ct')}
            />
          </>
        )}
        <LengthField
          label="Moved to the right"
          takes="signed"
          value={body.offset.x}
          onChange={(x) => set({ offset: { ...body.offset, x } }, 'ox')}
        />
        <LengthField
          label="Moved to the back"
          takes="signed"
          value={body.offset.y}
          onChange={(y) => set({ offset: { ...body.offset, y } }, 'oy')}
        />
      </div>
      <Check
        label="Double wall with foam in it"
        checked={body.lining !== null}
        onChange={(on) => set({ lining: on ? { material: 'foam', thickness: { mm: 20 } } : null })}
      />
      <Check
        label="End cheeks for shorter frames"
        checked={body.cheeks !== null}
        onChange={(on) => set({ cheeks: on ? { inset: { mm: 47.5 }, thickness: { mm: 35 } } : null })}
      />
    </>
  );
}

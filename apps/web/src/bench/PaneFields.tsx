import type { Body, Side } from '@yellow-cell/contract';
import { paneOf, withPart } from '@yellow-cell/core';
import { Check } from '../parts/Check.tsx';
import { SelectField } from '../parts/Field.tsx';
import { LengthField } from '../parts/LengthField.tsx';
import type { DraftDesk } from './useDraft.ts';

const SIDES: readonly Side[] = ['front', 'back', 'left', 'right'];

/** Which sides of a body are panes, of what, and whether doors stand before them. */
export function PaneFields({ desk, body }: { desk: DraftDesk; body: Body }) {
  const set = (patch: Partial<Body>, tag = '') =>
    desk.edit((now) => withPart(now, body.id, patch), tag && `${tag}-${body.id}`);
  const pane = paneOf(body);
  return (
    <>
      <fieldset>
        <legend className="text-sm text-soft">Sides that are panes</legend>
        {SIDES.map((side) => (
          <label key={side} className="mr-3 inline-flex items-center gap-1">
            <input
              type="checkbox"
              checked={body.glass.includes(side)}
              onChange={({ target }) =>
                set({
                  glass: target.checked ? [...body.glass, side] : body.glass.filter((each) => each !== side),
                })
              }
            />
            {side}
          </label>
        ))}
      </fieldset>
      {body.glass.length > 0 && (
        <>
          <div className="grid grid-cols-2 gap-x-3">
            <SelectField
              label="Panes of"
              value={pane.material}
              onChange={({ target }) =>
                set({ pane: { ...pane, material: target.value as typeof pane.material } })
              }
            >
              <option value="glass">Glass</option>
              <option value="plastic">Acrylic</option>
            </SelectField>
            <LengthField
              label="Their thickness"
              value={pane.thickness}
              onChange={(thickness) => set({ pane: { ...pane, thickness } }, 'pane')}
            />
          </div>
          {pane.material === 'glass' && (
            <p className="text-sm text-danger">
              Glass cuts: wear gloves, edges ground or taped; laminated or acrylic where people stand near.
            </p>
          )}
          <Check
            label="Insulated doors before the panes"
            checked={body.doors}
            onChange={(doors) => set({ doors })}
          />
        </>
      )}
    </>
  );
}

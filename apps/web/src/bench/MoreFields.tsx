import type { Body, Material, Side } from '@yellow-cell/contract';
import { paneOf, withPart } from '@yellow-cell/core';
import { useState } from 'react';
import { SelectField, TextField } from '../parts/Field.tsx';
import { LengthField } from '../parts/LengthField.tsx';
import type { DraftDesk } from './useDraft.ts';

const MATERIALS: readonly (readonly [Material, string])[] = [
  ['pine', 'Softwood'],
  ['plywood', 'Plywood'],
  ['foam', 'Dense foam'],
  ['plastic', 'Plastic'],
  ['corrugated', 'Corrugated plastic'],
  ['glass', 'Glass'],
];
const SIDES: readonly Side[] = ['front', 'back', 'left', 'right'];

/** What most boxes do not need: material, double walls, cheeks, panes, and what the breeder owns. */
export function MoreFields({ desk, body }: { desk: DraftDesk; body: Body }) {
  const [open, setOpen] = useState(false);
  const { content } = desk.draft;
  const set = (patch: Partial<Body>, tag = '') =>
    desk.edit((now) => withPart(now, body.id, patch), tag && `${tag}-${body.id}`);
  const { folding, bed, vaporiser } = content;
  const pane = paneOf(body);
  return (
    <details className="mt-1" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="text-sm text-soft">
        Material, walls, rebate, cheeks, panes, and what you own
      </summary>
      {open && (
        <div className="mt-2">
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
                onChange={(thickness) =>
                  body.lining && set({ lining: { ...body.lining, thickness } }, 'lining')
                }
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
                  onChange={(thickness) =>
                    body.cheeks && set({ cheeks: { ...body.cheeks, thickness } }, 'ct')
                  }
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
          <fieldset>
            <legend className="text-sm text-soft">Sides that are panes</legend>
            {SIDES.map((side) => (
              <label key={side} className="mr-3 inline-flex items-center gap-1">
                <input
                  type="checkbox"
                  checked={body.glass.includes(side)}
                  onChange={({ target }) =>
                    set({
                      glass: target.checked
                        ? [...body.glass, side]
                        : body.glass.filter((each) => each !== side),
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
                  Glass cuts: wear gloves, edges ground or taped; laminated or acrylic where people stand
                  near.
                </p>
              )}
              <Check
                label="Insulated doors before the panes"
                checked={body.doors}
                onChange={(doors) => set({ doors })}
              />
            </>
          )}
          <Check
            label="I own a vaporiser"
            checked={vaporiser !== null}
            onChange={(on) => desk.edit((now) => ({ ...now, vaporiser: on ? { mm: 40 } : null }))}
          />
          {vaporiser && (
            <>
              <LengthField
                label="Its width"
                value={vaporiser}
                onChange={(width) => desk.edit((now) => ({ ...now, vaporiser: width }), 'vaporiser')}
              />
              <p className="-mt-2 mb-2 text-sm text-danger">
                Vapours harm lungs and eyes: mask and gloves as its maker and your local rules say.
              </p>
            </>
          )}
          <Check
            label="Its parts are printed"
            checked={bed !== null}
            onChange={(on) =>
              desk.edit((now) => ({ ...now, bed: on ? { width: { mm: 220 }, length: { mm: 220 } } : null }))
            }
          />
          {bed && (
            <div className="grid grid-cols-2 gap-x-3">
              <LengthField
                label="Heated area"
                value={bed.width}
                onChange={(width) =>
                  desk.edit((now) => ({ ...now, bed: now.bed && { ...now.bed, width } }), 'bedw')
                }
              />
              <LengthField
                label="by"
                value={bed.length}
                onChange={(length) =>
                  desk.edit((now) => ({ ...now, bed: now.bed && { ...now.bed, length } }), 'bedl')
                }
              />
            </div>
          )}
          <Check
            label="Folded from one sheet"
            checked={folding !== null}
            onChange={(on) =>
              desk.edit((now) => ({
                ...now,
                folding: on ? { seamsTaped: false, marked: false, guided: false } : null,
              }))
            }
          />
          {folding &&
            (
              [
                ['marked', 'Outside and way up are marked'],
                ['seamsTaped', 'Every seam is taped'],
                ['guided', 'Feet of the frames are guided'],
              ] as const
            ).map(([field, label]) => (
              <div key={field} className="pl-5">
                <Check
                  label={label}
                  checked={folding[field]}
                  onChange={(on) =>
                    desk.edit((now) => ({ ...now, folding: now.folding && { ...now.folding, [field]: on } }))
                  }
                />
              </div>
            ))}
        </div>
      )}
    </details>
  );
}

function Check({
  label,
  checked,
  onChange,
}: {
  label: string;
  checked: boolean;
  onChange: (on: boolean) => void;
}) {
  return (
    <label className="mb-1 flex items-center gap-2">
      <input type="checkbox" checked={checked} onChange={({ target }) => onChange(target.checked)} />
      {label}
    </label>
  );
}

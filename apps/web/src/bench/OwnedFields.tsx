import { withPrinted } from '@yellow-cell/core';
import { Check } from '../parts/Check.tsx';
import { LengthField } from '../parts/LengthField.tsx';
import type { DraftDesk } from './useDraft.ts';

/** What the breeder owns and a box must go with, and how it is made: a vaporiser, a printer, a folded sheet. */
export function OwnedFields({ desk }: { desk: DraftDesk }) {
  const { folding, bed, vaporiser } = desk.draft.content;
  return (
    <>
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
          desk.edit((now) => withPrinted(now, on ? { width: { mm: 220 }, length: { mm: 220 } } : null))
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
    </>
  );
}

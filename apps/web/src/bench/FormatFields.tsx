import type { Body, Length } from '@yellow-cell/contract';
import {
  countOf,
  frameFormat,
  rebateFor,
  showLength,
  showLengthBare,
  standardBody,
  standardFormats,
  standardOf,
  withSizes,
} from '@yellow-cell/core';
import { useUnits } from '../app/units.ts';
import { SelectField } from '../parts/Field.tsx';
import { LengthField } from '../parts/LengthField.tsx';
import { OutlineField } from './OutlineField.tsx';
import { OwnFormat } from './OwnFormat.tsx';
import type { DraftDesk } from './useDraft.ts';

const OWN = 'own';

/** The frame format of a body, standard or the breeder's own. */
export function FormatFields({ desk, body }: { desk: DraftDesk; body: Body }) {
  const { format } = body;
  const standard = standardOf(format);
  const units = useUnits();
  const bare = (mm: number): string => showLengthBare(mm, units);
  const choose = (id: string) =>
    desk.edit((now) => {
      if (!standardFormats.some((each) => each.id === id))
        return withSizes(now, body.id, { format: { ...format, id: OWN, name: 'Own format' } });
      const usual = standardBody(id);
      return withSizes(now, body.id, {
        ...usual,
        rebate: body.rebate && rebateFor(usual.format, usual.insideLength.mm),
      });
    });
  return (
    <>
      <SelectField
        label="Frame format"
        value={standard ? format.id : OWN}
        onChange={({ target }) => choose(target.value)}
        hint={
          standard &&
          `Top bar ${bare(standard.topBar_mm)}, depth ${bare(standard.depth_mm)}, pitch ${showLength(standard.pitch_mm, units)}, ${standard.hung ? 'hung apart' : 'self-spacing'}.`
        }
      >
        {standardFormats.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
        <option value={OWN}>Own format…</option>
      </SelectField>
      {!standard && (
        <OwnFormat
          format={format}
          onChange={(next) => desk.edit((now) => withSizes(now, body.id, { format: next }), 'format')}
        />
      )}
      {standard && (
        <div className="mb-2 flex flex-wrap gap-1.5" role="group" aria-label="Usual inside widths">
          {standard.widths.map(({ width_mm, frames }) => (
            <button
              key={width_mm}
              type="button"
              className="button min-h-8 px-2 py-0.5 text-sm font-normal"
              onClick={() =>
                desk.edit((now) =>
                  withSizes(now, body.id, { format: frameFormat(standard), insideWidth: { mm: width_mm } }),
                )
              }
            >
              {bare(width_mm)} for {countOf(frames, 'frame')}
            </button>
          ))}
        </div>
      )}
    </>
  );
}

/** The inside of a body, and its walls. */
export function SizeFields({ desk, body }: { desk: DraftDesk; body: Body }) {
  const field = (key: 'insideWidth' | 'insideLength' | 'depth' | 'wall', label: string) => (
    <LengthField
      key={key}
      label={label}
      value={body[key]}
      onChange={(length: Length) =>
        desk.edit((now) => withSizes(now, body.id, { [key]: length }), `size-${key}`)
      }
    />
  );
  return (
    <>
      <div className="grid grid-cols-2 gap-x-3">
        {field('insideWidth', 'Inside width')}
        {field('insideLength', 'Inside length')}
        {field('depth', 'Depth')}
        {field('wall', 'Wall')}
      </div>
      <OutlineField desk={desk} body={body} />
    </>
  );
}

import type { Length } from '@yellow-cell/contract';
import { frameFormat, rearranged, standardFormats, standardOf, withEqualSlack } from '@yellow-cell/core';
import { SelectField } from '../parts/Field.tsx';
import { LengthField } from '../parts/LengthField.tsx';
import { OwnFormat } from './OwnFormat.tsx';
import type { DraftDesk } from './useDraft.ts';

const OWN = 'own';

/** The frame format, standard or the breeder's own. */
export function FormatFields({ desk }: { desk: DraftDesk }) {
  const { format } = desk.draft.content;
  const standard = standardOf(format);
  const choose = (id: string) => {
    const next = standardFormats.find((each) => each.id === id);
    desk.edit((now) => {
      if (!next) return { ...now, format: { ...now.format, id: OWN, name: 'Own format' } };
      const body = {
        ...now,
        format: frameFormat(next),
        insideLength: { mm: next.insideLength_mm },
        depth: { mm: next.bodyDepth_mm },
        insideWidth: { mm: next.widths[0]?.width_mm ?? now.insideWidth.mm },
      };
      return withEqualSlack(body);
    });
  };
  return (
    <>
      <SelectField
        label="Frame format"
        value={standard ? format.id : OWN}
        onChange={({ target }) => choose(target.value)}
        hint={
          standard &&
          `Top bar ${standard.topBar_mm}, depth ${standard.depth_mm}, pitch ${standard.pitch_mm} mm, ${standard.hung ? 'hung apart' : 'self-spacing'}.`
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
          onChange={(next) => desk.edit((now) => rearranged(now, { ...now, format: next }))}
        />
      )}
      {standard && (
        <div className="mb-2 flex flex-wrap gap-1.5" role="group" aria-label="Usual inside widths">
          {standard.widths.map(({ width_mm, frames }) => (
            <button
              key={width_mm}
              type="button"
              className="button min-h-8 px-2 py-0.5 text-sm font-normal"
              onClick={() => desk.edit((now) => rearranged(now, { ...now, insideWidth: { mm: width_mm } }))}
            >
              {width_mm} for {frames} frames
            </button>
          ))}
        </div>
      )}
    </>
  );
}

/** The inside of the body, and its walls. */
export function SizeFields({ desk }: { desk: DraftDesk }) {
  const { content } = desk.draft;
  const field = (key: 'insideWidth' | 'insideLength' | 'depth' | 'wall', label: string) => (
    <LengthField
      key={key}
      label={label}
      value={content[key]}
      onChange={(length: Length) => desk.edit((now) => rearranged(now, { ...now, [key]: length }))}
    />
  );
  return (
    <div className="grid grid-cols-2 gap-x-3">
      {field('insideWidth', 'Inside width')}
      {field('insideLength', 'Inside length')}
      {field('depth', 'Depth')}
      {field('wall', 'Wall')}
    </div>
  );
}

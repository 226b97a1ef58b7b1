import type { Format } from '@yellow-cell/contract';
import { LengthField } from '../parts/LengthField.tsx';

type FigureField = 'topBar_mm' | 'bodyLength_mm' | 'depth_mm' | 'pitch_mm' | 'barWidth_mm';

const FIGURES: readonly (readonly [FigureField, string])[] = [
  ['topBar_mm', 'Top bar'],
  ['bodyLength_mm', 'Frame body'],
  ['depth_mm', 'Frame depth'],
  ['pitch_mm', 'Pitch'],
];

/** A frame format of the breeder's own: measured, not standard. */
export function OwnFormat({ format, onChange }: { format: Format; onChange: (format: Format) => void }) {
  return (
    <fieldset className="mb-2 rounded-lg border border-hairline px-3 pt-1">
      <legend className="px-1 text-sm text-soft">The frame’s own figures</legend>
      <div className="grid grid-cols-2 gap-x-3">
        {FIGURES.map(([field, label]) => (
          <LengthField
            key={field}
            label={label}
            value={{ mm: format[field] }}
            onChange={({ mm }) => onChange({ ...format, [field]: mm })}
          />
        ))}
        {format.hung && (
          <LengthField
            label="Bar width"
            value={{ mm: format.barWidth_mm }}
            onChange={({ mm }) => onChange({ ...format, barWidth_mm: mm })}
          />
        )}
      </div>
      <label className="mb-2 flex items-center gap-2">
        <input
          type="checkbox"
          checked={format.hung}
          onChange={({ target }) => onChange({ ...format, hung: target.checked })}
        />
        Hung apart by hand, not self-spacing
      </label>
    </fieldset>
  );
}

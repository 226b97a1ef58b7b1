import type { Body } from '@yellow-cell/contract';
import { showLength, withSizes } from '@yellow-cell/core';
import type { Outline } from '@yellow-cell/files/outline';
import { FileUp } from 'lucide-react';
import { useState } from 'react';
import { useSay, useUnits } from '../app/units.ts';
import { readDrawing } from './readDrawing.ts';
import type { DraftDesk } from './useDraft.ts';

/** Inside width and length of an odd body, taken from an outline in a DXF or SVG drawing of it. */
export function OutlineField({ desk, body }: { desk: DraftDesk; body: Body }) {
  const say = useSay();
  const units = useUnits();
  const [outlines, setOutlines] = useState<readonly Outline[]>([]);
  const [said, setSaid] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState('');
  const read = async (file: File | undefined) => {
    if (!file) return;
    const found = await readDrawing(await file.text());
    setProblem(found.ok ? '' : found.problems.map(({ sentence }) => sentence).join(' '));
    setOutlines(found.ok ? found.outlines.slice(0, MOST_SHOWN) : []);
    setSaid(found.ok ? found.remarks : []);
  };
  const take = (across: number, along: number) =>
    desk.edit((now) =>
      withSizes(now, body.id, { insideWidth: { mm: rounded(across) }, insideLength: { mm: rounded(along) } }),
    );
  return (
    <details className="mb-2">
      <summary className="text-sm text-soft">From a drawing of the body (DXF or SVG)</summary>
      <label className="button mt-1 min-h-8 cursor-pointer px-2 py-0.5 text-sm">
        <FileUp size={15} aria-hidden /> Read a drawing
        <input
          type="file"
          accept=".dxf,.svg,image/svg+xml"
          className="sr-only"
          onChange={({ target }) => {
            void read(target.files?.[0]);
            target.value = '';
          }}
        />
      </label>
      {problem && (
        <p role="alert" className="text-sm text-danger">
          {problem}
        </p>
      )}
      {said.map((sentence) => (
        <p key={sentence} className="text-sm">
          {say(sentence)}
        </p>
      ))}
      <ul>
        {outlines.map(({ width_mm, height_mm, within, layer }, index) => (
          <li
            key={`${width_mm} ${height_mm} ${layer} ${within}`}
            className="border-b border-hairline py-1 text-sm"
          >
            {index === 0 ? 'Largest' : within ? 'Within it' : 'Also'}: {showLength(width_mm, units)} ×{' '}
            {showLength(height_mm, units)}
            {layer ? `, ${layer}` : ''}
            <span className="mt-0.5 flex gap-2">
              <button type="button" className="underline" onClick={() => take(width_mm, height_mm)}>
                inside, frames along its height
              </button>
              <button type="button" className="underline" onClick={() => take(height_mm, width_mm)}>
                or its width
              </button>
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
const MOST_SHOWN = 6;
const rounded = (mm: number): number => Math.round(mm * 10) / 10;

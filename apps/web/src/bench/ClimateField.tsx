import { type Climate, readClimate } from '@yellow-cell/core';
import { FileUp } from 'lucide-react';
import { useState } from 'react';

type Unit = 'unsaid' | 'C' | 'F';

/** A table of the breeder's own, daily or monthly; read on this device and kept there. */
export function ClimateField({
  climate,
  latitude_deg,
  onChange,
}: {
  /** Of the yard that it is read for: south of the equator winter is April to September. */
  latitude_deg: number;
  climate: Climate | undefined;
  onChange: (climate: Climate | undefined) => void;
}) {
  const [problem, setProblem] = useState('');
  const [unit, setUnit] = useState<Unit>('unsaid');
  const read = async (file: File | undefined) => {
    if (!file) return;
    // The reader comes when it is needed: most breeders read a table once.
    const { default: Papa } = await import('papaparse');
    const { data } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: 'greedy' });
    const found = readClimate(data, unit, latitude_deg);
    setProblem(found.ok ? '' : found.problems.map(({ sentence }) => sentence).join(' '));
    if (found.ok) onChange(found.climate);
  };
  return (
    <details className="mt-1">
      <summary className="text-sm text-soft">
        Climate: {climate ? 'your own' : 'estimated from the latitude'}
      </summary>
      <p className="text-xs text-soft">
        A CSV with a column for the date and one for the mean, or for minimum and maximum.
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <select
          aria-label="Unit of its temperatures"
          className="field min-h-8 w-auto text-sm"
          value={unit}
          onChange={({ target }) => setUnit(target.value as Unit)}
        >
          <option value="unsaid">°C, or as it looks</option>
          <option value="C">°C</option>
          <option value="F">°F</option>
        </select>
        <label className="button min-h-8 cursor-pointer px-2 py-0.5 text-sm">
          <FileUp size={15} aria-hidden /> Read a climate
          <input
            type="file"
            accept=".csv,text/csv,text/plain"
            className="sr-only"
            onChange={({ target }) => {
              void read(target.files?.[0]);
              target.value = '';
            }}
          />
        </label>
        {climate && (
          <button type="button" className="text-sm underline" onClick={() => onChange(undefined)}>
            back to the valley
          </button>
        )}
      </div>
      {problem && (
        <p role="alert" className="text-sm text-danger">
          {problem}
        </p>
      )}
      {climate?.remarks.map((remark) => (
        <p key={remark} className="text-sm">
          {remark}
        </p>
      ))}
    </details>
  );
}

import { useQuery } from '@tanstack/react-query';
import type { DailyWeight } from '@yellow-cell/contract';
import { type Constants, type ScaleUse, scaleUse, type WinterPlan } from '@yellow-cell/core';
import { useEffect, useMemo, useState } from 'react';
import { getJson } from '../app/api.ts';
import { sensorsQuery } from '../app/queries.ts';

interface ScaleFieldProps {
  plan: WinterPlan;
  constants: Constants;
  onChange: (use: ScaleUse | undefined) => void;
}

/** A box on a scale, by whose weights the winter of the box drawn is fitted; nothing where no scale is read. */
export function ScaleField({ plan, constants, onChange }: ScaleFieldProps) {
  const [box, setBox] = useState('');
  const { data: report } = useQuery(sensorsQuery);
  const { data: weights } = useQuery({
    queryKey: ['sensors', 'weights', box],
    queryFn: ({ signal }) =>
      getJson<DailyWeight[]>(`/sensors/weights?box=${encodeURIComponent(box)}`, signal),
    enabled: box !== '',
  });
  const use = useMemo(
    () => (box && weights ? scaleUse(plan, weights, constants) : undefined),
    [box, plan, weights, constants],
  );
  useEffect(() => onChange(use), [use, onChange]);
  const scales = report?.boxes.filter(({ latest }) => latest.some(({ measure }) => measure === 'weight_kg'));
  if (!scales || scales.length === 0) return null;
  return (
    <div className="mt-1 text-sm">
      <label className="flex items-center gap-2 text-soft">
        Fitted to the scale of
        <select className="field min-h-8 w-auto" value={box} onChange={({ target }) => setBox(target.value)}>
          <option value="">no box</option>
          {scales.map(({ box: label }) => (
            <option key={label}>{label}</option>
          ))}
        </select>
      </label>
      {box && weights && !use && (
        <p>{box} has no fortnight of weights in the months from October to March yet: nothing to fit to.</p>
      )}
    </div>
  );
}

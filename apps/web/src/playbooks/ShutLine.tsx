import { SHUT_HOURS, type ShutFor, shutFor, usualConditions } from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { useSay } from '../app/units.ts';
import { roughly } from '../bench/inHours.ts';
import { Said } from '../parts/Said.tsx';
import { Slider } from '../parts/Slider.tsx';
import type { BoxView, YardView } from '../yard/useYard.ts';

const USUAL_C = 18;

/** What the model says of this box, shut for this, at an air that can be set. */
export function ShutLine({
  view,
  boxView: { design },
  occasion,
}: {
  view: YardView;
  boxView: BoxView;
  occasion: ShutFor['key'];
}) {
  const say = useSay();
  const [outside_C, setOutside] = useState(() => Math.round(view.weather.get(view.on)?.max_C ?? USUAL_C));
  const answer = useMemo(
    () =>
      shutFor(design, usualConditions({ outside_C, bees: 'resting', brood: true }, view.constants)).find(
        ({ key }) => key === occasion,
      ),
    [design, outside_C, view.constants, occasion],
  );
  if (!answer) return null;
  const { least_min, stale_min, warning, inside_C } = answer;
  return (
    <div className="mt-1 rounded bg-glow px-2 py-1">
      <Slider
        label="Air outside"
        words={say(`${outside_C} °C`)}
        value={outside_C}
        least={0}
        most={40}
        onChange={setOutside}
      />
      <p className={least_min !== null ? 'font-semibold' : ''}>
        <Said>
          {least_min === null
            ? `In the shade: not over ${view.constants.danger_C} °C in ${SHUT_HOURS} h; about ${Math.round(inside_C)} °C at last.`
            : `In the shade: safe for at least ${roughly(least_min)}, then over ${view.constants.danger_C} °C.`}
        </Said>{' '}
        Sun on the glass or the roof shortens it; look in early.
      </p>
      {stale_min !== null && (
        <p className="font-semibold text-danger">Its air harms them after {roughly(stale_min)}.</p>
      )}
      {warning && <p className="font-semibold text-danger">{warning}</p>}
    </div>
  );
}

import type { IncubatorWatch } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { Said } from '../parts/Said.tsx';
import { timeOf } from '../yard/SensorLines.tsx';

/** The cells' own weather, by the probe that lies with them. */
export function Incubator({ watch }: { watch: IncubatorWatch }) {
  const say = useSay();
  const { name, temperature_C, humidity_pct, silentSince, wrong } = watch;
  const right = wrong.length === 0 && !silentSince && temperature_C !== undefined;
  return (
    <section
      aria-label={name}
      className={`mt-3 rounded px-2 py-1 ${right ? 'border border-hairline' : 'border-2 border-danger'}`}
    >
      <p>
        <strong>{name}</strong>{' '}
        <Said>
          {temperature_C === undefined ? 'no temperature' : `${temperature_C} °C`}
          {humidity_pct === undefined ? '' : `, air ${humidity_pct} %`}
        </Said>
        {right ? <span className="text-soft"> · as cells want it</span> : ''}
      </p>
      {!right && (
        <div role="alert">
          {wrong.map((sentence) => (
            <p key={sentence}>{say(sentence)}</p>
          ))}
          {silentSince && <p>Nothing has come from its probe since {timeOf(silentSince)}: look yourself.</p>}
        </div>
      )}
    </section>
  );
}

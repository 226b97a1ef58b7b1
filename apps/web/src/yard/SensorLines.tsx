import { useQuery } from '@tanstack/react-query';
import type { Measure } from '@yellow-cell/contract';
import { showInstant } from '@yellow-cell/core';
import { useAsOf } from '../app/now.ts';
import { sensorsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { Said } from '../parts/Said.tsx';

const NAMES: Readonly<Record<Measure, readonly [string, string]>> = {
  temperature_C: ['inside', '°C'],
  humidity_pct: ['moist air', '%'],
  weight_kg: ['weight', 'kg'],
};

/** What a scale and a probe say of one box now; what was set aside is told, and reckoned with nowhere. */
export function SensorLines({ label }: { label: string }) {
  const say = useSay();
  const { zone, today } = useAsOf();
  const { data } = useQuery(sensorsQuery);
  const timeOf = (at: string) => showInstant(at, zone, today);
  const own = data?.boxes.find(({ box }) => box === label);
  if (!data || (!own && !data.problem)) return null;
  return (
    <section aria-label="Sensors">
      <h3 className="eyebrow">Scale and probe</h3>
      {data.problem && <p className="text-danger">{data.problem}</p>}
      {own && (
        <>
          <dl>
            {own.latest.map(({ measure, value, at }) => (
              <div key={measure} className="row-line">
                <dt>{NAMES[measure][0]}</dt>
                <dd>
                  <strong>
                    <Said>
                      {value} {NAMES[measure][1]}
                    </Said>
                  </strong>{' '}
                  <span className="text-sm text-soft">{timeOf(at)}</span>
                </dd>
              </div>
            ))}
          </dl>
          {own.silentSince && (
            <p className="text-danger">Nothing has come since {timeOf(own.silentSince)}.</p>
          )}
          {own.setAside.length > 0 && (
            <details>
              <summary className="text-sm text-soft">
                {own.setAside.length} reading{own.setAside.length > 1 ? 's' : ''} set aside
              </summary>
              <ul className="text-sm">
                {own.setAside.map(({ measure, at, sentence }) => (
                  <li key={measure + at} className="border-b border-hairline py-0.5">
                    {NAMES[measure][0]}, {timeOf(at)}: {say(sentence)}
                  </li>
                ))}
              </ul>
            </details>
          )}
        </>
      )}
    </section>
  );
}

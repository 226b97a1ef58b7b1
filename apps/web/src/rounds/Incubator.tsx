import { type IncubatorWatch, showInstant } from '@yellow-cell/core';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';
import { Said } from '../parts/Said.tsx';

/** The cells' own weather, by the probe that lies with them. */
export function Incubator({ watch }: { watch: IncubatorWatch }) {
  const say = useSay();
  const { zone, today } = useAsOf();
  const timeOf = (at: string) => showInstant(at, zone, today);
  const { name, temperature_C, humidity_pct, silentSince, readAt, wrong } = watch;
  const isWrong = wrong.length > 0 || silentSince !== null;
  return (
    <section
      aria-label={name}
      className={`mt-3 rounded px-2 py-1 ${isWrong ? 'border-2 border-danger' : 'border border-hairline'}`}
    >
      <p>
        <strong>{name}</strong>{' '}
        <Said>
          {temperature_C === undefined ? 'nobody has told how warm it is' : `${temperature_C} °C`}
          {humidity_pct === undefined ? '' : `, air ${humidity_pct} %`}
        </Said>
        {!isWrong && temperature_C !== undefined && <span className="text-soft"> · as cells want it</span>}
        {readAt && <span className="text-soft"> · read {timeOf(readAt)}</span>}
      </p>
      {isWrong && (
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

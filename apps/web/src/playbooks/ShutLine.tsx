import {
  maxOn,
  SHUT_HOURS,
  type ShutFor,
  showTime,
  shutHere,
  sunAt,
  usualConditions,
} from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { useSay } from '../app/units.ts';
import { roughly } from '../bench/inHours.ts';
import { Said } from '../parts/Said.tsx';
import { Slider } from '../parts/Slider.tsx';
import type { BoxView, YardView } from '../yard/useYard.ts';

const MINUTE_MS = 60_000;
/** The sun is looked at anew so often. */
const SUN_MS = 10 * MINUTE_MS;

/** What the model says of this box, shut for this, at an air that can be set, in the shade and in the sun of the hour; to the minute by the clock, once it is shut. */
export function ShutLine({
  view,
  boxView: { design },
  occasion,
  now,
  since,
  backBy,
}: {
  view: YardView;
  boxView: BoxView;
  occasion: ShutFor['key'];
  now: string;
  /** Since when they are shut in. */
  since: string | undefined;
  /** When they are said to be home. */
  backBy: string | undefined;
}) {
  const say = useSay();
  const { yard, constants } = view;
  const [outside_C, setOutside] = useState(() =>
    Math.round(view.weather.get(view.on)?.max_C ?? maxOn(view.climate, view.on, yard.latitude_deg)),
  );
  const hour = new Date(Math.floor(Date.parse(now) / SUN_MS) * SUN_MS).toISOString();
  const answer = useMemo(
    () =>
      shutHere(
        design,
        occasion,
        usualConditions({ outside_C, bees: 'resting', brood: true }, constants),
        sunAt(hour, yard.latitude_deg, yard.longitude_deg),
      ),
    [design, outside_C, constants, occasion, hour, yard.latitude_deg, yard.longitude_deg],
  );
  if (!answer) return null;
  const { shade, sun } = answer;
  const { stale_min, warning } = shade;
  const until = (minutes: number): string =>
    new Date(Date.parse(since ?? now) + minutes * MINUTE_MS).toISOString();
  const line = (where: string, { least_min, inside_C }: ShutFor) => {
    if (least_min === null)
      return {
        late: false,
        words: `${where}: not over ${constants.danger_C} °C in ${SHUT_HOURS} h; about ${Math.round(inside_C)} °C at last.`,
      };
    const end = until(least_min);
    return {
      late: end < now || (backBy !== undefined && end < backBy),
      words: `${where}: safe for at least ${roughly(least_min)}, until ${showTime(end, yard.zone)}, then over ${constants.danger_C} °C.`,
    };
  };
  const lines = [
    line('In the shade', shade),
    ...(sun && sun.least_min !== null
      ? [line('In the sun as it stands here now, on the side that suffers first', sun)]
      : []),
  ];
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
      {since !== undefined && <p>Shut since {showTime(since, yard.zone)}.</p>}
      {lines.map(({ words, late }) => (
        <p key={words} className={late ? 'font-semibold text-danger' : 'font-semibold'}>
          <Said>{words}</Said>
        </p>
      ))}
      {backBy !== undefined && lines[0]?.late && (
        <p className="font-semibold text-danger">
          They are to be home by {showTime(backBy, yard.zone)}: that is too late.
        </p>
      )}
      {sun === undefined && <p className="text-soft">The sun is down.</p>}
      {stale_min !== null && (
        <p className="font-semibold text-danger">
          Its air harms them after {roughly(stale_min)}, at {showTime(until(stale_min), yard.zone)}.
        </p>
      )}
      {warning && <p className="font-semibold text-danger">{warning}</p>}
    </div>
  );
}

import type { Yard } from '@yellow-cell/contract';
import {
  celsiusIn,
  countOf,
  type Day,
  flyingOn,
  plusDays,
  type ReadWeather,
  readWeather,
  showDay,
} from '@yellow-cell/core';
import { useState } from 'react';
import { useAsOf } from '../app/now.ts';
import { useMeasures, useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { numberIn } from '../parts/numberIn.ts';
import { Said } from '../parts/Said.tsx';
import type { YardView } from './useYard.ts';

const SHOWN_D = 10;
/** A tap says whether they could fly, and no more: all of the hours, or none. */
const ALL_H = 5;
/** So many days go into one entry. */
const DAYS_AT_ONCE = 400;

const told = (yard: string, date: Day, flying: boolean) =>
  draft('weatherRecorded', {
    yard,
    days: [{ date, min_C: null, max_C: null, wind_ms: null, rain_mm: null, flying_h: flying ? ALL_H : 0 }],
  });

/** Whether bees could fly on a day, by a tap. What is not known stays so, and puts nothing off. */
export function FlyingTap({ view, day }: { view: YardView; day: Day }) {
  const log = useLog();
  const say = useSay();
  const now = flyingOn(view.weather, day, view.constants.flyingDay_h);
  const hours = view.weather.get(day)?.flying_h;
  const date = say(showDay(day, view.on));
  return (
    <div role="group" aria-label={`Flying weather on ${date}`} className="flex items-center gap-1.5">
      <span className="w-16 shrink-0">{date}</span>
      {(
        [
          ['flying', 'Flying'],
          ['not', 'Not'],
        ] as const
      ).map(([key, name]) => (
        <button
          key={key}
          type="button"
          aria-pressed={now === key}
          className={`button min-h-12 flex-1 px-2 ${now === key ? 'bg-glow' : 'font-normal'}`}
          onClick={() =>
            void log(`${date}: ${key === 'flying' ? '' : 'no '}flying weather`, [
              told(view.yard.id, day, key === 'flying'),
            ])
          }
        >
          {name}
        </button>
      ))}
      <span className="w-20 shrink-0 text-right text-sm text-soft">
        {now === undefined ? 'not known' : hours === ALL_H || hours === 0 ? '' : `${hours?.toFixed(1)} h`}
      </span>
    </div>
  );
}

/** The least temperature of the coming night, as a forecast or a station has it: small boxes are warned of frost. */
export function TonightField({ view }: { view: YardView }) {
  const log = useLog();
  const say = useSay();
  const measures = useMeasures();
  const morning = plusDays(view.on, 1);
  const known = view.weather.get(morning)?.min_C;
  const [typed, setTyped] = useState('');
  const min_C = celsiusIn(numberIn(typed), measures);
  const wrong = typed.trim() !== '' && !(min_C >= -60 && min_C <= 60);
  return (
    <form
      className="flex items-center gap-1.5 py-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (typed.trim() === '' || wrong) return;
        void log(`Tonight’s least ${min_C} °C`, [
          draft('weatherRecorded', {
            yard: view.yard.id,
            days: [{ date: morning, min_C, max_C: null, wind_ms: null, rain_mm: null, flying_h: null }],
          }),
        ]).then(() => setTyped(''));
      }}
    >
      <label className="flex flex-1 items-center gap-2">
        <span className="flex-1">Tonight’s least (°{measures.temperature})</span>
        <input
          className="field w-20"
          inputMode="text"
          value={typed}
          aria-invalid={wrong}
          placeholder={known == null ? '' : say(`${known} °C`).replace(/ °.$/, '')}
          onChange={({ target }) => setTyped(target.value)}
        />
      </label>
      <button type="submit" className="button min-h-12" disabled={typed.trim() === '' || wrong}>
        Keep
      </button>
    </form>
  );
}

/** The last days, each by a tap, and more of them from a table. */
export function WeatherPanel({ view }: { view: YardView }) {
  const { on } = useAsOf();
  return (
    <section aria-label="Weather" className="mb-6">
      <h2 className="text-xl">Weather</h2>
      <p className="mb-2 text-sm text-soft">
        <Said>
          Flying: at least {view.constants.flyingDay_h} h of 18 °C, light wind and no rain between 12 and 17 h
          by the sun. Days that are not known count as neither.
        </Said>
      </p>
      <ol className="grid gap-1">
        {Array.from({ length: SHOWN_D }, (_, back) => plusDays(on, -back)).map((day) => (
          <li key={day}>
            <FlyingTap view={view} day={day} />
          </li>
        ))}
      </ol>
      <WeatherTable yard={view.yard} />
    </section>
  );
}

function WeatherTable({ yard }: { yard: Yard }) {
  const say = useSay();
  const log = useLog();
  const [read, setRead] = useState<ReadWeather>();
  const open = async (file: File | undefined) => {
    if (!file) return;
    const { default: Papa } = await import('papaparse');
    const { data } = Papa.parse<Record<string, string>>(await file.text(), {
      header: true,
      skipEmptyLines: true,
    });
    setRead(readWeather(data));
  };
  const keep = ({ days }: ReadWeather) => {
    const parts = Array.from({ length: Math.ceil(days.length / DAYS_AT_ONCE) }, (_, at) =>
      days.slice(at * DAYS_AT_ONCE, (at + 1) * DAYS_AT_ONCE),
    );
    void log(
      `${countOf(days.length, 'day')} of weather`,
      parts.map((some) => draft('weatherRecorded', { yard: yard.id, days: some })),
    ).then(() => setRead(undefined));
  };
  return (
    <div className="mt-3">
      <label className="block">
        From a table (CSV: date; min, max in °C; wind in m/s; rain in mm; flying in h)
        <input
          type="file"
          accept=".csv,text/csv"
          className="field mt-1 min-h-12 w-full"
          onChange={({ target }) => void open(target.files?.[0])}
        />
      </label>
      {read && (
        <div className="mt-2 rounded-lg border border-hairline p-3">
          <p>
            {read.days.length === 0
              ? 'No day could be read.'
              : say(
                  `${countOf(read.days.length, 'day')}, ${showDay(read.days[0]?.date ?? '')} to ${showDay(read.days.at(-1)?.date ?? '')}.`,
                )}
          </p>
          {read.problems.slice(0, 5).map((each) => (
            <p key={each} className="text-danger">
              {each}
            </p>
          ))}
          {read.problems.length > 5 && (
            <p className="text-danger">And {countOf(read.problems.length - 5, 'line')} more.</p>
          )}
          <div className="mt-2 flex gap-2">
            <button
              type="button"
              className="button button-main min-h-11"
              disabled={read.days.length === 0}
              onClick={() => keep(read)}
            >
              Keep them
            </button>
            <button type="button" className="button min-h-11" onClick={() => setRead(undefined)}>
              Leave it
            </button>
          </div>
        </div>
      )}
    </div>
  );
}

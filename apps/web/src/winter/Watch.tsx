import {
  beesOfSeams,
  comesThrough,
  countOf,
  seamsOfBees,
  showDay,
  statusLine,
  type WatchLine,
} from '@yellow-cell/core';
import { Link } from 'react-router';
import { useSay } from '../app/units.ts';
import { useWarned } from '../yard/useWarned.tsx';
import { ColonyHead } from './ColonyHead.tsx';
import { Course } from './Course.tsx';
import { odds } from './odds.ts';
import { ShortCheck } from './ShortCheck.tsx';
import type { WinterView } from './useWinter.ts';
import { useWinterAddress } from './useWinterAddress.ts';

/** One colony in winter: what it asks for and why, its hefts, and the rest of its way to spring. */
export function Watch({ winter, line }: { winter: WinterView; line: WatchLine }) {
  const say = useSay();
  const { view, season } = winter;
  const { send, asking } = useWarned(view);
  const { box, room, readings, factor, forecast, seams, stores_kg, bees_kg } = line;
  const { litresPerKg, smallSeams } = season.constants;
  const pitch_mm = box.model.compartments[room.position]?.frames[0]?.format.pitch_mm ?? 35;
  const to = useWinterAddress().room(view.yard.id, line);
  return (
    <div className="px-5 pb-4">
      <ColonyHead
        yard={view.yard.id}
        line={line}
        words={[
          statusLine(room, view.on),
          box.designName,
          seams === undefined ? '' : `${countOf(seams, 'seam')} when last counted`,
        ]}
      />
      <p className="mt-1 max-w-prose">{say(line.why)}</p>
      <div className="no-print mt-2 flex flex-wrap gap-2">
        <Link className="button" to={to}>
          Heft, feed, count, what became of it…
        </Link>
      </div>
      {asking}
      <ShortCheck key={`${box.box.id} ${room.position}`} line={line} on={view.on} send={send} />
      <section aria-label="Hefts" className="mt-3 border-t border-hairline pt-2">
        <h3 className="font-semibold">Hefts of this winter</h3>
        {readings.length === 0 ? (
          <p className="text-soft">None since it was fed last, or none that its combs can hold.</p>
        ) : (
          <ul className="max-w-md">
            {readings.map((each) => (
              <li key={each.on} className="row-line">
                <span>
                  {say(showDay(each.on, view.on))}
                  {each.felt ? <span className="text-soft"> felt, a guess</span> : ''}
                </span>
                <strong>{say(`${each.stores_kg.toFixed(1)} kg of stores`)}</strong>
              </li>
            ))}
          </ul>
        )}
        {factor !== undefined && (
          <p className="mt-1 max-w-prose">
            It used {Math.abs(Math.round((factor - 1) * 100))} % {factor >= 1 ? 'more' : 'less'} than is
            reckoned for so many bees in a “{box.designName}”; the forecast is fitted to that.
          </p>
        )}
      </section>
      {forecast && stores_kg !== undefined && bees_kg !== undefined && (
        <div className="mt-3 grid gap-x-6 gap-y-2 border-t border-hairline pt-2 sm:grid-cols-[minmax(0,1fr)_15rem]">
          <Course
            title="From today to spring"
            forecast={forecast}
            start_kg={stores_kg}
            bees_kg={bees_kg}
            seams={(kg) => seamsOfBees(kg, pitch_mm, litresPerKg)}
          />
          <dl className="grid h-fit grid-cols-[1fr_auto] gap-x-3 gap-y-1">
            <dt className="text-soft">starves</dt>
            <dd className="text-right font-semibold">{odds(forecast.starved)}</dd>
            <dt className="text-soft">dwindles</dt>
            <dd className="text-right font-semibold">{odds(forecast.dwindled)}</dd>
            <dt className="text-soft">comes through</dt>
            <dd className="text-right font-semibold">{odds(1 - forecast.starved - forecast.dwindled)}</dd>
            <dt className="text-soft">{`with ${smallSeams} seams or more`}</dt>
            <dd className="text-right font-semibold">
              {odds(comesThrough(forecast, beesOfSeams(smallSeams, pitch_mm, litresPerKg)))}
            </dd>
          </dl>
        </div>
      )}
    </div>
  );
}

import { type AutumnLine, countOf, roomName, showDay, stripsOf } from '@yellow-cell/core';
import { type ReactNode, useMemo } from 'react';
import { useSay } from '../app/units.ts';
import { TickBox } from './TickBox.tsx';
import type { WinterView } from './useWinter.ts';

/** What the yard is fed and treated with before winter: to buy and to mix, by rounds of visits, and strips to come out. */
export function FeedAndStrips({ winter }: { winter: WinterView }) {
  const say = useSay();
  const { view, lines, feed } = winter;
  const { on, constants } = view;
  const strips = useMemo(() => stripsOf(lines, on, constants), [lines, on, constants]);
  const unknown = lines.filter(({ plan: own, stores_kg }) => !own && stores_kg === undefined).length;
  const { buy, visits, combs, liquidUntil } = feed;
  return (
    <section aria-label="Feed and strips" className="mt-4 break-inside-avoid border-t-2 border-ink pt-2">
      <h2 className="text-lg">Feed and strips</h2>
      {visits.length === 0 && combs.length === 0 ? (
        <p>Nobody lacks stores, as far as they are known.</p>
      ) : (
        <p className="max-w-prose">
          {say(
            [
              buy.sugar_kg > 0
                ? `${buy.sugar_kg.toFixed(1)} kg of sugar and ${buy.water_l.toFixed(1)} l of water for ${buy.syrup_l.toFixed(1)} l of syrup 2:1`
                : '',
              buy.fondant_kg > 0 ? `${buy.fondant_kg.toFixed(1)} kg of fondant` : '',
              combs.length > 0 ? `${countOf(combs.length, 'comb')} of stores at hand go in first` : '',
            ]
              .filter(Boolean)
              .join('; '),
          )}
          {say(
            `. A feeder takes ${constants.feederHolds_l} l at once, every ${countOf(constants.feedVisits_d, 'day')}${liquidUntil ? `; syrup until about ${showDay(liquidUntil, on)} by the climate, fondant after` : ''}.`,
          )}
        </p>
      )}
      {unknown > 0 && (
        <p className="text-sm text-soft">
          {countOf(unknown, 'colony is', 'colonies are')} not in it: their stores are not known. A heft
          settles it.
        </p>
      )}
      <div className="mt-2 grid gap-x-6 gap-y-2 sm:grid-cols-2 lg:grid-cols-3">
        {combs.length > 0 && (
          <Round title="Combs of stores, first">
            {combs.map(({ frame, stores_kg, line }) => (
              <Given key={frame.id} line={line}>{`${stores_kg.toFixed(1)} kg`}</Given>
            ))}
          </Round>
        )}
        {visits.map((visit) => (
          <Round
            key={visit.on}
            title={`${showDay(visit.on, on)}: ${visit.feed === 'syrup21' ? 'syrup 2:1' : 'fondant'}`}
          >
            {visit.portions.map(({ line, amount }) => (
              <Given key={roomName(line)} line={line}>
                {`${amount.toFixed(1)} ${visit.feed === 'syrup21' ? 'l' : 'kg'}`}
              </Given>
            ))}
          </Round>
        ))}
      </div>
      {strips.outBy.length > 0 && (
        <ul className="mt-2">
          {strips.outBy.map(({ line, product, outBy }) => (
            <li key={`${roomName(line)} ${product} ${outBy}`} className="row-line">
              <span>
                {roomName(line)}: {product}
              </span>
              <strong className={outBy < on ? 'text-danger' : ''}>
                {say(`${outBy < on ? 'were to be out' : 'out by'} ${showDay(outBy, on)}`)}
              </strong>
            </li>
          ))}
        </ul>
      )}
      <p className="mt-1 text-sm text-soft">
        {strips.untreated.length > 0
          ? `${countOf(strips.untreated.length, 'colony has', 'colonies have')} no treatment on record this season: ${strips.untreated.map(roomName).join(', ')}. As many strips as the label says for each.`
          : 'Every colony has a treatment on record this season.'}
      </p>
    </section>
  );
}

/** One way round the yard, each room to be ticked. */
function Round({ title, children }: { title: string; children: ReactNode }) {
  const say = useSay();
  return (
    <div className="break-inside-avoid">
      <h3 className="font-semibold">{say(title)}</h3>
      <ul>{children}</ul>
    </div>
  );
}

function Given({ line, children }: { line: AutumnLine; children: string }) {
  const say = useSay();
  return (
    <li className="row-line">
      <span className="inline-flex items-baseline gap-2">
        <TickBox /> {roomName(line)}
      </span>
      <strong>{say(children)}</strong>
    </li>
  );
}

import { useSuspenseQuery } from '@tanstack/react-query';
import type { Yard } from '@yellow-cell/contract';
import {
  compassPoint,
  countOf,
  flightWords,
  markWords,
  showDay,
  showWindow,
  statusLine,
} from '@yellow-cell/core';
import { Printer } from 'lucide-react';
import { Link, useParams, useSearchParams } from 'react-router';
import { yardsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { CardPicture } from './CardPicture.tsx';
import { QrCode } from './QrCode.tsx';
import { RoomIcon } from './RoomIcon.tsx';
import { type BoxView, useYard, type YardView } from './useYard.ts';

/** A card for each box of a yard, to print and pin under its lid. */
export function CardsScreen() {
  const { yard: wanted } = useParams();
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const yard = yards.find(({ id }) => id === wanted);
  return yard ? <Cards yard={yard} /> : <p className="p-6">There is no such yard.</p>;
}

const PAPERS = { cards: 'Cards (PDF)', day: 'List of the day (PDF)', plan: 'Plan (PDF)' } as const;

function Cards({ yard }: { yard: Yard }) {
  const say = useSay();
  const view = useYard(yard);
  const [params] = useSearchParams();
  const only = params.get('box');
  const boxes = view.boxes.filter(({ box }) => !only || box.id === only);
  return (
    <main className="h-full overflow-y-auto px-5 py-4 print:h-auto print:overflow-visible">
      <div className="no-print mb-3 flex flex-wrap items-center gap-3">
        <h1 className="text-xl">
          Cards of{' '}
          <Link className="underline" to={`/yard/${yard.id}`}>
            {yard.name}
          </Link>
        </h1>
        <p className="text-soft">
          As of {say(showDay(view.on))}. The code opens the box on a phone that reaches this address.
        </p>
        {view.more && (
          <button type="button" className="button" onClick={view.more}>
            More boxes
          </button>
        )}
        <span className="ml-auto flex gap-4">
          {(['cards', 'day', 'plan'] as const).map((what) => (
            <a
              key={what}
              className="font-semibold underline"
              href={`/api/yards/${yard.id}/paper.pdf?what=${what}${only && what === 'cards' ? `&box=${only}` : ''}`}
            >
              {PAPERS[what]}
            </a>
          ))}
        </span>
        <button type="button" className="button button-main" onClick={() => window.print()}>
          <Printer size={17} aria-hidden /> Print
        </button>
      </div>
      {boxes.length === 0 && <p className="text-soft">No box stands here.</p>}
      <ul className="grid gap-4 sm:grid-cols-2 print:grid-cols-2 print:gap-2">
        {boxes.map((boxView) => (
          <Card key={boxView.box.id} view={view} boxView={boxView} />
        ))}
      </ul>
    </main>
  );
}

function Card({ view, boxView }: { view: YardView; boxView: BoxView }) {
  const say = useSay();
  const { box, designName, compartments, model } = boxView;
  const address = `${window.location.origin}/yard/${view.yard.id}?box=${box.id}`;
  return (
    <li className="break-inside-avoid rounded-xl border-2 border-[var(--ink)] bg-slip p-3 print:rounded-none">
      <div className="flex items-start gap-3">
        <div className="min-w-0 flex-1">
          <h2 className="text-5xl leading-tight">{box.label}</h2>
          <p className="text-sm text-soft">
            {designName}, version {box.version}
          </p>
          {box.place && (
            <p className="text-sm text-soft">
              {view.yard.name}, stand {box.place.stand}; front to the {compassPoint(box.place.bearing_deg)}
            </p>
          )}
        </div>
        <QrCode text={address} />
      </div>
      <CardPicture view={boxView} />
      <p className="text-center text-sm text-soft">Seen from above, the front below; slots from the left.</p>
      <ol className="mt-1">
        {compartments.map((compartment, index) => {
          const entrances = model.compartments[index]?.entrances ?? [];
          const marks = entrances.flatMap(({ opening: { mark } }) => (mark ? [markWords(mark)] : []));
          const flight = box.place && flightWords(entrances, box.place.bearing_deg);
          return (
            <li key={compartment.position} className="border-t border-hairline py-1">
              <p className="text-lg leading-tight">
                <RoomIcon room={compartment} size={18} /> <strong>{compartment.name}</strong>{' '}
                {say(statusLine(compartment, view.on))}
              </p>
              <span className="block">
                {countOf(compartment.frames, 'frame')}
                {flight ? `, ${flight}` : ''}
                {marks.length > 0 ? `, mark: ${[...new Set(marks)].join(', ')}` : ''}
              </span>
              {(compartment.due.length > 0
                ? compartment.due
                : compartment.first
                  ? [compartment.first]
                  : []
              ).map(({ kind, key, title, from, to }) => (
                <span key={`${kind} ${key ?? ''}`} className="block">
                  {title}, {say(showWindow(from, to, view.on))}
                </span>
              ))}
              <span aria-hidden className="hidden h-8 border-b border-[var(--soft)] print:block" />
            </li>
          );
        })}
      </ol>
    </li>
  );
}

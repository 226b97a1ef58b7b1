import { compassPoint, countOf, flightWords, showDay, showWindow, statusLine } from '@yellow-cell/core';
import { Link } from 'react-router';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { BoxSection } from '../drawing/BoxSection.tsx';
import { BoxThumb } from '../drawing/BoxThumb.tsx';
import { BoxParts } from './BoxParts.tsx';
import { BoxPlace } from './BoxPlace.tsx';
import { BoxStack } from './BoxStack.tsx';
import { BoxYear } from './BoxYear.tsx';
import { ConditionForm } from './ConditionForm.tsx';
import { History } from './History.tsx';
import { NoteForm } from './NoteForm.tsx';
import { RoomIcon } from './RoomIcon.tsx';
import { SensorLines } from './SensorLines.tsx';
import { useChoice } from './useChoice.ts';
import type { BoxView, YardView } from './useYard.ts';

/** A whole box: where it stands, what its compartments hold, its story. */
export function BoxSlip({ view, boxView }: { view: YardView; boxView: BoxView }) {
  const say = useSay();
  const { box, designName, compartments, model } = boxView;
  const { choose } = useChoice();
  const { isToday } = useAsOf();
  const log = useLog();
  const { place } = box;
  const flightOf = (room: number): string => {
    const flight = place && flightWords(model.compartments[room]?.entrances ?? [], place.bearing_deg);
    return flight ? ` · ${flight}` : '';
  };
  const holdsBees = compartments.some(({ colony }) => colony);
  return (
    <>
      <h2 className="text-xl">{box.label}</h2>
      <p className="text-soft">
        <Link className="underline" to={`/bench/${box.design}`}>
          {designName}
        </Link>
        , version {box.version} · built {say(showDay(box.builtOn))}
      </p>
      {place && (
        <p className="text-soft">
          Stand {place.stand}
          {box.onto ? `, on ${view.state.boxes.get(box.onto)?.label ?? 'another box'}` : ''} · front to the{' '}
          {compassPoint(place.bearing_deg)} ({Math.round(place.bearing_deg)}°)
        </p>
      )}
      <div className="grid grid-cols-2 gap-2">
        <BoxThumb design={boxView.design} width={170} height={140} />
        <BoxSection design={boxView.design} width={150} height={140} />
      </div>
      <h3 className="eyebrow">Compartments</h3>
      <ul>
        {compartments.map((compartment, index) => (
          <li key={compartment.position} className="border-b border-hairline">
            <button
              type="button"
              className="min-h-11 w-full py-1.5 text-left hover:bg-glow"
              onClick={() => choose(box.id, compartment.bays[0])}
            >
              <span className="flex items-center gap-2">
                <RoomIcon room={compartment} />
                <span>
                  <strong>{compartment.name}</strong> {say(statusLine(compartment, view.on))}
                </span>
              </span>
              <span className="block text-sm text-soft">
                {countOf(compartment.frames, 'frame')}
                {flightOf(index)}
                {compartment.due.length === 0 &&
                  compartment.first &&
                  ` · ${compartment.first.title}, ${say(showWindow(compartment.first.from, compartment.first.to, view.on))}`}
              </span>
              {compartment.due.map(({ kind, key, title, from, to }) => (
                <span key={`${kind} ${key ?? ''}`} className="block text-sm">
                  {title}, {say(showWindow(from, to, view.on))}
                </span>
              ))}
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 flex gap-4">
        <Link className="font-semibold underline" to={`/yard/${view.yard.id}/frames?box=${box.id}`}>
          Frames
        </Link>
        <Link className="underline" to={`/yard/${view.yard.id}/cards?box=${box.id}`}>
          Its card
        </Link>
      </p>
      {isToday && <BoxPlace view={view} boxView={boxView} />}
      {isToday && <BoxStack view={view} boxView={boxView} />}
      {isToday && <BoxParts view={view} boxView={boxView} />}
      <ConditionForm box={box} />
      {isToday && <SensorLines label={box.label} />}
      {isToday && <NoteForm box={box.id} title={box.label} />}
      {isToday && !holdsBees && (
        <button
          type="button"
          className="button mt-3"
          onClick={() =>
            confirm(`Take ${box.label} apart? It leaves the yard; its story stays.`) &&
            void log(`${box.label} taken apart`, [draft('boxTakenApart', { box: box.id })]).then(() =>
              choose(),
            )
          }
        >
          Take it apart
        </button>
      )}
      <BoxYear view={view} box={box.id} />
      <History view={view} box={box.id} />
    </>
  );
}

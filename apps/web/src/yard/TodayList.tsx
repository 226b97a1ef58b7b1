import { alike, countOf, manyActs, showDay, walkingOrder } from '@yellow-cell/core';
import { Footprints } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';
import { useBeforePrint } from '../parts/useBeforePrint.ts';
import { RoundsToday } from '../rounds/RoundsToday.tsx';
import { Actions } from './Actions.tsx';
import { DueLine } from './DueLine.tsx';
import { RoomIcon } from './RoomIcon.tsx';
import { useChoice } from './useChoice.ts';
import { type BoxView, type CompartmentView, useDueYard, type YardView } from './useYard.ts';
import { FlyingTap, TonightField } from './WeatherPanel.tsx';

type Order = 'urgency' | 'walk';
/** More than this nobody does in a day; the others are shown when they are asked for. */
const AT_ONCE = 80;

interface Stop {
  boxView: BoxView;
  compartment: CompartmentView;
}

/** What is due now, by how pressing it is or in the order of a walk through the yard, each with its likely entries at hand. */
export function TodayList({ view }: { view: YardView }) {
  const say = useSay();
  const [order, setOrder] = useState<Order>('urgency');
  const due = useDueYard(view);
  const { isToday } = useAsOf();
  const stops = useMemo(() => stopsOf(due, order), [due, order]);
  const [whole, setWhole] = useState(false);
  useBeforePrint(() => setWhole(true));
  return (
    <div className="flex h-full flex-col overflow-y-auto bg-sheet px-4 pb-16 sm:px-5 print:block">
      {/* On a phone the first task comes first. */}
      <div
        role="group"
        aria-label="Order"
        className="no-print flex flex-wrap items-center gap-2 py-2 max-sm:order-last"
      >
        {(
          [
            ['urgency', 'Most pressing first'],
            ['walk', 'As one walks'],
          ] as const
        ).map(([key, name]) => (
          <button
            key={key}
            type="button"
            aria-pressed={order === key}
            className={`button min-h-11 ${order === key ? 'bg-glow' : 'font-normal'}`}
            onClick={() => setOrder(key)}
          >
            {name}
          </button>
        ))}
        <button type="button" className="button min-h-11 max-sm:hidden" onClick={() => window.print()}>
          Print the list
        </button>
        <a className="inline-flex min-h-11 items-center px-1 underline" href="/api/calendar.ics">
          Calendar file
        </a>
      </div>
      {isToday && (
        <div className="no-print max-w-2xl py-2 max-sm:order-last">
          {view.weather.get(view.on)?.flying_h == null && (
            <>
              <p className="text-sm text-soft">Could bees fly today? What is not known puts nothing off.</p>
              <FlyingTap view={view} day={view.on} />
            </>
          )}
          <TonightField view={view} />
        </div>
      )}
      {isToday && (
        <div className="max-sm:order-last">
          <RoundsToday />
        </div>
      )}
      {isToday && <Together view={due} stops={stops.length} />}
      {stops.length === 0 && (
        <p className="py-3 text-soft">Nothing is due in this yard on {say(showDay(view.on))}.</p>
      )}
      <ol>
        {(whole ? stops : stops.slice(0, AT_ONCE)).map(({ boxView, compartment }) => (
          <StopLine
            key={`${boxView.box.id} ${compartment.position}`}
            view={due}
            boxView={boxView}
            compartment={compartment}
          />
        ))}
      </ol>
      {!whole && stops.length > AT_ONCE && (
        <button type="button" className="button no-print my-3 self-start" onClick={() => setWhole(true)}>
          Show all {stops.length}
        </button>
      )}
    </div>
  );
}

/** What is due in several rooms alike is said once, and can be entered for all; or one walks past the boxes. */
function Together({ view, stops }: { view: YardView; stops: number }) {
  const groups = useMemo(() => alike(view.boxes), [view.boxes]);
  if (stops === 0) return null;
  const yard = `/yard/${view.yard.id}`;
  return (
    <ul aria-label="Together" className="no-print flex flex-wrap gap-2 py-2">
      <li>
        <Link className="button button-main min-h-12" to={`${yard}/walk`}>
          <Footprints size={19} aria-hidden /> Walk
        </Link>
      </li>
      {groups.map(({ act, rooms }) => (
        <li key={act}>
          <Link className="button min-h-12" to={`${yard}/many?act=${act}`}>
            {manyActs[act].title}: {countOf(rooms, 'room')}…
          </Link>
        </li>
      ))}
    </ul>
  );
}

function stopsOf(view: YardView, order: Order): Stop[] {
  const due = view.boxes.flatMap((boxView) =>
    boxView.compartments
      .filter((compartment) => compartment.due.length > 0)
      .map((compartment): Stop => ({ boxView, compartment })),
  );
  if (order === 'walk') {
    const boxes = walkingOrder([...new Set(due.map(({ boxView }) => boxView))], ({ box }) => box.place);
    return boxes.flatMap((box) => due.filter(({ boxView }) => boxView === box));
  }
  const pressing = ({ compartment: { urgency, due } }: Stop): string =>
    `${due[0]?.pressing ? 0 : 1}${urgency === 'overdue' ? 0 : 1}${due[0]?.by ?? due[0]?.to ?? ''}`;
  return due.sort((a, b) => pressing(a).localeCompare(pressing(b)));
}

function StopLine({ view, boxView, compartment }: Stop & { view: YardView }) {
  const { choose } = useChoice();
  const { isToday } = useAsOf();
  const { due } = compartment;
  const [first] = due;
  if (!first) return null;
  const title = `${boxView.box.label} ${compartment.name}`;
  return (
    <li className="break-inside-avoid border-t border-hairline py-2">
      <div className="flex items-start gap-2.5">
        <span
          aria-hidden
          className="mt-1 hidden size-4 shrink-0 border border-[var(--ink)] print:inline-block"
        />
        <div className="min-w-0 flex-1">
          <button
            type="button"
            className="-my-1 min-h-11 text-left hover:underline"
            onClick={() => choose(boxView.box.id, compartment.bays[0])}
          >
            <RoomIcon room={compartment} /> <strong>{title}</strong>
            {boxView.box.place && <span className="text-soft"> · stand {boxView.box.place.stand}</span>}
          </button>
          <DueLine boxView={boxView} compartment={compartment} work={first} title={title} />
          {isToday ? (
            <div className="max-w-2xl">
              <Actions view={view} boxView={boxView} compartment={compartment} title={title} brief />
            </div>
          ) : (
            due
              .slice(1)
              .map((work) => (
                <DueLine
                  key={`${work.kind} ${work.key ?? ''}`}
                  boxView={boxView}
                  compartment={compartment}
                  work={work}
                  title={title}
                />
              ))
          )}
        </div>
      </div>
    </li>
  );
}

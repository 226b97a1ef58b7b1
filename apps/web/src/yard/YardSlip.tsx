import { type Expectation, showDay, type Urgency, urgencyOn } from '@yellow-cell/core';
import { Plus } from 'lucide-react';
import { Link, useSearchParams } from 'react-router';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';
import { RoomIcon } from './RoomIcon.tsx';
import { UrgencyDot } from './SignKey.tsx';
import { useChoice } from './useChoice.ts';
import type { BoxView, CompartmentView, YardView } from './useYard.ts';

interface Work {
  view: BoxView;
  compartment: CompartmentView;
  work: Expectation;
  urgency: Urgency;
}

/** Longer than this nobody reads a list beside a map. */
const LONGEST = 40;

/** With nothing chosen: what is due in the yard, most pressing first, and what comes in the next week. */
export function YardSlip({ view }: { view: YardView }) {
  const asked = useAsOf();
  const { isToday } = asked;
  const [, setParams] = useSearchParams();
  const work = view.boxes.flatMap((each) =>
    each.compartments.flatMap((compartment) => {
      const { due, first } = compartment;
      const all = due.length > 0 ? due : first ? [first] : [];
      return all.map((one): Work => ({ view: each, compartment, work: one, urgency: urgencyOn(one, asked) }));
    }),
  );
  const key = ({ work: { pressing, to } }: Work) => `${pressing ? 0 : 1} ${to}`;
  const of = (urgency: Urgency) =>
    work.filter((each) => each.urgency === urgency).sort((a, b) => (key(a) < key(b) ? -1 : 1));
  const [overdue, due, before] = [of('overdue'), of('due'), of('before')];
  const ahead = of('ahead').sort((a, b) => (a.work.from < b.work.from ? -1 : 1));
  return (
    <>
      <div className="flex items-baseline justify-between gap-4">
        <h2 className="text-lg">{view.yard.name}</h2>
        <Link className="underline" to="/workshop#register">
          What lies ready
        </Link>
      </div>
      {isToday && (
        <button
          type="button"
          className="button my-2 w-full"
          onClick={() =>
            setParams((before) => new URLSearchParams({ ...Object.fromEntries(before), build: '' }))
          }
        >
          <Plus size={17} aria-hidden /> Build a box
        </button>
      )}
      <WorkList title="Overdue" work={overdue} />
      <WorkList title="Due" work={due} />
      <WorkList title="Before then" work={before} />
      <WorkList title="Coming" work={ahead.slice(0, 12)} />
      {work.length === 0 && (
        <p className="mt-3 text-soft">
          {view.boxes.length === 0
            ? 'Nothing stands here yet. Build a box from a design, and it appears on the map.'
            : 'Nothing is expected in this yard on this day.'}
        </p>
      )}
    </>
  );
}

function WorkList({ title, work: list }: { title: string; work: readonly Work[] }) {
  const say = useSay();
  const { choose } = useChoice();
  if (list.length === 0) return null;
  return (
    <>
      <h3 className="eyebrow">
        {title} <span className="font-normal text-soft">{list.length}</span>
      </h3>
      <ul>
        {list.slice(0, LONGEST).map(({ view, compartment, work, urgency }) => (
          <li
            key={`${view.box.id} ${compartment.position} ${work.kind} ${work.key ?? ''}`}
            className="border-b border-hairline"
          >
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-2 py-1.5 text-left hover:bg-glow"
              onClick={() => choose(view.box.id, compartment.bays[0])}
            >
              {urgency === 'ahead' ? (
                <RoomIcon room={compartment} size={16} />
              ) : (
                <UrgencyDot urgency={urgency} />
              )}
              <span className="flex-1">
                <strong>
                  {view.box.label} {compartment.name}
                </strong>{' '}
                {work.title}
              </span>
              <span className="shrink-0 text-sm text-soft">
                {urgency === 'ahead' ? 'from ' : 'by '}
                {say(showDay(urgency === 'ahead' ? work.from : work.to, work.to))}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {list.length > LONGEST && (
        <p className="py-2 text-soft">
          … and {list.length - LONGEST} more, all of them on{' '}
          <Link className="underline" to="?view=today">
            Today
          </Link>
          .
        </p>
      )}
    </>
  );
}

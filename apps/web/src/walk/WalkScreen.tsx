import { useSuspenseQuery } from '@tanstack/react-query';
import { useDrag } from '@use-gesture/react';
import type { Yard } from '@yellow-cell/contract';
import { clockBySun, countOf, mayBeOut, statusLine } from '@yellow-cell/core';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useAsOf } from '../app/now.ts';
import { yardsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { Later } from '../parts/Later.tsx';
import { Actions } from '../yard/Actions.tsx';
import { DueLine } from '../yard/DueLine.tsx';
import { RoomIcon } from '../yard/RoomIcon.tsx';
import { useChoice } from '../yard/useChoice.ts';
import { useJustKept } from '../yard/useJustKept.ts';
import { type BoxView, type CompartmentView, useDueYard, useYard, type YardView } from '../yard/useYard.ts';
import { WalkBox } from './WalkBox.tsx';
import { WalkEnd } from './WalkEnd.tsx';
import { dueRooms, keepWalk, keptWalk, newWalk, type Walk } from './walk.ts';

/** Box after box as one walks past them: its picture, what is due, the likely entry large; at the end what was done and left. */
export function WalkScreen() {
  const { yard: wanted } = useParams();
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const yard = yards.find(({ id }) => id === wanted);
  return yard ? <OneWalk key={yard.id} yard={yard} /> : <p className="p-6">There is no such yard.</p>;
}

function OneWalk({ yard }: { yard: Yard }) {
  const { on, now, isToday } = useAsOf();
  const [walk, go] = useState(() => keptWalk(yard.id, on));
  // The box that one stands at comes by itself, however large the yard.
  const view = useYard(yard, walk?.boxes[walk.at]);
  const due = useDueYard(view);
  const known = view.more === undefined || due !== view;
  useEffect(() => {
    if (!walk && known && isToday) go(newWalk(due, now));
  }, [walk, known, isToday, due, now]);
  useEffect(() => keepWalk(walk), [walk]);
  if (!isToday) return <p className="p-5">A walk is of today. Press T for today.</p>;
  if (!walk) return <p className="p-5 text-soft">Loading…</p>;
  if (walk.boxes.length === 0)
    return (
      <p className="p-5">
        Nothing is due in {yard.name} today.{' '}
        <Link className="underline" to={`/yard/${yard.id}`}>
          To the yard
        </Link>
      </p>
    );
  if (walk.at >= walk.boxes.length)
    return (
      <WalkEnd
        view={view}
        due={due}
        walk={walk}
        onBack={() => go({ ...walk, at: walk.boxes.length - 1 })}
        onAgain={() => go(newWalk(due, now))}
      />
    );
  const boxView = [...view.boxes, ...due.boxes].find(({ box }) => box.id === walk.boxes[walk.at]);
  return boxView ? (
    <AtBox key={boxView.box.id} view={view} due={due} boxView={boxView} walk={walk} go={go} />
  ) : (
    <p className="p-5">
      This box is not here: it was taken away, or is still on its way.{' '}
      <button type="button" className="min-h-12 underline" onClick={() => go({ ...walk, at: walk.at + 1 })}>
        On to the next
      </button>
    </p>
  );
}

function AtBox({
  view,
  due: dueYard,
  boxView,
  walk,
  go,
}: {
  view: YardView;
  due: YardView;
  boxView: BoxView;
  walk: Walk;
  go: (next: Walk) => void;
}) {
  const { box, compartments } = boxView;
  const { box: chosenBox, bay, choose } = useChoice();
  const due = dueRooms(boxView);
  const chosen =
    chosenBox === box.id
      ? compartments.find(({ bays }) => bay !== undefined && bays.includes(bay))
      : undefined;
  const shown = chosen && !due.includes(chosen) ? [chosen, ...due] : due;
  const others = compartments.filter((room) => !shown.includes(room));
  // A second tap of the press that came here passes nothing.
  const { justKept, keep } = useJustKept(DOUBLE_TAP_MS);
  useEffect(() => keep(box.id), [box.id, keep]);
  const step = (by: number, passed = walk.passed) => {
    if (chosenBox !== undefined) choose();
    go({ ...walk, at: walk.at + by, passed });
  };
  const next = walk.boxes[walk.at + 1];
  // The next box lies ahead of the thumb: pulled to the left, one goes on.
  const swipe = useDrag(
    ({ swipe: [x] }) => {
      if (x < 0) step(1);
      else if (x > 0 && walk.at > 0) step(-1);
    },
    { axis: 'x', filterTaps: true },
  );
  return (
    <main className="flex h-full flex-col bg-sheet">
      <div className="min-h-0 flex-1 overflow-y-auto px-4 pt-2 sm:px-5">
        <div className="mx-auto max-w-2xl">
          <div className="flex items-baseline gap-3">
            <h1 className="text-xl">
              {box.label}
              {box.place && <span className="font-normal text-soft"> · stand {box.place.stand}</span>}
            </h1>
            <span className="ml-auto text-soft">
              box {walk.at + 1} of {walk.boxes.length}
            </span>
          </div>
          <div {...swipe()} className="touch-pan-y">
            <Later until={<div className="h-[19rem]" />}>
              <WalkBox boxView={boxView} />
            </Later>
          </div>
          <Later>
            <FlyingHours view={view} rooms={compartments} />
            {shown.map((room) => (
              <RoomWork key={room.position} view={view} boxView={boxView} room={room} />
            ))}
            {due.length === 0 && !chosen && <p className="py-2">Nothing more is due in this box.</p>}
            {others.length > 0 && (
              <>
                <h2 className="eyebrow">The other rooms</h2>
                <ul>
                  {others.map((room) => (
                    <li key={room.position} className="border-b border-hairline">
                      <button
                        type="button"
                        className="flex min-h-12 w-full items-center gap-2 text-left"
                        onClick={() => choose(box.id, room.bays[0])}
                      >
                        <RoomIcon room={room} />
                        <strong>{room.name}</strong> <RoomWords room={room} />
                      </button>
                    </li>
                  ))}
                </ul>
              </>
            )}
          </Later>
        </div>
      </div>
      <div className="flex gap-2 border-t border-hairline bg-slip px-4 py-2">
        <button
          type="button"
          aria-label="Back a box"
          className="button min-h-12"
          disabled={walk.at === 0 || justKept !== undefined}
          onClick={() => step(-1)}
        >
          <ArrowLeft size={20} aria-hidden />
        </button>
        <button
          type="button"
          className={`button min-h-12 flex-1 ${due.length === 0 ? 'button-main' : ''}`}
          disabled={justKept !== undefined}
          onClick={() => step(1, due.length > 0 ? [...walk.passed, box.id] : walk.passed)}
        >
          {due.length > 0 ? 'Nothing to do here' : 'On'}
          {`: ${next === undefined ? 'the end' : (labelIn([view, dueYard], next) ?? 'next')}`}
          <ArrowRight size={20} aria-hidden />
        </button>
      </div>
    </main>
  );
}

const DOUBLE_TAP_MS = 500;

/** What a box is called in the first of these that has it. */
const labelIn = (views: readonly YardView[], id: string): string | undefined =>
  views.flatMap(({ boxes }) => boxes).find(({ box }) => box.id === id)?.box.label;

function RoomWords({ room }: { room: CompartmentView }) {
  const say = useSay();
  const { on } = useAsOf();
  return <span className="text-soft">{say(statusLine(room, on))}</span>;
}

function RoomWork({ view, boxView, room }: { view: YardView; boxView: BoxView; room: CompartmentView }) {
  const title = `${boxView.box.label} ${room.name}`;
  const [first] = room.due;
  return (
    <section aria-label={title} className="border-t border-hairline py-2">
      <div className="flex items-center gap-2">
        <RoomIcon room={room} size={22} />
        <div>
          <h2 className="text-lg leading-tight">{room.name}</h2>
          <RoomWords room={room} />
        </div>
      </div>
      {first && <DueLine boxView={boxView} compartment={room} work={first} title={title} />}
      <Actions view={view} boxView={boxView} compartment={room} title={title} brief />
    </section>
  );
}

/** Where a virgin may be out, when not to open: by the sun of the place. */
function FlyingHours({ view, rooms }: { view: YardView; rooms: readonly CompartmentView[] }) {
  const { on, yard } = view;
  const virgins = rooms.filter((room) => mayBeOut(room, on, view.constants));
  if (virgins.length === 0) return null;
  return (
    <p className="text-sm text-soft">
      {countOf(virgins.length, 'virgin')} here: not opened in flying weather from {clockBySun(on, 11, yard)}{' '}
      to {clockBySun(on, 17, yard)}.
    </p>
  );
}

import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core';
import { useSuspenseQuery } from '@tanstack/react-query';
import type { FramePurpose, Yard } from '@yellow-cell/contract';
import { hangsComb, slotsOf } from '@yellow-cell/core';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useWide } from '../app/narrow.ts';
import { useAsOf } from '../app/now.ts';
import { yardsQuery } from '../app/queries.ts';
import { draft } from '../app/useLog.ts';
import { SelectField } from '../parts/Field.tsx';
import { useWarned } from '../yard/useWarned.tsx';
import { type BoxView, useYard, type YardView } from '../yard/useYard.ts';
import { CombKey } from './CombBar.tsx';
import { Equalise } from './Equalise.tsx';
import { FramePanel } from './FramePanel.tsx';
import { movesBetween, type Place } from './moves.ts';
import { Outside } from './Outside.tsx';
import { Room } from './Room.tsx';
import { spokenDrag } from './spokenDrag.ts';
import { useFrameSensors } from './useFrameSensors.ts';

/** Frames of one box, or of two side by side: looked through, carried, turned, taken out and put back. */
export function FramesScreen() {
  const { yard: wanted } = useParams();
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const yard = yards.find(({ id }) => id === wanted);
  return yard ? <Frames yard={yard} /> : <p className="p-6">There is no such yard.</p>;
}

function Frames({ yard }: { yard: Yard }) {
  const [params, setParams] = useSearchParams();
  const { isToday } = useAsOf();
  const view = useYard(yard, params.get('box') ?? undefined);
  const [refused, setRefused] = useState<string>();
  const [advise, setAdvise] = useState(false);
  const { send, asking } = useWarned(view);
  const sensors = useFrameSensors();
  const chosen = [params.get('box'), params.get('with')].flatMap(
    (id) => view.boxes.find(({ box }) => box.id === id) ?? [],
  );
  const boxes = chosen.length > 0 ? chosen : view.boxes.slice(0, 1);
  const [slot, setSlot] = useState<string>();
  // Beside one box alone there is room for a frame, both sides.
  const beside = useWide() && boxes.length === 1;
  const combs = beside ? boxes.flatMap((boxView) => combsOf(view, boxView)) : [];
  const shown = combs.find((each) => each.slot.slot === slot) ?? combs[0];
  const places = new Map(
    boxes.flatMap((each) => placesOf(view, each).map((place) => [keyOf(place), place] as const)),
  );
  const pick = (field: 'box' | 'with', id: string) =>
    setParams((before) => {
      const next = new URLSearchParams(before);
      if (id) next.set(field, id);
      else next.delete(field);
      return next;
    });
  const carry = (from: Place, to: Place, title: string) => {
    const purpose: FramePurpose = from.colony !== to.colony ? 'equalise' : 'other';
    return send(title, [draft('framesMoved', { moves: movesBetween(from, to), purpose })], (delivery) =>
      setRefused(delivery.state === 'refused' ? delivery.problems[0]?.sentence : undefined),
    );
  };
  const drop = ({ active, over }: DragEndEvent) => {
    const from = places.get(String(active.id));
    const to = over ? places.get(String(over.id)) : undefined;
    if (!from || !to || keyOf(from) === keyOf(to)) return;
    const label = (place: Place) => boxes.find(({ box }) => box.id === place.box)?.box.label ?? '';
    const title = `Frame from ${label(from)} to ${label(to)}${to.is === 'empty' ? '' : ', changing places'}`;
    void carry(from, to, title);
  };
  return (
    <main className="h-full overflow-y-auto px-5 py-4">
      <div className="flex flex-wrap items-end gap-x-4">
        <h1 className="mb-2.5 text-xl">
          Frames,{' '}
          <Link className="underline" to={`/yard/${yard.id}${boxes[0] ? `?box=${boxes[0].box.id}` : ''}`}>
            {yard.name}
          </Link>
        </h1>
        <SelectField
          label="Box"
          value={boxes[0]?.box.id ?? ''}
          onChange={({ target }) => pick('box', target.value)}
        >
          {view.boxes.map(({ box }) => (
            <option key={box.id} value={box.id}>
              {box.label}
            </option>
          ))}
        </SelectField>
        <SelectField
          label="Beside it"
          value={params.get('with') ?? ''}
          onChange={({ target }) => pick('with', target.value)}
        >
          <option value="">no other box</option>
          {view.boxes
            .filter(({ box }) => box.id !== boxes[0]?.box.id)
            .map(({ box }) => (
              <option key={box.id} value={box.id}>
                {box.label}
              </option>
            ))}
        </SelectField>
      </div>
      <p className="mb-2 max-w-3xl text-soft">
        Seen from above, the front at the left, slot 1 nearest the left wall. Drag a frame by its number to
        another place
        <span className="max-sm:hidden">
          , or take it up with Space, move it with the arrow keys and put it down with Space
        </span>
        .{isToday ? '' : ' What you do now is dated on the day shown.'}
      </p>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
        <CombKey />
        <label className="flex min-h-11 items-center gap-2">
          <input type="checkbox" checked={advise} onChange={({ target }) => setAdvise(target.checked)} />
          What to keep, turn or take out where the cavity is reduced
        </label>
      </div>
      {refused && (
        <p role="alert" className="mt-2 text-danger">
          {refused}
        </p>
      )}
      {asking && <div className="mt-2 max-w-xl">{asking}</div>}
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{ announcements: spokenDrag }}
        onDragEnd={drop}
      >
        <div className="mt-3 grid gap-6 max-lg:max-w-3xl lg:grid-cols-2">
          {boxes.map((boxView) => (
            <section key={boxView.box.id} aria-label={`Frames of ${boxView.box.label}`}>
              <h2 className="text-lg">{boxView.box.label}</h2>
              {boxView.compartments.map((compartment, index) => {
                const room = boxView.model.compartments[index];
                return room ? (
                  <Room
                    key={compartment.position}
                    view={view}
                    boxView={boxView}
                    compartment={compartment}
                    slots={slotsOf(view.state, boxView.box, room, compartment)}
                    advise={advise}
                    chosen={shown?.slot.slot}
                    onChoose={beside ? setSlot : undefined}
                  />
                ) : null;
              })}
              <Outside view={view} boxView={boxView} />
            </section>
          ))}
          {shown && (
            <aside className="sticky top-0 self-start">
              {/* Begun anew once it is another frame, or was turned, or seen anew. */}
              <FramePanel
                key={`${shown.boxView.box.id} ${shown.slot.slot} ${JSON.stringify(shown.slot.frame)}`}
                {...shown}
              />
            </aside>
          )}
        </div>
      </DndContext>
      <Equalise view={view} />
    </main>
  );
}

/** Every comb that hangs in a box, with its room. */
function combsOf(view: YardView, boxView: BoxView) {
  return boxView.compartments.flatMap((compartment, index) => {
    const room = boxView.model.compartments[index];
    const slots = room ? slotsOf(view.state, boxView.box, room, compartment) : [];
    return slots.filter(hangsComb).map((slot) => ({ boxView, compartment, slot, slots }));
  });
}

export const keyOf = ({ box, slot }: { box: string; slot: string }): string => `${box} ${slot}`;

function placesOf(view: YardView, { box, model, compartments }: BoxView): Place[] {
  return compartments.flatMap((compartment, index) => {
    const room = model.compartments[index];
    if (!room) return [];
    return slotsOf(view.state, box, room, compartment).map(
      ({ slot, is, frame }): Place => ({
        box: box.id,
        slot,
        is,
        frame,
        colony: compartment.colony?.id,
      }),
    );
  });
}

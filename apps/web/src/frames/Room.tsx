import { useDraggable, useDroppable } from '@dnd-kit/core';
import {
  type FrameAdvice,
  type FrameSlot,
  frameAdvice,
  hangs,
  hangsComb,
  inwardSides,
  showDay,
  statusLine,
} from '@yellow-cell/core';
import { GripVertical } from 'lucide-react';
import { Fragment, useState } from 'react';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { QueenMark } from '../yard/QueenMark.tsx';
import { RoomIcon } from '../yard/RoomIcon.tsx';
import type { BoxView, CompartmentView, YardView } from '../yard/useYard.ts';
import { AuditForm } from './AuditForm.tsx';
import { CombBar } from './CombBar.tsx';
import { combIn, turned } from './moves.ts';
import { OutForm } from './OutForm.tsx';

interface RoomProps {
  view: YardView;
  boxView: BoxView;
  compartment: CompartmentView;
  slots: readonly FrameSlot[];
  /** Shows what the handbook's table says of each frame where the cavity is reduced. */
  advise: boolean;
  /** The place that is shown beside the list, and how another comes to be; where there is no room beside it, it unfolds below. */
  chosen?: string | undefined;
  onChoose?: ((slot: string) => void) | undefined;
}

/** One compartment as strips, a strip for each place. */
export function Room({ view, boxView, compartment, slots, advise, chosen, onChoose }: RoomProps) {
  const say = useSay();
  const inward = inwardSides(
    slots.map(({ frame }) => frame?.audit),
    view.constants,
  );
  return (
    <div className="mb-4">
      <h3 className="flex items-center gap-2 border-b-2 border-[var(--wood-line)] py-1">
        <RoomIcon room={compartment} /> <strong>{compartment.name}</strong>
        <span className="text-soft">{say(statusLine(compartment, view.on))}</span>
      </h3>
      <ol>
        {slots.map((slot, index) => (
          <Fragment key={slot.slot}>
            {slot.body !== slots[index - 1]?.body && <li className="pt-2 text-sm text-soft">{slot.body}</li>}
            <Strip
              view={view}
              boxView={boxView}
              compartment={compartment}
              slot={slot}
              slots={slots}
              chosen={chosen}
              onChoose={onChoose}
              advice={
                advise && slot.frame?.audit
                  ? frameAdvice(slot.frame.audit, view.constants, inward[index])
                  : undefined
              }
            />
          </Fragment>
        ))}
      </ol>
    </div>
  );
}

const verdictWords: Readonly<Record<FrameAdvice['verdict'], string>> = {
  keep: 'Keep',
  turn: 'Turn round',
  out: 'Take out',
};

function Strip({
  view,
  boxView,
  compartment,
  slot,
  slots,
  advice,
  chosen,
  onChoose,
}: Omit<RoomProps, 'advise'> & { slot: FrameSlot; advice: FrameAdvice | undefined }) {
  const say = useSay();
  const log = useLog();
  const [open, setOpen] = useState<'audit' | 'out'>();
  const id = `${boxView.box.id} ${slot.slot}`;
  const isHung = hangs(slot);
  const isComb = hangsComb(slot);
  const name = `${boxView.box.label} ${compartment.name}, frame ${slot.number}`;
  const data = { name };
  const { setNodeRef: dropRef, isOver } = useDroppable({ id, data, disabled: slot.is === 'feeder' });
  const {
    setNodeRef: dragRef,
    listeners,
    attributes,
    transform,
    isDragging,
  } = useDraggable({
    id,
    data,
    disabled: !isHung,
  });
  const place = { box: boxView.box.id, ...slot, colony: compartment.colony?.id };
  const audit = slot.frame?.audit;
  const close = () => setOpen(undefined);
  const setFeeder = () =>
    log(
      `${name.replace('frame', 'place')}: ${slot.is === 'feeder' ? 'comb instead of the feeder' : 'feeder in'}`,
      [
        draft('slotSet', {
          box: boxView.box.id,
          slot: slot.slot,
          holds: slot.is === 'feeder' ? 'comb' : 'feeder',
        }),
      ],
    );
  return (
    <li
      ref={dropRef}
      className={`border-b border-hairline ${isOver ? 'bg-glow' : ''} ${chosen === slot.slot ? 'lg:-mx-2 lg:rounded lg:bg-glow lg:px-2' : ''}`}
    >
      <div
        ref={dragRef}
        className={`flex items-center gap-2 py-1 ${isDragging ? 'relative z-10 rounded bg-slip shadow-lg' : ''}`}
        style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      >
        <button
          type="button"
          className="flex min-h-11 w-12 shrink-0 touch-none items-center justify-center gap-0.5 rounded disabled:opacity-50"
          aria-label={`Carry ${name}`}
          disabled={!isHung}
          {...attributes}
          {...listeners}
        >
          <GripVertical size={16} aria-hidden />
          <strong>{slot.number}</strong>
        </button>
        {!isHung ? (
          <span className="flex flex-1 flex-wrap items-center justify-between gap-2 text-soft">
            {slot.is === 'feeder' ? 'frame feeder' : 'no frame here'}
            <button
              type="button"
              className="button min-h-11 px-2 font-normal"
              onClick={() => void setFeeder()}
            >
              {slot.is === 'feeder' ? 'Comb instead' : 'Feeder in'}
            </button>
            {slot.is === 'empty' && compartment.colony && (
              <button
                type="button"
                aria-label={`Drawn comb in: ${name}`}
                className="button min-h-11 px-2"
                onClick={() =>
                  void log(`${name}: a drawn comb in`, [
                    draft('framesMoved', { moves: combIn(place), purpose: 'other' }),
                  ])
                }
              >
                Drawn comb in
              </button>
            )}
          </span>
        ) : !isComb ? (
          <span className="flex-1 text-soft">
            {slot.holds === 'bank' ? 'bars with cages' : 'bars with cells'}
          </span>
        ) : (
          <span className="grid min-w-0 flex-1 gap-0.5">
            <CombBar side={audit?.sides[0]} label={`${name}, side nearer the left`} />
            {audit && <CombBar side={audit.sides[1]} label={`${name}, other side`} />}
          </span>
        )}
        {slot.queen && (
          <span
            className="flex items-center gap-1 text-sm"
            title={`Queen seen here ${say(showDay(slot.queen.on))}`}
          >
            <QueenMark queen={slot.queen.queen} />
          </span>
        )}
        <span className="hidden w-16 shrink-0 text-right text-sm text-soft sm:inline">
          {audit ? say(showDay(audit.on, view.on)) : ''}
        </span>
        {isHung && compartment.colony && (
          <span className="flex shrink-0 gap-1">
            {isComb && (
              <button
                type="button"
                aria-label={`Look through ${name}`}
                className="button min-h-11 px-2"
                onClick={() => (onChoose ? onChoose(slot.slot) : setOpen('audit'))}
              >
                Look
              </button>
            )}
            <button
              type="button"
              aria-label={`Turn ${name} round`}
              className="button hidden min-h-11 px-2 font-normal sm:inline-flex"
              onClick={() =>
                void log(`${name} turned round`, [
                  draft('framesMoved', { moves: turned(place), purpose: 'other' }),
                ])
              }
            >
              Turn
            </button>
            <button
              type="button"
              aria-label={`Out: ${name}`}
              className="button min-h-11 px-2 font-normal"
              onClick={() => setOpen('out')}
            >
              Out
            </button>
          </span>
        )}
      </div>
      {advice && (
        <p className="pb-1 pl-14">
          <strong>{verdictWords[advice.verdict]}:</strong> {say(advice.reason)}
        </p>
      )}
      {open === 'audit' && (
        <AuditForm boxView={boxView} compartment={compartment} slot={slot} slots={slots} onDone={close} />
      )}
      {open === 'out' && (
        <OutForm
          view={view}
          place={place}
          name={name}
          usual={advice ? 'reduce' : compartment.role === 'donor' ? 'graft' : 'show'}
          onDone={close}
        />
      )}
    </li>
  );
}

import { motherDoubt, showDay, statusLine } from '@yellow-cell/core';
import { lazy, Suspense, useState } from 'react';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';
import { Later } from '../parts/Later.tsx';
import { Actions } from './Actions.tsx';
import { BeforeYouOpen } from './BeforeYouOpen.tsx';
import { DueLine } from './DueLine.tsx';
import { History } from './History.tsx';
import { NoteForm } from './NoteForm.tsx';
import { QueenLines } from './QueenLines.tsx';
import { RoomFacts } from './RoomFacts.tsx';
import { RoomIcon } from './RoomIcon.tsx';
import { Timeline } from './Timeline.tsx';
import { useChoice } from './useChoice.ts';
import type { BoxView, CompartmentView, YardView } from './useYard.ts';

// What is told at each step comes when a room is opened, not with the map.
const RoomRuns = lazy(async () => ({ default: (await import('../playbooks/RoomRuns.tsx')).RoomRuns }));

// Drawn once the room is there: the map needs none of it.
const Strength = lazy(async () => ({ default: (await import('./Strength.tsx')).Strength }));

interface CompartmentSlipProps {
  view: YardView;
  boxView: BoxView;
  compartment: CompartmentView;
}

/** One compartment: what it is, what is due and why, what to do next. */
export function CompartmentSlip({ view, boxView, compartment }: CompartmentSlipProps) {
  const say = useSay();
  const { box, designName } = boxView;
  const { colony, attempt, first } = compartment;
  const { on, isToday, isPast } = useAsOf();
  const { choose } = useChoice();
  const [correcting, setCorrecting] = useState(false);
  const round = attempt?.round === undefined ? undefined : view.state.rounds.get(attempt.round);
  const doubt = attempt && motherDoubt(attempt, round, view.constants);
  const title = `${box.label} ${compartment.name}`;
  return (
    <>
      <h2 className="text-xl">
        <button type="button" className="hover:underline" onClick={() => choose(box.id)}>
          {box.label}
        </button>{' '}
        · {compartment.name}
      </h2>
      <p className="text-soft">
        {designName}
        {box.place ? `, stand ${box.place.stand}` : ''}
        {round ? ` · queen from round ${round.number}, donor “${round.donor}”` : ''}
      </p>
      <p className="mt-2 flex items-center gap-2 text-base">
        <RoomIcon room={compartment} size={22} />
        <strong>{say(statusLine(compartment, on))}</strong>
      </p>
      {compartment.assumed && (
        <p className="text-soft">Assumed: what is expected until then happens, and on its day.</p>
      )}
      {doubt && <p className="mt-1 text-danger">Mother uncertain. {doubt}</p>}
      <Later>
        {attempt && (
          <Timeline
            attempt={attempt}
            compartment={compartment}
            weather={view.weather}
            constants={view.constants}
            on={on}
          />
        )}
        {first && (
          <div className="mt-2 border-y border-hairline py-2.5">
            <DueLine boxView={boxView} compartment={compartment} work={first} title={title} />
          </div>
        )}
        {isToday || correcting ? (
          <>
            {correcting && !isToday && (
              <p className="mt-3 rounded bg-glow px-2 py-1">
                What you enter now is dated the end of {say(showDay(on))}.
              </p>
            )}
            <Actions view={view} boxView={boxView} compartment={compartment} title={title} />
            <NoteForm box={box.id} colony={colony?.id} title={title} />
          </>
        ) : (
          <p className="mt-3 text-soft">
            {isPast
              ? 'The past is shown as it was.'
              : 'This is what is expected by then; nothing can be entered ahead.'}{' '}
            {isPast && (
              <button type="button" className="font-semibold underline" onClick={() => setCorrecting(true)}>
                Correct this day
              </button>
            )}
          </p>
        )}
        <Suspense>
          <Strength view={view} boxView={boxView} compartment={compartment} />
        </Suspense>
        {isToday && (
          <Suspense>
            <RoomRuns view={view} boxView={boxView} compartment={compartment} />
          </Suspense>
        )}
        <QueenLines compartment={compartment} on={on} />
        <BeforeYouOpen view={view} boxView={boxView} compartment={compartment} />
        <RoomFacts view={view} boxView={boxView} compartment={compartment} />
        <History view={view} box={box.id} colony={colony?.id} />
      </Later>
    </>
  );
}

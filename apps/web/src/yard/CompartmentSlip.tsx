import {
  clockBySun,
  compassPoint,
  confidenceWords,
  countOf,
  feedWords,
  listOf,
  mayBeOut,
  motherDoubt,
  restsUntil,
  roleName,
  showDay,
  sideBearing,
  statusLine,
  sunset,
  troubleWords,
} from '@yellow-cell/core';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';
import { Said } from '../parts/Said.tsx';
import { Actions } from './Actions.tsx';
import { DueLine } from './DueLine.tsx';
import { History } from './History.tsx';
import { NoteForm } from './NoteForm.tsx';
import { QueenLines } from './QueenLines.tsx';
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
  const { box, designName, model } = boxView;
  const { colony, attempt, first } = compartment;
  const { on, isToday, isPast } = useAsOf();
  const { choose } = useChoice();
  const [correcting, setCorrecting] = useState(false);
  const round = attempt?.round === undefined ? undefined : view.state.rounds.get(attempt.round);
  const rested = colony && restsUntil(colony, view.constants);
  const doubt = attempt && motherDoubt(attempt, round, view.constants);
  const title = `${box.label} ${compartment.name}`;
  const entrances = model.compartments[compartment.position]?.entrances ?? [];
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
      <h3 className="eyebrow">In it</h3>
      <dl>
        <Fact name="Frames">
          <Link className="underline" to={`/yard/${view.yard.id}/frames?box=${box.id}`}>
            {compartment.frames}, one by one
          </Link>
        </Fact>
        {colony?.strength && (
          <Fact name="Strength">
            {countOf(colony.strength.seams, 'seam')}, {say(showDay(colony.strength.on, on))}
          </Fact>
        )}
        {colony?.broodSeen && (
          <Fact name="Brood">
            on {countOf(colony.broodSeen.frames, 'frame')}, {say(showDay(colony.broodSeen.on, on))}
          </Fact>
        )}
        {colony?.fed && (
          <Fact name="Fed">
            <Said>{colony.fed.amount_kg} kg</Said> of {feedWords[colony.fed.feed]},{' '}
            {say(showDay(colony.fed.on, on))}
          </Fact>
        )}
        {compartment.role !== 'empty' && <Fact name="Serves as">{roleName(compartment.role)}</Fact>}
        {(colony ?? compartment.left)?.strips?.map(({ id, product, outBy }) => (
          <Fact key={id} name={product}>
            out by {say(showDay(outBy, on))}
          </Fact>
        ))}
        {colony?.troubles?.map(({ trouble, on: since }) => (
          <Fact key={trouble} name="Trouble">
            {troubleWords[trouble]}, {say(showDay(since, on))}
          </Fact>
        ))}
        {colony?.suspicions?.map(({ id, what, confidence }) => (
          <Fact key={id} name="Suspected">
            {what}
            {confidence ? `, ${confidenceWords[confidence]}` : ''}
          </Fact>
        ))}
        {colony?.outing && <Fact name="Out at">{colony.outing.place}</Fact>}
        {colony?.gaveOn && rested && (
          <Fact name="Gave frames">
            {say(showDay(colony.gaveOn, on))}, again from {say(showDay(rested, on))}
          </Fact>
        )}
        {colony && <Fact name="Stocked">{say(showDay(colony.stockedOn, on))}</Fact>}
        {attempt && attempt.patterns.length > 0 && (
          <Fact name="Pattern">
            {attempt.patterns.map(({ pattern_pct }) => `${pattern_pct} %`).join(', ')}
          </Fact>
        )}
        {box.place &&
          entrances.map(({ id, opening: { side, state, height } }) => (
            <Fact key={id} name="Entrance">
              {side}
              {heightWord(entrances, side, height.mm)}, {state === 'open' ? '' : `${state}, `}flies{' '}
              {compassPoint(sideBearing(box.place?.bearing_deg ?? 0, side))}
            </Fact>
          ))}
      </dl>
      <History view={view} box={box.id} colony={colony?.id} />
    </>
  );
}

/** Two entrances of one side are told apart by which is the higher. */
function heightWord(
  entrances: readonly { opening: { side: string; height: { mm: number } } }[],
  side: string,
  height_mm: number,
): string {
  const same = entrances.filter(({ opening }) => opening.side === side);
  if (same.length < 2) return '';
  return same.some(({ opening }) => opening.height.mm < height_mm) ? ' high' : ' low';
}

function Fact({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div className="row-line">
      <dt>{name}</dt>
      <dd className="text-right text-soft">{children}</dd>
    </div>
  );
}

/** The cautions of opening, short, with the neighbours' names. */
function BeforeYouOpen({ view, boxView: { compartments }, compartment }: CompartmentSlipProps) {
  const { on, yard } = view;
  const sets = sunset(on, yard);
  const neighbours = compartments.filter(({ position }) => Math.abs(position - compartment.position) === 1);
  const virgins = compartments.filter((each) => mayBeOut(each, on, view.constants));
  const confined = compartment.role === 'donor' && compartment.queens.length > 0;
  return (
    <>
      <h3 className="eyebrow">Before you open</h3>
      <p className="text-soft">
        Veil and gloves; whoever has reacted to stings before keeps away or works under a doctor’s advice.{' '}
        {neighbours.length > 0 &&
          `One compartment at a time: keep ${listOf(neighbours.map(({ name }) => name))} covered, and look under the lid for the queen. `}
        {virgins.length > 0 &&
          `Not between 11 and 17 h by the sun (${clockBySun(on, 11, yard)} to ${clockBySun(on, 17, yard)} by the clock) in flying weather: ${listOf(virgins.map(({ name }) => name))} may have a virgin out. `}
        {confined && 'Before you close: the queen is known to be on her side. '}
        {sets && `Dusk: the sun sets at ${sets}. `}
      </p>
    </>
  );
}

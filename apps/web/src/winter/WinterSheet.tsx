import { useSuspenseQuery } from '@tanstack/react-query';
import type { WinterAct, Yard } from '@yellow-cell/contract';
import {
  type AutumnLine,
  capital,
  countOf,
  prepareRoom,
  roomName,
  showDay,
  winterWork,
} from '@yellow-cell/core';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { yardsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { Said } from '../parts/Said.tsx';
import { RoomIcon } from '../yard/RoomIcon.tsx';
import { useWarned } from '../yard/useWarned.tsx';
import { usualArrangement, warmSideOf } from './arrangement.ts';
import { CombStrip } from './CombStrip.tsx';
import { FeedAndStrips } from './FeedAndStrips.tsx';
import { doneAsPlanned } from './plan.ts';
import { TickBox } from './TickBox.tsx';
import { useWinter, type WinterView } from './useWinter.ts';
import { useWinterAddress } from './useWinterAddress.ts';

/** All that is planned of a yard's winter in walking order, on paper and on the phone: each room before and after, to be ticked. */
export function WinterSheet() {
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const [params] = useSearchParams();
  const yard = yards.find(({ id }) => id === params.get('yard')) ?? yards[0];
  return yard ? <Sheet key={yard.id} yard={yard} /> : <p className="p-6">There is no yard yet.</p>;
}

/** Where a room is opened (handbook 6): from the lid down, one at a time. */
const OPENING = [
  'underside of the lid looked at: is she on it?',
  'neighbour covered, one room open',
] as const;
/** The short check (requirement 63), of all. */
const SHORT_CHECK = [
  'strips out',
  'floor swept, entrance reduced, mouse guard',
  'closed tight, weight or strap, tilted to the front',
] as const;

function Sheet({ yard }: { yard: Yard }) {
  const say = useSay();
  const winter = useWinter(yard);
  const address = useWinterAddress();
  const planned = winter.lines.filter(({ plan }) => plan && !plan.preparedOn);
  const sugar_kg = planned.reduce(
    (sum, { plan }) => sum + Math.max(0, (plan?.sugar_kg ?? 0) - (plan?.fed_kg ?? 0)),
    0,
  );
  return (
    <main className="h-full overflow-y-auto bg-sheet px-5 py-4">
      <div className="mx-auto max-w-4xl">
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1 className="text-xl">Winter sheet, {yard.name}</h1>
          <Link className="no-print inline-flex min-h-11 items-center underline" to={address.winter(yard.id)}>
            Back to Winter
          </Link>
          <button type="button" className="button no-print ml-auto" onClick={() => window.print()}>
            Print
          </button>
        </div>
        <p className="text-soft">
          {say(
            `${countOf(planned.length, 'colony', 'colonies')} to be prepared, ${showDay(winter.view.on)}${sugar_kg < 0.05 ? '' : `; ${sugar_kg.toFixed(1)} kg of sugar to be fed`}.`,
          )}
        </p>
        {planned.length === 0 && (
          <p className="mt-3">
            Nothing is planned, or all of it is done. Plan colonies in Winter, one by one or the whole yard.
          </p>
        )}
        <ol>
          {planned.map((line) => (
            <Card key={`${line.box.box.id} ${line.room.position}`} winter={winter} line={line} />
          ))}
        </ol>
        <FeedAndStrips winter={winter} />
        <p className="mt-4 text-sm text-soft">
          Veil, gloves, a second person for what is heavy:{' '}
          <Said>two over {winter.view.constants.liftAlone_kg} kg.</Said> Vapours with a mask, by label and
          local rules.
        </p>
      </div>
    </main>
  );
}

function Card({ winter, line }: { winter: WinterView; line: AutumnLine }) {
  const say = useSay();
  const { view, season } = winter;
  const { send, asking } = useWarned(view);
  const { plan, box, room, seams, stores_kg } = line;
  const preparation = useMemo(() => {
    const usual = usualArrangement(line, warmSideOf(view, line, season.on), season.constants);
    const arrangement = plan?.room ? { ...usual, ...plan.room, kept: plan.room.keeps } : usual;
    return plan?.room && prepareRoom(view.state, box, room, { seams, stores_kg }, arrangement, season);
  }, [view, line, season, plan, box, room, seams, stores_kg]);
  if (!plan) return null;
  const drafts = doneAsPlanned(winter, line);
  const left_kg = plan.sugar_kg - plan.fed_kg;
  const kept = (preparation?.frames ?? [])
    .filter(({ to }) => to !== null)
    .sort((a, b) => (a.to ?? 0) - (b.to ?? 0));
  return (
    <li className="mt-4 break-inside-avoid border-t-2 border-ink pt-2">
      <h2 className="flex flex-wrap items-baseline gap-x-3 text-lg">
        <span className="inline-flex items-center gap-2">
          <RoomIcon room={room} size={16} /> {roomName(line)}
        </span>
        <span className="text-base font-normal">
          {say(capital(winterWork(plan)) || (plan.act === 'leave' ? 'Left alone' : 'Fed alone'))}
          {plan.by ? say(`, by ${showDay(plan.by, view.on)}`) : ''}
        </span>
      </h2>
      {plan.reason && <p className="text-sm text-soft">“{plan.reason}”</p>}
      <div className="mt-1 grid gap-x-6 gap-y-2 sm:grid-cols-2">
        {preparation && (
          <div className="grid grid-cols-2 gap-3">
            <Column
              title="As it is"
              frames={preparation.frames.map((frame) => ({ frame, out: frame.to === null }))}
            />
            <Column title="For winter" after frames={kept.map((frame) => ({ frame, out: false }))} />
          </div>
        )}
        <ul>
          {left_kg >= 0.1 && (
            <Tick>{say(`${left_kg.toFixed(1)} kg of sugar fed, the feeder over the bees`)}</Tick>
          )}
          {plan.room?.follower && (
            <Tick>
              {say(
                `follower at the ${plan.room.end === 'left' ? 'right' : 'left'} of them${plan.room.insulation_mm > 0 ? `, ${plan.room.insulation_mm} mm of insulation behind it` : ''}`,
              )}
            </Tick>
          )}
          {(opens(plan.act) ? [...OPENING, ...SHORT_CHECK] : SHORT_CHECK).map((each) => (
            <Tick key={each}>{each}</Tick>
          ))}
        </ul>
      </div>
      {asking}
      {'why' in drafts ? (
        <p className="text-sm">{drafts.why}</p>
      ) : (
        <button
          type="button"
          className="button no-print mt-1"
          onClick={() => void send(`${roomName(line)}: prepared for winter`, drafts)}
        >
          {roomName(line)}: done as planned
        </button>
      )}
    </li>
  );
}

const opens = (act: WinterAct): boolean => act !== 'leave' && act !== 'feed';

const Tick = ({ children }: { children: string }) => (
  <li className="flex items-baseline gap-2">
    <TickBox /> {children}
  </li>
);

type Prepared = NonNullable<ReturnType<typeof prepareRoom>>['frames'][number];

/** Frames of a room from the left, small: numbered as they hang now, those that come out crossed out. */
function Column({
  title,
  frames,
  after = false,
}: {
  title: string;
  frames: readonly { frame: Prepared; out: boolean }[];
  /** True of the room as it will be: what is turned is shown turned. */
  after?: boolean;
}) {
  return (
    <div>
      <p className="text-sm font-semibold">{title}</p>
      <ol>
        {frames.map(({ frame: { slot, turned }, out }) => {
          const sides = slot.frame?.audit?.sides;
          return (
            <li key={slot.slot} className={`mb-0.5 flex items-center gap-1.5 ${out ? 'opacity-60' : ''}`}>
              <span className={`w-9 shrink-0 text-right text-sm ${out ? 'line-through' : 'font-semibold'}`}>
                {turned && after ? '↻ ' : ''}
                {slot.number}
              </span>
              <CombStrip
                sides={sides && turned && after ? [sides[1], sides[0]] : sides}
                label={`Frame ${slot.number}${out ? ', comes out' : ''}`}
              />
            </li>
          );
        })}
      </ol>
    </div>
  );
}

import {
  cellsToWords,
  countOf,
  isAhead,
  type RoundView,
  roundSteps,
  showDay,
  showWindow,
} from '@yellow-cell/core';
import { X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { Delivery } from '../app/outbox.ts';
import { useSay } from '../app/units.ts';
import { type Draft, draft, useLog } from '../app/useLog.ts';
import { Bars } from './Bars.tsx';
import { GiveIn } from './GiveIn.tsx';
import { GraftWindow } from './GraftWindow.tsx';
import { Incubator } from './Incubator.tsx';
import { IncubatorForm } from './IncubatorForm.tsx';
import { planMoved } from './planMoved.ts';
import { CarryForm, CountForm, DayForm } from './RoundForms.tsx';
import { StartIn } from './StartIn.tsx';
import { useIncubator } from './useIncubator.ts';
import type { Rearing } from './useRearing.ts';

type Asked = 'graft' | 'day' | 'count' | 'move' | 'start' | 'incubator';

/** A round from its drones to its last queen: what is done, what is next, and the entries that it asks for. */
export function RoundSlip({
  rearing,
  view,
  onClose,
}: {
  rearing: Rearing;
  view: RoundView;
  onClose: () => void;
}) {
  const say = useSay();
  const log = useLog();
  const [asked, setAsked] = useState<Asked>();
  const [refused, setRefused] = useState<string>();
  const head = useRef<HTMLDivElement>(null);
  // On a phone the slip stands above the list that it was chosen from.
  useEffect(() => {
    // Newer browsers give a promise, which is no way to clean up.
    head.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const { round, queens, open, outcome } = view;
  const { today, ripe } = rearing;
  const plan = round.planned ? undefined : round.plan;
  const watch = useIncubator(rearing)(view);
  const rooms = ripe.find((each) => each.round.id === round.id);
  const send = async (title: string, drafts: readonly Draft[]) => {
    const delivery: Delivery = await log(`Round ${round.number}: ${title}`, drafts);
    setRefused(delivery.state === 'refused' ? delivery.problems[0]?.sentence : undefined);
    if (delivery.state !== 'refused') setAsked(undefined);
  };
  return (
    <>
      <div ref={head} className="flex items-start justify-between">
        <h2 className="text-xl">
          Round {round.number} · {view.missed ? 'not grafted' : round.planned ? 'planned' : 'grafted'}
        </h2>
        <button type="button" aria-label="Close the slip" className="p-2" onClick={onClose}>
          <X size={18} aria-hidden />
        </button>
      </div>
      <p className="text-soft">
        {say(showDay(round.graftedOn, today))}, donor “{round.donor}”
        {plan && (plan.graftOn !== round.graftedOn || plan.grafts !== round.grafts)
          ? `; planned for ${say(showDay(plan.graftOn, today))}, ${countOf(plan.grafts, 'graft')}`
          : ''}
      </p>
      {view.missed && (
        <p className="mt-2 rounded border-2 border-danger px-2 py-1">
          It was planned for {say(showDay(round.graftedOn, today))}, and nothing is told of its graft: its
          cells count nowhere. Graft it, move it to another day, or drop it.
        </p>
      )}
      <Bars view={view} today={today} />
      {refused && (
        <p role="alert" className="mt-2 text-danger">
          {say(refused)}
        </p>
      )}
      <div className="mt-3 grid gap-2">
        {asked === undefined && (
          <>
            {round.planned && <Main name="Grafted today…" onPress={() => setAsked('graft')} />}
            {round.planned && (
              <button
                type="button"
                className="button min-h-11"
                onClick={() =>
                  void send('drawn comb to the donor', [draft('combToDonor', { round: round.id })])
                }
              >
                {round.comb ? 'Another comb to the donor now' : 'Drawn comb to the donor now'}
              </button>
            )}
            {!round.accepted && (
              <button type="button" className="button min-h-11" onClick={() => setAsked('start')}>
                Start them step by step…
              </button>
            )}
            {round.planned && (
              <button type="button" className="button min-h-11" onClick={() => setAsked('day')}>
                Another day…
              </button>
            )}
            {round.planned && (
              <button
                type="button"
                className="button min-h-11 font-normal"
                onClick={() =>
                  void send('plan dropped', [draft('roundDropped', { round: round.id })]).then(onClose)
                }
              >
                Drop the plan
              </button>
            )}
            {!round.planned && !round.accepted && (
              <Main name="Count what is taken on…" onPress={() => setAsked('count')} />
            )}
            {round.accepted && (
              <>
                <button type="button" className="button min-h-11" onClick={() => setAsked('move')}>
                  Cells carried on…
                </button>
                <button
                  type="button"
                  className="button min-h-11 font-normal"
                  onClick={() => setAsked('count')}
                >
                  Count again…
                </button>
              </>
            )}
          </>
        )}
        {asked === 'graft' && (
          <CountForm
            label="Larvae grafted"
            usual={round.grafts}
            most={1_000}
            save="Grafted"
            onCancel={() => setAsked(undefined)}
            onSave={(grafts) => {
              const { id, number, donor, donorQueen } = round;
              return send(`${countOf(grafts, 'graft')}`, [
                draft('grafted', { round: id, number, donor, grafts, ...(donorQueen ? { donorQueen } : {}) }),
              ]);
            }}
          />
        )}
        {asked === 'day' && (
          <DayForm
            round={round}
            today={today}
            onCancel={() => setAsked(undefined)}
            onSave={(graftOn) =>
              send(`moved to ${say(showDay(graftOn, today))}`, [planMoved(round, graftOn)])
            }
          />
        )}
        {asked === 'start' && (
          <>
            <StartIn round={round} />
            <button type="button" className="button min-h-11" onClick={() => setAsked(undefined)}>
              Cancel
            </button>
          </>
        )}
        {asked === 'count' && (
          <CountForm
            label="Cells taken on"
            usual={round.accepted?.cells}
            most={round.grafts}
            save="Counted"
            onCancel={() => setAsked(undefined)}
            onSave={(accepted) =>
              send(`${countOf(accepted, 'cell')} taken on`, [
                draft('cellsAccepted', { round: round.id, accepted }),
              ])
            }
          />
        )}
        {asked === 'incubator' && (
          <IncubatorForm round={round.id} send={send} onCancel={() => setAsked(undefined)} />
        )}
        {asked === 'move' && (
          <CarryForm
            round={round}
            given={outcome?.given ?? 0}
            finisherMost={rearing.constants.finisherMost}
            onCancel={() => setAsked(undefined)}
            send={send}
          />
        )}
      </div>
      <GiveIn view={view} today={today} />
      {watch && (
        <>
          <Incubator watch={watch} />
          {asked === undefined && (
            <button
              type="button"
              className="min-h-11 text-sm underline max-sm:min-h-12"
              onClick={() => setAsked('incubator')}
            >
              Read it yourself…
            </button>
          )}
        </>
      )}
      {round.planned && <GraftWindow round={round} />}
      {round.planned && !round.comb && view.days.donorComb < today && (
        <p className="mt-3 rounded bg-glow px-2 py-1">
          For this graft the donor’s comb had to be given on {say(showDay(view.days.donorComb, today))}: only
          if it was, there are larvae of the right age.
        </p>
      )}
      {rooms && rooms.over > 0 && (
        <p className="mt-3 rounded border-2 border-danger px-2 py-1">
          On {say(showDay(rooms.on, today))} {countOf(rooms.cells, 'cell is', 'cells are')} ripe and{' '}
          {countOf(rooms.free, 'room is', 'rooms are')} free: {rooms.over} find none. They can hatch in an
          incubator, or go to others.
        </p>
      )}
      {outcome && (
        <p className="mt-3">
          {countOf(outcome.given, 'cell')} given: {countOf(queens, 'queen')} laying or taken, {outcome.misses}{' '}
          missed, {open} open.
        </p>
      )}
      <h3 className="eyebrow">Day by day</h3>
      <ol>
        {roundSteps(view).map((step) => {
          const { title, from, to, detail, asks } = step;
          const overdue = asks && to < today && isAhead(step, today);
          const past = to < today && !overdue;
          const now = from <= today && !past;
          return (
            <li
              key={title}
              className={`border-b border-hairline py-2 ${now ? '-mx-2 rounded bg-glow px-2' : ''}`}
            >
              <p className="flex justify-between gap-3">
                <strong className={past ? 'text-soft' : ''}>{title}</strong>
                <span className={past ? 'text-soft' : overdue ? 'font-semibold text-danger' : ''}>
                  {overdue ? 'overdue since ' : ''}
                  {say(showWindow(from, to, today))}
                </span>
              </p>
              <p className="text-sm text-soft">{say(detail)}</p>
            </li>
          );
        })}
      </ol>
      {(round.moved ?? []).length > 0 && (
        <>
          <h3 className="eyebrow">Cells carried on</h3>
          <ul>
            {(round.moved ?? []).map(({ on, cells, to, where }, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: told in this order, and never out of it
              <li key={index} className="row-line">
                <span>
                  {countOf(cells, 'cell')} {cellsToWords[to]}
                  {where ? `, ${where}` : ''}
                </span>
                <span className="text-soft">{say(showDay(on, today))}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

const Main = ({ name, onPress }: { name: string; onPress: () => void }) => (
  <button type="button" className="button button-main min-h-12" onClick={onPress}>
    {name}
  </button>
);

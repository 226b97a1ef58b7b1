import type { Run } from '@yellow-cell/contract';
import { countOf, openSteps, playbooks, progressOf, showDay, showTime, slugOf } from '@yellow-cell/core';
import { Bell, Printer } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';
import { useJustKept } from '../yard/useJustKept.ts';
import type { BoxView, YardView } from '../yard/useYard.ts';
import { Ending } from './Ending.tsx';
import { StepCard } from './StepCard.tsx';
import { StepLine } from './StepLine.tsx';
import { RunTowards } from './TowardsDay.tsx';
import { useNow } from './useNow.ts';

/** One playbook in a room: its present step, what comes round again, and all the others. */
export function Led({ view, boxView, run }: { view: YardView; boxView: BoxView; run: Run }) {
  const say = useSay();
  const now = useNow();
  const { isToday } = useAsOf();
  const { justKept, keep } = useJustKept();
  const { title, why, steps: all } = playbooks[run.playbook];
  const steps = progressOf(run, view.constants);
  const open = openSteps(run, view.constants);
  const room =
    boxView.compartments.find(({ bays }) => bays.some((bay) => run.bays.includes(bay))) ??
    boxView.compartments[0];
  if (!room) return null;
  const last = lastTold(run);
  const done = steps.filter(({ is }) => is === 'done' || is === 'skipped').length;
  return (
    <main className="h-full overflow-y-auto bg-sheet px-4 py-3 sm:px-5 print:h-auto print:overflow-visible">
      <div className="mx-auto max-w-5xl">
        <div className="flex flex-wrap items-baseline gap-x-4">
          <h1 className="text-xl">{title}</h1>
          <Link
            className="font-semibold underline"
            to={`/yard/${view.yard.id}?box=${boxView.box.id}&bay=${room.bays[0] ?? ''}`}
          >
            {boxView.box.label} {room.name}
          </Link>
          <span className="text-soft">
            begun {say(showDay(run.begun.on, view.on))} at {showTime(run.begun.at, run.begun.zone)}
            {run.cells ? `, for ${countOf(run.cells, 'cell')}` : ''} · {done} of {all.length}
          </span>
          <span className="no-print ml-auto flex gap-2">
            <TellMe />
            <Link className="button min-h-11" to={`/guide#${slugOf(title)}`}>
              Guide
            </Link>
            <button
              type="button"
              className="button hidden min-h-11 sm:inline-flex"
              onClick={() => window.print()}
            >
              <Printer size={17} aria-hidden /> Print
            </button>
          </span>
        </div>
        <p className="mb-2 hidden text-soft sm:block">{why}</p>
        {isToday && <RunTowards view={view} boxView={boxView} run={run} now={now} />}
        <div className="grid gap-5 lg:grid-cols-[3fr_2fr]">
          <div>
            {!isToday && <p className="py-2">As it stood on this day. Steps are entered today: press T.</p>}
            {(isToday ? open : []).map((progress) => (
              <StepCard
                key={progress.step.id}
                view={view}
                boxView={boxView}
                room={room}
                run={run}
                progress={progress}
                now={now}
                large={progress.is === 'now'}
                inert={justKept !== undefined}
                onTicked={() => keep(progress.step.title)}
              />
            ))}
            {isToday && (
              <Ending
                view={view}
                boxView={boxView}
                run={run}
                left={steps.filter(({ is }) => is === 'now').length}
              />
            )}
          </div>
          <section aria-label="All steps">
            <h2 className="eyebrow">All steps</h2>
            <ol>
              {steps.map((progress, index) => (
                <StepLine
                  key={progress.step.id}
                  number={index + 1}
                  boxView={boxView}
                  run={run}
                  progress={progress}
                  now={now}
                  isLast={progress.step.id === last}
                />
              ))}
            </ol>
          </section>
        </div>
      </div>
    </main>
  );
}

/** The step that was told last. */
const lastTold = ({ steps }: Run): string | undefined =>
  Object.entries(steps).reduce<[string, string] | undefined>(
    (last, [id, { at }]) => (last && last[1] > at ? last : [id, at]),
    undefined,
  )?.[0];

/** The browser asks whether it may; without it, page and title tell. */
function TellMe() {
  const [asked, setAsked] = useState(() => ('Notification' in window ? Notification.permission : 'denied'));
  if (asked !== 'default') return null;
  return (
    <button
      type="button"
      className="button min-h-11"
      onClick={() => void Notification.requestPermission().then(setAsked)}
    >
      <Bell size={17} aria-hidden /> Tell me when it is time
    </button>
  );
}

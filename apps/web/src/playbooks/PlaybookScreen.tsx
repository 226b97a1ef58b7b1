import { useSuspenseQuery } from '@tanstack/react-query';
import type { Run, Yard } from '@yellow-cell/contract';
import {
  openSteps,
  playbooks,
  progressOf,
  type StepProgress,
  showDay,
  showTime,
  slugOf,
} from '@yellow-cell/core';
import { Bell, Check, Circle, Minus, Printer, RotateCw } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useAsOf } from '../app/now.ts';
import { yardsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { draft, useLog, withdrawal } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';
import { useJustKept } from '../yard/useJustKept.ts';
import { type BoxView, useYard, type YardView } from '../yard/useYard.ts';
import { clockWords } from './clockWords.ts';
import { StepCard } from './StepCard.tsx';
import { useNow } from './useNow.ts';

/** A playbook as it is worked through: the present step large, what comes round again, and all the others. */
export function PlaybookScreen() {
  const { yard: wanted } = useParams();
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const yard = yards.find(({ id }) => id === wanted);
  return yard ? <InYard yard={yard} /> : <p className="p-6">There is no such yard.</p>;
}

function InYard({ yard }: { yard: Yard }) {
  const { box: wanted, run: id } = useParams();
  const view = useYard(yard, wanted);
  const boxView = view.boxes.find(({ box }) => box.id === wanted);
  const run = boxView?.box.runs?.find((each) => each.id === id);
  if (!boxView || !run)
    return (
      <p className="p-6">
        Nothing of the kind was begun there, or it was taken back.{' '}
        <Link className="underline" to={`/yard/${yard.id}`}>
          To the yard
        </Link>
      </p>
    );
  return <Led key={run.id} view={view} boxView={boxView} run={run} />;
}

function Led({ view, boxView, run }: { view: YardView; boxView: BoxView; run: Run }) {
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
            {run.cells ? `, for ${run.cells} cells` : ''} · {done} of {all.length}
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

const ICONS = { done: Check, skipped: Minus, now: Circle, later: Circle } as const;

function StepLine({
  number,
  boxView,
  run,
  progress,
  now,
  isLast,
}: {
  number: number;
  boxView: BoxView;
  run: Run;
  progress: StepProgress;
  now: string;
  /** What was told last can be taken back; what others stand on, only after them. */
  isLast: boolean;
}) {
  const say = useSay();
  const log = useLog();
  const { isToday } = useAsOf();
  const { step, is } = progress;
  const told = run.steps[step.id];
  const Icon = step.every && is !== 'skipped' ? RotateCw : ICONS[is];
  const clock = told ? undefined : clockWords(progress, now, run.begun.zone);
  return (
    <li
      aria-current={is === 'now' ? 'step' : undefined}
      className={`flex items-start gap-2 border-b border-hairline py-1.5 ${is === 'now' ? 'font-semibold' : is === 'later' ? '' : 'text-soft'}`}
    >
      <Icon size={17} className="mt-1 shrink-0" aria-hidden />
      <span className="min-w-0 flex-1">
        {number}. {step.title}
        {told && (
          <span className="block text-sm font-normal">
            {told.skipped === undefined ? 'Done' : `Left out: ${told.skipped}`},{' '}
            {say(`${showTime(told.at, told.zone)}, ${showDay(told.on, now.slice(0, 10))}`)}
          </span>
        )}
        {clock && <span className="block text-sm font-normal">{say(clock)}</span>}
      </span>
      {told && isLast && !run.ended && isToday && (
        <button
          type="button"
          className="no-print min-h-11 shrink-0 px-1 text-sm font-normal underline"
          aria-label={`Take back: ${step.title}`}
          onClick={() =>
            void log(
              `${boxView.box.label}: ${step.title}, taken back`,
              [told.entry, ...(told.facts ?? [])].reverse().map(withdrawal),
            )
          }
        >
          Take back
        </button>
      )}
    </li>
  );
}

/** The end: once every step is done, or before it, with the reason. */
function Ending({ view, boxView, run, left }: { view: YardView; boxView: BoxView; run: Run; left: number }) {
  const say = useSay();
  const log = useLog();
  const [giving, setGiving] = useState(false);
  const [reason, setReason] = useState('');
  const { title } = playbooks[run.playbook];
  const end = (done: boolean) =>
    log(`${boxView.box.label}: ${title}, ${done ? 'done' : 'given up'}`, [
      draft('playbookEnded', {
        box: boxView.box.id,
        run: run.id,
        done,
        ...(reason.trim() ? { reason: reason.trim() } : {}),
      }),
    ]);
  if (run.ended)
    return (
      <p className="rounded-lg border border-hairline p-3" role="status">
        <strong>{run.ended.done ? 'Worked to its end' : 'Given up'}</strong>,{' '}
        {say(showDay(run.ended.on, view.on))}
        {run.ended.reason ? `: ${run.ended.reason}` : ''}. It stays in the record of {boxView.box.label}.
      </p>
    );
  if (left === 0)
    return (
      <button
        type="button"
        className="button button-main no-print mt-3 min-h-12 w-full"
        onClick={() => void end(true)}
      >
        All is done: end it
      </button>
    );
  return giving ? (
    <form
      className="no-print mt-3 rounded-lg border border-hairline p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') void end(false);
      }}
    >
      <TextField
        label="Why it is given up"
        value={reason}
        maxLength={300}
        onChange={({ target }) => setReason(target.value)}
      />
      <div className="flex gap-2">
        <button type="submit" className="button min-h-11" disabled={reason.trim() === ''}>
          Give it up
        </button>
        <button type="button" className="button min-h-11" onClick={() => setGiving(false)}>
          Back
        </button>
      </div>
    </form>
  ) : (
    <button
      type="button"
      className="no-print mt-3 min-h-11 text-soft underline"
      onClick={() => setGiving(true)}
    >
      Give it up…
    </button>
  );
}

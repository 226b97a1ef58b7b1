import type { Run } from '@yellow-cell/contract';
import { type StepProgress, showDay, showTime } from '@yellow-cell/core';
import { Check, Circle, Minus, RotateCw } from 'lucide-react';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';
import { useLog, withdrawal } from '../app/useLog.ts';
import type { BoxView } from '../yard/useYard.ts';
import { clockWords } from './clockWords.ts';

const ICONS = { done: Check, skipped: Minus, now: Circle, later: Circle } as const;

/** A step in the list of all: done, left out, or when it will be. */
export function StepLine({
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

import { isAhead, roundSteps, showWindow } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import type { Rearing } from './useRearing.ts';

const SHOWN = 14;

/** What is next of all rounds, by its day: on a phone this is the season. */
export function NextList({
  rearing: { views, today },
  onChoose,
}: {
  rearing: Rearing;
  onChoose: (round: string) => void;
}) {
  const say = useSay();
  const next = views
    .flatMap((view) => roundSteps(view).map((step) => ({ view, step })))
    .filter(({ step }) => isAhead(step, today))
    .sort((a, b) => (a.step.from < b.step.from ? -1 : 1))
    .slice(0, SHOWN);
  return (
    <section aria-label="What is next" className="px-5 pb-8">
      <h2 className="eyebrow">What is next</h2>
      <ol className="grid gap-x-8 lg:grid-cols-2">
        {next.map(({ view: { round }, step }) => (
          <li key={`${round.id} ${step.title}`} className="border-b border-hairline">
            <button
              type="button"
              className="flex min-h-12 w-full items-center gap-3 py-1.5 text-left hover:bg-glow"
              onClick={() => onChoose(round.id)}
            >
              <span
                className={`w-28 shrink-0 ${step.to < today ? 'font-semibold text-danger' : step.from <= today ? 'font-semibold' : 'text-soft'}`}
              >
                {say(showWindow(step.from, step.to, today))}
                {step.to < today && <span className="block text-sm">overdue</span>}
              </span>
              <span>
                <strong>{step.title}</strong>, round {round.number}
                <span className="block text-sm text-soft">{say(step.detail)}</span>
              </span>
            </button>
          </li>
        ))}
      </ol>
      {next.length === 0 && <p className="text-soft">Nothing of these rounds is still to come.</p>}
    </section>
  );
}

import { countOf, type Expectation, isDue, showDay, showTime } from '@yellow-cell/core';
import { Link } from 'react-router';
import { useSay } from '../app/units.ts';
import { eventLine } from '../yard/eventLine.ts';
import type { YardView } from '../yard/useYard.ts';
import type { Walk } from './walk.ts';

/** What was done on a walk and what is left, to be shared or printed. */
export function WalkEnd({
  view,
  due,
  walk,
  onBack,
  onAgain,
}: {
  view: YardView;
  /** Where what is left stands, however large the yard. */
  due: YardView;
  walk: Walk;
  onBack: () => void;
  onAgain: () => void;
}) {
  const say = useSay();
  const here = new Set(walk.boxes);
  const labelOf = (box: string): string => view.state.boxes.get(box)?.label ?? '';
  const done = view.state.story.flatMap((event) => {
    const { box } = event.payload as { box?: string };
    return box !== undefined &&
      here.has(box) &&
      Date.parse(event.occurredAt) >= Date.parse(walk.begunAt) &&
      event.kind !== 'withdrawn'
      ? [{ id: event.id, at: event.occurredAt, words: `${labelOf(box)}: ${eventLine(event, view.state)}` }]
      : [];
  });
  const left = due.boxes
    .filter(({ box }) => here.has(box.id))
    .flatMap(({ box, compartments }) =>
      compartments.filter(isDue).flatMap(({ name, position, due }) =>
        due.map((work: Expectation) => ({
          id: `${box.id} ${position} ${work.kind} ${work.key ?? ''}`,
          words: `${box.label} ${name}: ${work.title}, by ${showDay(work.to, view.on)}`,
        })),
      ),
    );
  const text = [
    `${view.yard.name}, ${showDay(view.on)}`,
    '',
    `Done (${done.length})`,
    ...done.map(({ words }) => `- ${words}`),
    '',
    `Left (${left.length})`,
    ...left.map(({ words }) => `- ${words}`),
  ].join('\n');
  return (
    <main className="h-full overflow-y-auto bg-sheet px-4 py-3 sm:px-5 print:h-auto print:overflow-visible">
      <div className="mx-auto max-w-2xl">
        <h1 className="text-xl">
          {view.yard.name}: {countOf(walk.boxes.length, 'box', 'boxes')} walked past
        </h1>
        <p className="text-soft">
          From {showTime(walk.begunAt, view.yard.zone)} on {say(showDay(view.on))}; {walk.passed.length} left
          as {walk.passed.length === 1 ? 'it is' : 'they are'}.
        </p>
        <div className="no-print flex flex-wrap gap-2 py-2">
          <button type="button" className="button min-h-12" onClick={onBack}>
            Back
          </button>
          {'share' in navigator && (
            <button
              type="button"
              className="button min-h-12"
              onClick={() =>
                void navigator.share({ title: view.yard.name, text: say(text) }).catch(() => undefined)
              }
            >
              Share
            </button>
          )}
          <button type="button" className="button min-h-12" onClick={() => window.print()}>
            Print
          </button>
          {left.length > 0 && (
            <button type="button" className="button min-h-12" onClick={onAgain}>
              Walk again past what is left
            </button>
          )}
          <Link className="button min-h-12" to={`/yard/${view.yard.id}`}>
            To the yard
          </Link>
        </div>
        <h2 className="eyebrow">Done</h2>
        {done.length === 0 && <p className="text-soft">Nothing was entered.</p>}
        <ul>
          {done.map(({ id, at, words }) => (
            <li key={id} className="flex gap-3 border-b border-hairline py-1.5">
              <span className="text-soft">{showTime(at, view.yard.zone)}</span> {say(words)}
            </li>
          ))}
        </ul>
        <h2 className="eyebrow">Left</h2>
        {left.length === 0 && <p className="text-soft">Nothing is left of today.</p>}
        <ul>
          {left.map(({ id, words }) => (
            <li key={id} className="border-b border-hairline py-1.5">
              {say(words)}
            </li>
          ))}
        </ul>
      </div>
    </main>
  );
}

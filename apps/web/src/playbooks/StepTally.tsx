import type { Counts, Scene, Tally } from '@yellow-cell/core';
import { Check } from 'lucide-react';
import { useSay } from '../app/units.ts';

/** What is counted aloud, a press for each; the last can be taken back. */
export function StepTally({
  tally,
  scene,
  counts,
  onMark,
  onUnmark,
}: {
  tally: Tally;
  scene: Scene;
  counts: Counts;
  onMark: (mark: string, title: string) => void;
  onUnmark: (() => void) | undefined;
}) {
  const say = useSay();
  return (
    <>
      <p className="mt-2 text-lg font-semibold" role="status">
        {say(tally.said(scene, counts))}
      </p>
      <div className="no-print mt-1 grid grid-cols-2 gap-2">
        {tally.marks(scene).map(({ mark, title }) => {
          const no = tally.refuses?.(scene, counts, mark);
          const count = counts[mark] ?? 0;
          return (
            <button
              key={mark}
              type="button"
              className="button min-h-14"
              disabled={no !== undefined}
              title={no}
              onClick={() => onMark(mark, title)}
            >
              {title}
              {no !== undefined && count === 1 ? (
                <Check size={17} aria-label="done" />
              ) : count > 0 ? (
                ` · ${count}`
              ) : null}
            </button>
          );
        })}
      </div>
      {onUnmark && (
        <button type="button" className="no-print min-h-11 underline" onClick={onUnmark}>
          Take the last back
        </button>
      )}
    </>
  );
}

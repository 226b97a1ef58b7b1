import { asAsked, type BoxView, countOf } from '@yellow-cell/core';
import { Link } from 'react-router';

export interface SeveralBarProps {
  yard: string;
  boxes: readonly BoxView[];
  chosen: ReadonlySet<string>;
  onNone: () => void;
  onDone: () => void;
}

/** Which boxes are chosen on the map, and on to what is entered for all of them. */
export function SeveralBar({ yard, boxes, chosen, onNone, onDone }: SeveralBarProps) {
  const labels = boxes.flatMap(({ box }) => (chosen.has(box.id) ? [box.label] : []));
  return (
    <div className="no-print flex flex-wrap items-center justify-end gap-2 border-t border-hairline bg-sheet px-5 py-2">
      <p className="grow" role="status">
        {labels.length === 0 ? (
          'Draw around boxes, or press them.'
        ) : (
          <>
            <strong>{countOf(labels.length, 'box', 'boxes')}</strong>{' '}
            <span className="text-soft">{asAsked(labels)}</span>
          </>
        )}
      </p>
      {labels.length > 0 && (
        <>
          <button type="button" className="button min-h-12 font-normal" onClick={onNone}>
            None
          </button>
          <Link
            className="button button-main min-h-12"
            to={`/yard/${yard}/many?only=${encodeURIComponent(asAsked(labels))}`}
          >
            Enter for all
          </Link>
        </>
      )}
      <button type="button" className="button min-h-12 font-normal" onClick={onDone}>
        Done
      </button>
    </div>
  );
}

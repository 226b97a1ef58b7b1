import { COMB_COLUMNS, type CombField, fieldsAt } from '@yellow-cell/core';
import { type PointerEvent, useRef } from 'react';
import { combLook } from './CombBar.tsx';

/** Fields on every side of the one under the pointer. */
const REACH = 1.5;

interface CombPaintProps {
  fields: readonly CombField[];
  label: string;
  /** Width by height of a side. */
  aspect: number;
  /** Paints fields; left out where nothing can be entered. */
  onPaint: ((fields: readonly number[]) => void) | undefined;
}

/** One side of a comb in its frame, painted by the pointer; all of it can be told by the buttons below as well. */
export function CombPaint({ fields, label, aspect, onPaint }: CombPaintProps) {
  const comb = useRef<HTMLDivElement>(null);
  const paint = ({ nativeEvent, buttons }: PointerEvent) => {
    const box = comb.current?.getBoundingClientRect();
    if (!box || !onPaint || buttons === 0) return;
    // All places that a quick stroke went over, and not only those at which the page was asked.
    const strokes = nativeEvent.getCoalescedEvents?.() ?? [];
    const places = strokes.length > 0 ? strokes : [nativeEvent];
    onPaint(
      places.flatMap(({ clientX, clientY }) =>
        fieldsAt((clientX - box.left) / box.width, (clientY - box.top) / box.height, REACH),
      ),
    );
  };
  return (
    <div className="border-x-8 border-t-[10px] border-b-8 border-[var(--wood)] outline outline-1 outline-[var(--wood-line)]">
      <div
        ref={comb}
        role="img"
        aria-label={label}
        className={`grid w-full ${onPaint ? 'cursor-crosshair touch-none' : ''}`}
        style={{
          gridTemplateColumns: `repeat(${COMB_COLUMNS}, 1fr)`,
          aspectRatio: aspect,
          background: 'var(--slip)',
        }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          paint(event);
        }}
        onPointerMove={paint}
      >
        {fields.map((content, field) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a field is its place
          <span key={field} style={content ? combLook[content].style : undefined} />
        ))}
      </div>
    </div>
  );
}

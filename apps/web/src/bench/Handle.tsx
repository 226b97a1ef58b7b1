import { showLength } from '@yellow-cell/core';
import { type KeyboardEvent, type PointerEvent, type ReactNode, useRef } from 'react';
import { useUnits } from '../app/units.ts';
import type { Placing, SheetRect } from '../drawing/place.ts';

export const NUDGE_MM = 0.5;
export const NUDGE_SHIFT_MM = 5;

interface HandleProps {
  label: string;
  /** What the slider reads: a place in mm, and the range that it can take. */
  at: number;
  range: readonly [number, number];
  area: SheetRect;
  placing: Placing;
  cursor: string;
  /** Millimetres from where it was taken, along the drawing's own axes. */
  onDrag: (from: { x: number; y: number }, moved: { x: number; y: number }) => void;
  /** Where it stands on the drawing's own axes when it is taken. */
  place: { x: number; y: number };
  /** A step by arrow key, in mm, to the right and down on the sheet. */
  onStep: (right: number, down: number) => void;
  onChoose: () => void;
  onDragging: (dragging: boolean) => void;
  onDelete?: () => void;
  children?: ReactNode;
}

/** A part that is dragged with a pointer and nudged with arrow keys. */
export function Handle({
  label,
  at,
  range,
  area,
  placing,
  cursor,
  onDrag,
  place,
  onStep,
  onChoose,
  onDragging,
  onDelete,
  children,
}: HandleProps) {
  const units = useUnits();
  const start = useRef<{ x: number; y: number; place: { x: number; y: number } } | undefined>(undefined);
  const onKey = (event: KeyboardEvent<SVGGElement>) => {
    const step = event.shiftKey ? NUDGE_SHIFT_MM : NUDGE_MM;
    const way = { ArrowUp: [0, -1], ArrowLeft: [-1, 0], ArrowDown: [0, 1], ArrowRight: [1, 0] }[event.key];
    if ((event.key === 'Delete' || event.key === 'Backspace') && onDelete) {
      event.preventDefault();
      onDelete();
    }
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onChoose();
      // Its figures open in the slip: whoever works by keyboard goes on there.
      requestAnimationFrame(() =>
        document.querySelector<HTMLElement>('[data-part-fields] :is(select, input)')?.focus(),
      );
    }
    if (!way) return;
    event.preventDefault();
    onStep((way[0] ?? 0) * step, (way[1] ?? 0) * step);
  };
  const letGo = () => {
    start.current = undefined;
    onDragging(false);
  };
  const drag = (event: PointerEvent<SVGGElement>) => {
    if (!start.current) return;
    const moved = placing.back({ dx: event.clientX - start.current.x, dy: event.clientY - start.current.y });
    onDrag(start.current.place, moved);
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={Math.round(range[0] * 10) / 10}
      aria-valuemax={Math.round(range[1] * 10) / 10}
      aria-valuenow={Math.round(at * 10) / 10}
      aria-valuetext={showLength(at, units)}
      className={`group touch-none outline-none ${cursor}`}
      onKeyDown={onKey}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        event.currentTarget.focus();
        onChoose();
        onDragging(true);
        start.current = { x: event.clientX, y: event.clientY, place };
      }}
      onPointerMove={drag}
      onPointerUp={letGo}
      onPointerCancel={letGo}
    >
      <rect
        x={area.x - 4}
        y={area.y - 4}
        width={area.width + 8}
        height={area.height + 8}
        fill="transparent"
      />
      <rect
        x={area.x - 2}
        y={area.y - 2}
        width={area.width + 4}
        height={area.height + 4}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={3}
        rx={2}
        className="opacity-0 group-focus-visible:opacity-100"
      />
      {children}
    </g>
  );
}

import type { DesignContent } from '@yellow-cell/contract';
import {
  type BoxModel,
  type Drawing,
  dividerRange,
  showLength,
  withDividerAt,
  withEqualSlack,
} from '@yellow-cell/core';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { useUnits } from '../app/units.ts';
import { BoxShapes } from '../drawing/BoxShapes.tsx';
import { lying, type Placing } from '../drawing/place.ts';
import { useSize } from '../parts/useSize.ts';
import { CompartmentMarks } from './CompartmentMarks.tsx';
import { Dimensions } from './Dimensions.tsx';
import { EntranceMarks } from './EntranceMarks.tsx';

interface BenchSheetProps {
  drawing: Drawing;
  model: BoxModel;
  design: DesignContent;
  /** True while the figures typed cannot be: the drawing shows the last that could. */
  stale: boolean;
  chosen: string | undefined;
  onChoose: (id: string | undefined) => void;
  onEdit: (move: (design: DesignContent) => DesignContent) => void;
}

const WIDE_MARGIN = { left: 128, right: 138, top: 62, bottom: 84 };
/** On a phone the slip below names the compartments; the drawing needs the room. */
const NARROW_MARGIN = { left: 98, right: 28, top: 62, bottom: 104 };
const NARROW_PX = 560;
const NUDGE_MM = 0.5;
const NUDGE_SHIFT_MM = 5;
/** A dragged divider lets itself be caught by the place of equal slack. */
const CATCH_MM = 1.5;
const CSS_MM = 25.4 / 96;

export function BenchSheet({ drawing, model, design, stale, chosen, onChoose, onEdit }: BenchSheetProps) {
  const units = useUnits();
  const [ref, size] = useSize<HTMLDivElement>({ width: 900, height: 620 });
  const narrow = size.width < NARROW_PX;
  const margin = narrow ? NARROW_MARGIN : WIDE_MARGIN;
  const along = drawing.y[1] - drawing.y[0];
  const across = drawing.x[1] - drawing.x[0];
  const scale = Math.max(
    0.05,
    Math.min(
      (size.width - margin.left - margin.right) / along,
      (size.height - margin.top - margin.bottom) / across,
    ),
  );
  const left = margin.left + (size.width - margin.left - margin.right - along * scale) / 2;
  const top = margin.top + Math.max(0, (size.height - margin.top - margin.bottom - across * scale) / 2);
  const placing = lying(scale, left, top, drawing);
  return (
    <div
      ref={ref}
      className="relative min-h-[26rem] min-w-0 flex-1 bg-sheet lg:min-h-0"
      style={{ background: paperGrid }}
    >
      <p className="absolute left-5 top-4">
        <strong>From above</strong>{' '}
        <span className="text-soft">
          1 : {(1 / (scale * CSS_MM)).toFixed(1)} · {units === 'mm' ? 'mm' : 'inches'}
        </span>
      </p>
      {stale && (
        <p role="status" className="absolute right-5 top-4 font-semibold text-danger">
          The last drawing that could be
        </p>
      )}
      <svg
        width={size.width}
        height={size.height}
        role="group"
        aria-label="The box from above"
        className={`absolute inset-0 block ${stale ? 'opacity-50' : ''}`}
      >
        <BoxShapes
          drawing={drawing}
          placing={placing}
          fillOf={({ role, id }) => (role === 'compartment' && id === chosen ? 'var(--glow)' : undefined)}
        />
        <CompartmentMarks
          model={model}
          placing={placing}
          named={!narrow}
          chosen={chosen}
          onChoose={onChoose}
        />
        <EntranceMarks model={model} placing={placing} />
        <Dimensions drawing={drawing} placing={placing} />
        {model.boards.map((board) => (
          <Divider
            key={board.id}
            board={board}
            model={model}
            design={design}
            placing={placing}
            onEdit={onEdit}
          />
        ))}
        <text x={left} y={top - 10} fontSize={13} fill="var(--soft)">
          front
        </text>
        <text x={left + along * scale} y={top - 10} fontSize={13} fill="var(--soft)" textAnchor="end">
          back
        </text>
      </svg>
      <p className="absolute inset-x-5 bottom-3 text-sm text-soft">
        {model.boards.length > 0
          ? `Drag a divider, or choose it and use the arrow keys: ${showLength(NUDGE_MM, units)}, with Shift ${showLength(NUDGE_SHIFT_MM, units)}.`
          : 'One compartment: no divider.'}
      </p>
    </div>
  );
}

const paperGrid =
  'repeating-linear-gradient(var(--grid) 0 1px, transparent 1px 24px), repeating-linear-gradient(90deg, var(--grid) 0 1px, transparent 1px 24px), var(--sheet)';

interface DividerProps {
  board: BoxModel['boards'][number];
  model: BoxModel;
  design: DesignContent;
  placing: Placing;
  onEdit: BenchSheetProps['onEdit'];
}

/** The handle of a divider: dragged with a pointer, moved with arrow keys. */
function Divider({ board, model, design, placing, onEdit }: DividerProps) {
  const units = useUnits();
  const start = useRef<{ pointer: number; at: number } | undefined>(undefined);
  const [least, most] = dividerRange(design, board.id);
  const at = board.x[0];
  const area = placing.rect({ x: at, y: 0, width: board.x[1] - at, height: model.inside.length });
  const middle = { x: area.x + area.width / 2, y: area.y + area.height / 2 };
  const moveTo = (mm: number) => {
    const held = Math.min(Math.max(mm, least), most);
    onEdit((now) => withDividerAt(now, board.id, { mm: held }));
  };
  const drag = (event: PointerEvent<SVGGElement>) => {
    if (!start.current) return;
    const wanted = start.current.at + (event.clientY - start.current.pointer) / placing.scale;
    const even = evenPlace(design, board.groove);
    moveTo(even !== undefined && Math.abs(wanted - even) < CATCH_MM ? even : Math.round(wanted * 2) / 2);
  };
  const onKey = (event: KeyboardEvent<SVGGElement>) => {
    const way = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1 }[event.key];
    if (way === undefined) return;
    event.preventDefault();
    moveTo(at + way * (event.shiftKey ? NUDGE_SHIFT_MM : NUDGE_MM));
  };
  const number = model.boards.indexOf(board) + 1;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`Divider ${number}, place from the left inside wall`}
      aria-orientation="vertical"
      aria-valuemin={Math.round(least * 10) / 10}
      aria-valuemax={Math.round(most * 10) / 10}
      aria-valuenow={Math.round(at * 10) / 10}
      aria-valuetext={showLength(at, units)}
      className="group cursor-row-resize touch-none outline-none"
      onKeyDown={onKey}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        event.currentTarget.focus();
        start.current = { pointer: event.clientY, at };
      }}
      onPointerMove={drag}
      onPointerUp={() => {
        start.current = undefined;
      }}
    >
      <rect x={area.x} y={area.y - 8} width={area.width} height={area.height + 16} fill="transparent" />
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
      <circle cx={middle.x} cy={middle.y} r={10} fill="var(--slip)" stroke="var(--ink)" strokeWidth={1.5} />
      <path
        d={`M${middle.x - 4} ${middle.y - 2}l4 -4 4 4M${middle.x - 4} ${middle.y + 2}l4 4 4 -4`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
    </g>
  );
}

function evenPlace(design: DesignContent, groove: string): number | undefined {
  return withEqualSlack(design).grooves.find(({ id }) => id === groove)?.at.mm;
}

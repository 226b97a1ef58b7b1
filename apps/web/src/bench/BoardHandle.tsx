import { type BoxModel, bodiesOf, dividerRange, withoutPart } from '@yellow-cell/core';
import { useState } from 'react';
import { centreOf, type Placing, type SheetRect } from '../drawing/place.ts';
import { Handle } from './Handle.tsx';
import type { SheetProps } from './sheet.ts';
import { snapBoard, withSnapped } from './snap.ts';

interface BoardHandleProps extends Pick<SheetProps, 'design' | 'onEdit' | 'onChoose' | 'onDragging'> {
  board: BoxModel['boards'][number];
  number: number;
  area: SheetRect;
  placing: Placing;
  /** On the lying sheet boards run across the page, in a section they stand. */
  lies: boolean;
}

/** A board's handle: dragged, it lets itself be caught by grooves, equal slack and bee space. */
export function BoardHandle({
  board,
  number,
  area,
  placing,
  lies,
  design,
  onEdit,
  onChoose,
  onDragging,
}: BoardHandleProps) {
  const [caught, setCaught] = useState<string>();
  const { id } = board.board;
  const body = bodiesOf(design).find((each) => each.id === board.body.body.id);
  if (!body) return null;
  const at = board.x[0] - board.body.x;
  const range = dividerRange(body, id);
  const held = (mm: number) => Math.min(Math.max(mm, range[0]), range[1]);
  const middle = centreOf(area);
  const word = { follower: 'Follower', dummy: 'Dummy' }[board.board.kind as string] ?? 'Divider';
  return (
    <Handle
      label={`${word} ${number}, place from the left inside wall`}
      at={at}
      range={range}
      area={area}
      placing={placing}
      cursor={lies ? 'cursor-row-resize' : 'cursor-col-resize'}
      place={{ x: at, y: 0 }}
      onChoose={() => onChoose(id)}
      onDragging={onDragging}
      onDelete={() => onEdit((now) => withoutPart(now, id))}
      onDrag={(from, moved) => {
        const snap = snapBoard(body, id, held(from.x + moved.x));
        setCaught(snap.caught);
        onEdit((now) => withSnapped(now, id, { ...snap, at: held(snap.at) }), `drag-${id}`);
      }}
      onStep={(right, down) =>
        onEdit(
          (now) =>
            withSnapped(now, id, { at: held(at + right + down), caught: undefined, groove: undefined }),
          `step-${id}`,
        )
      }
    >
      <g
        transform={`translate(${middle.x} ${lies ? middle.y : area.y + area.height / 2}) ${lies ? '' : 'rotate(90)'}`}
      >
        <circle r={9} fill="var(--slip)" stroke="var(--ink)" strokeWidth={1.5} />
        <path d="M-4 -2l4 -4 4 4M-4 2l4 4 4 -4" fill="none" stroke="var(--ink)" strokeWidth={1.5} />
      </g>
      {caught && (
        <text
          x={middle.x + (lies ? 16 : 0)}
          y={lies ? middle.y - 8 : area.y - 6}
          fontSize={12}
          fontWeight={600}
          fill="var(--ink)"
          className="opacity-0 group-active:opacity-100"
          textAnchor={lies ? 'start' : 'middle'}
        >
          {caught}
        </text>
      )}
    </Handle>
  );
}

import type { Entrance } from '@yellow-cell/contract';
import {
  bodiesOf,
  boxFromAbove,
  isEntrance,
  type ServedOpening,
  showLength,
  withFrameMoved,
  withoutPart,
  withPart,
} from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { useUnits } from '../app/units.ts';
import { BoxShapes } from '../drawing/BoxShapes.tsx';
import { MarkSign } from '../drawing/MarkSign.tsx';
import { centreOf, type Placing, rectOf } from '../drawing/place.ts';
import { BoardHandle } from './BoardHandle.tsx';
import { Dimensions } from './Dimensions.tsx';
import { GapLights } from './GapLights.tsx';
import { Handle } from './Handle.tsx';
import { paperGrid } from './paperGrid.ts';
import { pressedId, type SheetProps, shapeLook } from './sheet.ts';
import { useView } from './useView.ts';

const CSS_MM = 25.4 / 96;
const WIDE = { left: 112, right: 118, top: 46, bottom: 58 };
const NARROW = { left: 112, right: 44, top: 48, bottom: 60 };

/** One level from above, frames lying across: boards, frames and entrances are taken and moved here. */
export function AboveView(props: SheetProps) {
  const { model, body, onChoose, onPressSpace } = props;
  const units = useUnits();
  const drawing = useMemo(() => boxFromAbove(model, body), [model, body]);
  const narrow = typeof window !== 'undefined' && window.innerWidth < 640;
  const { ref, size, placing, scale } = useView(drawing, narrow ? NARROW : WIDE, true);
  const look = shapeLook(props);
  const level = model.stack.bodies.find((placed) => placed.body.id === body)?.z[0];
  const here = (of: { body: { z: readonly [number, number] } }) => of.body.z[0] === level;
  const boards = model.boards.filter(here);
  const doors = model.openings.filter(isEntrance).filter(here);
  const outline = placing.rect(rectOf(drawing.x, drawing.y));
  return (
    <div
      ref={ref}
      className="relative min-h-80 min-w-0 overflow-hidden lg:min-h-0"
      style={{ background: paperGrid }}
    >
      <p className="pointer-events-none absolute top-2 left-4 z-10 text-sm">
        <strong>From above</strong>{' '}
        <span className="text-soft">
          1 : {(1 / (scale * CSS_MM)).toFixed(1)} · {units === 'mm' ? 'mm' : 'inches'}
        </span>
      </p>
      <svg
        width={size.width}
        height={size.height}
        role="group"
        aria-label="The box from above"
        className="absolute inset-0 block"
      >
        <BoxShapes
          drawing={drawing}
          placing={placing}
          {...look}
          onPress={(shape) => {
            const isSpace = shape.role === 'compartment' || shape.role === 'void';
            if (onPressSpace) onPressSpace(isSpace ? shape.id : (spaceOfFrame(props, shape.id) ?? shape.id));
            else onChoose(pressedId(shape));
          }}
        />
        <text x={outline.x} y={outline.y - 8} fontSize={12} fill="var(--soft)">
          front
        </text>
        <text
          x={outline.x + outline.width}
          y={outline.y - 8}
          fontSize={12}
          fill="var(--soft)"
          textAnchor="end"
        >
          back
        </text>
        <Frames {...props} placing={placing} />
        <SpaceNames {...props} placing={placing} />
        <Dimensions drawing={drawing} placing={placing} />
        <GapLights model={props.resting} placing={placing} u="x" v="y" level={level} />
        {boards.map((board, index) => (
          <BoardHandle
            key={board.board.id}
            board={board}
            number={index + 1}
            area={placing.rect(rectOf(board.x, board.body.inside.y))}
            placing={placing}
            lies
            {...props}
          />
        ))}
        {doors.map((door) => (
          <EntranceHandle key={door.id} door={door} placing={placing} {...props} />
        ))}
      </svg>
    </div>
  );
}

const spaceOfFrame = ({ model }: SheetProps, frame: string): string | undefined => {
  const bay = model.frames.find(({ id }) => id === frame)?.bay;
  return model.spaces.find(({ bays }) => bays.some(({ id }) => id === bay))?.id;
};

const HOLDS = { comb: '', feeder: 'feeder', grafts: 'graft bar', bank: 'bank', display: 'shown' } as const;

/** Numbers on the frames; a frame is dragged to another compartment of its body. */
function Frames({
  model,
  body,
  chosen,
  onChoose,
  onEdit,
  placing,
  onPressSpace,
}: SheetProps & { placing: Placing }) {
  const [lifted, setLifted] = useState<{ id: string; dy: number }>();
  const level = model.stack.bodies.find((placed) => placed.body.id === body)?.z[0];
  const bodies = model.stack.bodies.filter(({ z }) => z[0] === level);
  const bays = new Set(bodies.flatMap((placed) => placed.body.bays.map(({ id }) => id)));
  const frames = model.frames.filter(({ bay }) => bays.has(bay));
  if (onPressSpace) return null;
  const drop = (frame: (typeof frames)[number], x: number) => {
    const target = model.spaces.find(
      ({ block, bays: own, body: of }) =>
        of &&
        bodies.some(({ body: each }) => each.id === of.body.id) &&
        own.length > 0 &&
        x >= block.x[0] &&
        x < block.x[1] &&
        block.y[0] < frame.y[1] &&
        block.y[1] > frame.y[0],
    );
    const bay = target?.bays[0];
    if (!bay) return;
    const place = frames.filter(
      (other) => other.bay === bay.id && other.id !== frame.id && (other.x[0] + other.x[1]) / 2 < x,
    ).length;
    onEdit((now) => withFrameMoved(now, frame.id, bay.id, place));
  };
  return frames.map((frame, index) => {
    const bar = placing.rect(rectOf(frame.x, frame.y));
    const r = Math.min(9, bar.height / 2);
    const dy = lifted?.id === frame.id ? lifted.dy : 0;
    return (
      <g key={frame.id} transform={dy ? `translate(0 ${dy})` : undefined}>
        {dy !== 0 && <rect {...bar} fill="var(--glow)" stroke="var(--ink)" />}
        <circle
          cx={bar.x + r + 5}
          cy={bar.y + bar.height / 2}
          r={r}
          fill="var(--slip)"
          stroke={frame.id === chosen ? 'var(--ink)' : 'var(--comb-line)'}
          strokeWidth={frame.id === chosen ? 2 : 1}
        />
        {r > 5 && (
          <text
            x={bar.x + r + 5}
            y={bar.y + bar.height / 2 + 4}
            fontSize={11}
            fontWeight={700}
            textAnchor="middle"
            fill="var(--ink)"
          >
            {index + 1}
          </text>
        )}
        {frame.holds !== 'comb' && bar.height > 9 && (
          <text
            x={bar.x + bar.width / 2}
            y={bar.y + bar.height / 2 + 4}
            fontSize={12}
            fontWeight={600}
            textAnchor="middle"
            fill="var(--ink)"
            stroke="var(--slip)"
            strokeWidth={4}
            paintOrder="stroke"
          >
            {HOLDS[frame.holds]}
          </text>
        )}
        <rect
          {...bar}
          fill="transparent"
          className="cursor-grab touch-none active:cursor-grabbing"
          aria-hidden
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            onChoose(frame.id);
            setLifted({ id: frame.id, dy: 0 });
            event.currentTarget.dataset.from = String(event.clientY);
          }}
          onPointerMove={(event) => {
            if (lifted?.id === frame.id)
              setLifted({ id: frame.id, dy: event.clientY - Number(event.currentTarget.dataset.from) });
          }}
          onPointerUp={() => {
            const moved = placing.back({ dx: 0, dy }).x;
            setLifted(undefined);
            if (Math.abs(dy) > 6) drop(frame, (frame.x[0] + frame.x[1]) / 2 + moved);
          }}
        />
      </g>
    );
  });
}

/** Beside the box the name of each room with its slack. */
function SpaceNames({ model, body, placing }: SheetProps & { placing: Placing }) {
  const units = useUnits();
  const level = model.stack.bodies.find((placed) => placed.body.id === body)?.z[0];
  const bodies = model.stack.bodies.filter(({ z }) => z[0] === level);
  if (bodies.length > 1) return null;
  return model.spaces
    .filter((space) => space.column && space.body?.z[0] === level)
    .map((space) => {
      const area = placing.rect(rectOf(space.block.x, space.block.y));
      if (area.height < 30) return null;
      const wall = (space.body?.body.wall.mm ?? 0) * placing.scale;
      const x = area.x + area.width + wall + 46;
      const fit = model.compartments.flatMap(({ fits }) => fits).find((each) => each.space === space.id);
      const bad = fit !== undefined && (fit.verdict === 'impossible' || fit.verdict === 'jams');
      return (
        <g key={space.id} fontSize={12.5} fill="var(--ink)" pointerEvents="none">
          {inLines(space.name).map((words, line, all) => (
            <text
              key={words}
              x={x}
              y={area.y + area.height / 2 - 2 - (all.length - 1 - line) * 14}
              fontWeight={700}
            >
              {words}
            </text>
          ))}
          {fit && (
            <text x={x} y={area.y + area.height / 2 + 14} fill={bad ? 'var(--danger)' : 'var(--soft)'}>
              {showLength(fit.slack_mm, units)}
            </text>
          )}
        </g>
      );
    });
}

/** A name too long for the margin stands in two lines. */
const WIDEST_NAME = 12;
function inLines(name: string): string[] {
  const at = name.length > WIDEST_NAME ? name.lastIndexOf(' ') : -1;
  return at < 0 ? [name] : [name.slice(0, at), name.slice(at + 1)];
}

/** Turns an arrow that points right so that it points into the box; on the lying sheet, the front is at the left. */
const TURN = { front: 0, back: 180, left: 90, right: -90 } as const;

interface EntranceHandleProps extends SheetProps {
  door: ServedOpening & { opening: Entrance };
  placing: Placing;
}

/** An entrance from above: an arrow and its mark outside the wall, dragged along it. */
function EntranceHandle({ door, placing, design, onEdit, onChoose, onDragging }: EntranceHandleProps) {
  const { opening, id, body } = door;
  const area = placing.rect(rectOf(door.x, door.y));
  const { x, y } = centreOf(area);
  const ends = opening.side === 'front' || opening.side === 'back';
  const now = bodiesOf(design).find((each) => each.id === body.body.id);
  const most = (ends ? now?.insideWidth.mm : now?.insideLength.mm) ?? 0;
  const range = [opening.width.mm / 2, most - opening.width.mm / 2] as const;
  const to = (along: number) => Math.min(Math.max(Math.round(along * 2) / 2, range[0]), range[1]);
  const out = { front: [-1, 0], back: [1, 0], left: [0, -1], right: [0, 1] }[opening.side] as [
    number,
    number,
  ];
  const [dx, dy] = [out[0] * (area.width / 2), out[1] * (area.height / 2)];
  const twin = isUpper(door);
  const offset = twin ? 34 : 10;
  return (
    <Handle
      label={`Entrance at the ${opening.side}, place along the wall`}
      at={opening.along.mm}
      range={range}
      area={area}
      placing={placing}
      cursor={ends ? 'cursor-ns-resize' : 'cursor-ew-resize'}
      place={{ x: opening.along.mm, y: opening.along.mm }}
      onChoose={() => onChoose(id)}
      onDragging={onDragging}
      onDelete={() => onEdit((content) => withoutPart(content, id))}
      onDrag={(from, moved) =>
        onEdit(
          (content) =>
            withPart(content, id, { along: { mm: to(ends ? from.x + moved.x : from.y + moved.y) } }),
          `drag-${id}`,
        )
      }
      onStep={(right, down) =>
        onEdit(
          (content) => withPart(content, id, { along: { mm: to(opening.along.mm + right + down) } }),
          `step-${id}`,
        )
      }
    >
      {!twin && (
        <path
          d="M-12 -5V5L-3 0Z"
          transform={`translate(${x + dx} ${y + dy}) rotate(${TURN[opening.side]})`}
          fill={opening.state === 'open' || opening.state === 'reduced' ? 'var(--ink)' : 'none'}
          stroke="var(--ink)"
        />
      )}
      {opening.mark && !twin && (
        <g
          transform={`translate(${x + dx + out[0] * (offset + 14)} ${y + dy + out[1] * (offset + 14)}) scale(0.95)`}
        >
          <MarkSign mark={opening.mark} />
        </g>
      )}
    </Handle>
  );
}

/** The higher of two holes over one another: from above only one arrow is drawn for both. */
function isUpper({ opening, body }: ServedOpening): boolean {
  return body.body.entrances.some(
    (other) =>
      other.id !== opening.id &&
      other.side === opening.side &&
      Math.abs(other.along.mm - opening.along.mm) < 1 &&
      other.height.mm < opening.height.mm,
  );
}

import type { Side } from '@yellow-cell/contract';
import { boxFromSide, type Drawing, faceOf, isEntrance, withPart } from '@yellow-cell/core';
import { memo, useMemo } from 'react';
import { BoxShapes } from '../drawing/BoxShapes.tsx';
import { MarkSign } from '../drawing/MarkSign.tsx';
import { centreOf, rectOf, upright } from '../drawing/place.ts';
import { useSize } from '../parts/useSize.ts';
import { Handle } from './Handle.tsx';
import { SideArrows } from './PhysicsMarks.tsx';
import { paperGrid } from './paperGrid.ts';
import { pressedId, type SheetProps, shapeLook } from './sheet.ts';

/** In the order in which they are met walking round the box, as if its skin were rolled out. */
const SIDES: readonly Side[] = ['left', 'front', 'right', 'back'];
const GAP_PX = 22;
/** Of the names over the sides, on average. */
const LETTER_PX = 6.6;
const MARGIN = { side: 16, top: 26, bottom: 8 };

/** All four sides rolled out in a row, as seen from outside: entrances are moved along and up and down. */
export const SidesView = memo(
  AllSides,
  (before, after) =>
    before.chosen === after.chosen &&
    before.pointed === after.pointed &&
    before.bad === after.bad &&
    before.tintOf === after.tintOf &&
    before.layer === after.layer &&
    skinOf(before.design) === skinOf(after.design),
);

/** All of a design that shows on its outside: while boards and frames are moved inside, the sides stay as they are. */
function skinOf({ floor, roof, layers }: SheetProps['design']): string {
  return JSON.stringify([
    floor,
    roof,
    layers.map((layer) => (layer.kind === 'sheet' ? layer : { ...layer, grooves: 0, boards: 0, bays: 0 })),
  ]);
}

function AllSides(props: SheetProps) {
  const { model } = props;
  const [ref, size] = useSize<HTMLDivElement>({ width: 900, height: 140 });
  const drawings = useMemo(() => SIDES.map((side) => boxFromSide(model, side)), [model]);
  const widths = drawings.map(({ x }) => x[1] - x[0]);
  const tall = Math.max(...drawings.map(({ y }) => y[1] - y[0]));
  const all = widths.reduce((sum, width) => sum + width, 0);
  const scale = Math.max(
    0.05,
    Math.min(
      (size.width - 2 * MARGIN.side - 3 * GAP_PX) / all,
      (size.height - MARGIN.top - MARGIN.bottom) / tall,
    ),
  );
  // A side narrower than its name still takes the name's width.
  const taken = widths.map((width, index) =>
    Math.max(width * scale, NAMES[SIDES[index] ?? 'front'].length * LETTER_PX),
  );
  const sumBefore = (index: number) => taken.slice(0, index).reduce((sum, width) => sum + width + GAP_PX, 0);
  const start = Math.max(MARGIN.side, (size.width - sumBefore(taken.length) + GAP_PX) / 2);
  const lefts = taken.map((_, index) => start + sumBefore(index));
  return (
    <div
      ref={ref}
      className="relative min-h-36 min-w-0 overflow-hidden border-t border-hairline lg:min-h-0"
      style={{ background: paperGrid }}
    >
      <svg
        width={size.width}
        height={size.height}
        role="group"
        aria-label="The four sides from outside"
        className="absolute inset-0 block"
      >
        {drawings.map((drawing, index) => (
          <SideFace
            key={drawing.view}
            side={SIDES[index] ?? 'front'}
            drawing={drawing}
            left={lefts[index] ?? 0}
            top={MARGIN.top}
            scale={scale}
            {...props}
          />
        ))}
      </svg>
    </div>
  );
}

const NAMES = { left: 'Left side', front: 'Front', right: 'Right side', back: 'Back' } as const;

interface SideFaceProps extends SheetProps {
  side: Side;
  drawing: Drawing;
  left: number;
  top: number;
  scale: number;
}

function SideFace(props: SideFaceProps) {
  const { side, drawing, left, top, scale, model, onEdit, onChoose, onDragging } = props;
  const placing = upright(scale, left, top, drawing);
  const { mirrored } = faceOf(model, side);
  const doors = model.openings.filter(isEntrance).filter(({ opening }) => opening.side === side);
  return (
    <g>
      <text x={left} y={top - 9} fontSize={12.5} fontWeight={700} fill="var(--ink)">
        {NAMES[side]}
      </text>
      <BoxShapes
        drawing={drawing}
        placing={placing}
        line={0.8}
        {...shapeLook(props)}
        onPress={(shape) => onChoose(pressedId(shape))}
      />
      {doors.map(({ id, opening, body }) => {
        const shape = drawing.rects.find((rect) => rect.id === id);
        if (!shape) return null;
        const area = placing.rect(shape);
        const most =
          side === 'front' || side === 'back' ? body.body.insideWidth.mm : body.body.insideLength.mm;
        const range = [opening.width.mm / 2, most - opening.width.mm / 2] as const;
        const way = mirrored ? -1 : 1;
        const place = (along: number, height: number) => ({
          along: { mm: Math.min(Math.max(Math.round(along * 2) / 2, range[0]), range[1]) },
          height: {
            mm: Math.min(
              Math.max(Math.round(height * 2) / 2, opening.tall.mm / 2 - body.z[0]),
              body.body.depth.mm - opening.tall.mm / 2,
            ),
          },
        });
        const { x, y } = centreOf(area);
        return (
          <Handle
            key={id}
            label={`Entrance on the ${side} side, ${Math.round(opening.height.mm)} mm up`}
            at={opening.along.mm}
            range={range}
            area={area}
            placing={placing}
            cursor="cursor-move"
            place={{ x: opening.along.mm, y: opening.height.mm }}
            onChoose={() => onChoose(id)}
            onDragging={onDragging}
            onDrag={(from, moved) =>
              onEdit(
                (now) => withPart(now, id, place(from.x + way * moved.x, from.y + moved.y)),
                `drag-${id}`,
              )
            }
            onStep={(right, down) =>
              onEdit(
                (now) => withPart(now, id, place(opening.along.mm + way * right, opening.height.mm - down)),
                `step-${id}`,
              )
            }
          >
            {props.layer?.kind === 'air' && (
              <SideArrows
                layer={props.layer}
                model={model}
                area={area}
                opening={id}
                side={opening.height.mm > body.body.depth.mm / 2 ? 'out' : 'in'}
              />
            )}
            <StateSign state={opening.state} x={x} y={y} r={Math.min(area.width, area.height) / 2} />
            {opening.mark && opening.height.mm < body.body.depth.mm / 2 && (
              <g
                transform={`translate(${x} ${area.y - 11}) scale(${Math.min(1, Math.max(0.6, scale * 1.6))})`}
              >
                <MarkSign mark={opening.mark} />
              </g>
            )}
          </Handle>
        );
      })}
      <title>{`${NAMES[side]}, ${Math.round(rectOf(drawing.x, drawing.y).width)} mm wide`}</title>
    </g>
  );
}

/** The disc over a hole, by its state. */
function StateSign({ state, x, y, r }: { state: string; x: number; y: number; r: number }) {
  const ink = { stroke: 'var(--ink)', strokeWidth: 1.2, fill: 'none' };
  switch (state) {
    case 'closed':
      return (
        <path
          d={`M${x - r * 0.7} ${y - r * 0.7}l${r * 1.4} ${r * 1.4}m0 ${-r * 1.4}l${-r * 1.4} ${r * 1.4}`}
          {...ink}
        />
      );
    case 'vent':
      return (
        <path
          d={`M${x - r * 0.8} ${y}h${r * 1.6}M${x - r * 0.6} ${y - r * 0.45}h${r * 1.2}M${x - r * 0.6} ${y + r * 0.45}h${r * 1.2}`}
          {...ink}
        />
      );
    case 'workersOnly':
      return (
        <path
          d={`M${x - r * 0.45} ${y - r * 0.8}v${r * 1.6}M${x} ${y - r}v${r * 2}M${x + r * 0.45} ${y - r * 0.8}v${r * 1.6}`}
          {...ink}
        />
      );
    case 'reduced':
      return <path d={`M${x - r} ${y}a${r} ${r} 0 0 1 ${2 * r} 0z`} fill="var(--ink)" />;
    default:
      return null;
  }
}

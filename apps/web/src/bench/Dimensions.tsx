import { type Drawing, showLengthBare } from '@yellow-cell/core';
import { useUnits } from '../app/units.ts';
import type { Placing } from '../drawing/place.ts';

/** Rows begin beyond the entrances' arrows and marks. */
const ROW = { first: 58, step: 34 };
const BELOW = 47;

/** A figure with a little air on both sides, in pixels. */
const widthOf = (text: string): number => text.length * 7.8 + 6;
const ARROW = 7;
/** Of its line, so much is seen beside a figure at least. */
const LEFT_PX = 4;

/** Dimension lines as on a workshop drawing: extension lines, ticks at both ends, the figure on the line. */
export function Dimensions({ drawing, placing }: { drawing: Drawing; placing: Placing }) {
  const units = useUnits();
  const body = placing.rect({
    x: drawing.x[0],
    y: drawing.y[0],
    width: drawing.x[1] - drawing.x[0],
    height: drawing.y[1] - drawing.y[0],
  });
  return (
    <g stroke="var(--dimension)" fill="var(--dimension)" strokeWidth={1} fontSize={13} fontWeight={600}>
      {drawing.dimensions.map(({ id, axis, from, to, row }) => {
        const text = showLengthBare(to - from, units);
        const offset = ROW.first + (row - 1) * ROW.step;
        if (axis === 'x') {
          const x = body.x - offset;
          const [a, b] = [from, to].map((mm) => placing.rect({ x: mm, y: 0, width: 0, height: 0 }).y) as [
            number,
            number,
          ];
          // Read along its line, as on a workshop drawing: a long figure runs neither into its neighbour nor off the sheet.
          const label = b - a > widthOf(text) + LEFT_PX;
          return (
            <g key={id + axis}>
              <path
                d={`M${x - 5} ${a}H${body.x - 4}M${x - 5} ${b}H${body.x - 4}`}
                strokeWidth={0.6}
                opacity={0.7}
              />
              <path d={`M${x} ${a}V${b}${arrow(x, a, 0, 1)}${arrow(x, b, 0, -1)}`} fill="none" />
              {label && (
                <g transform={`translate(${x} ${(a + b) / 2}) rotate(-90)`}>
                  <rect
                    x={-widthOf(text) / 2}
                    y={-9}
                    width={widthOf(text)}
                    height={18}
                    fill="var(--sheet)"
                    stroke="none"
                  />
                  <text stroke="none" textAnchor="middle" y={4.5}>
                    {text}
                  </text>
                </g>
              )}
            </g>
          );
        }
        const y = body.y + body.height + BELOW + (row - 1) * ROW.step;
        const [a, b] = [from, to].map((mm) => placing.rect({ x: 0, y: mm, width: 0, height: 0 }).x) as [
          number,
          number,
        ];
        return (
          <g key={id + axis}>
            <path
              d={`M${a} ${body.y + body.height + 4}V${y + 5}M${b} ${body.y + body.height + 4}V${y + 5}`}
              strokeWidth={0.6}
              opacity={0.7}
            />
            <path d={`M${a} ${y}H${b}${arrow(a, y, 1, 0)}${arrow(b, y, -1, 0)}`} fill="none" />
            <rect
              x={(a + b) / 2 - widthOf(text) / 2}
              y={y - 9}
              width={widthOf(text)}
              height={18}
              fill="var(--sheet)"
              stroke="none"
            />
            <text stroke="none" x={(a + b) / 2} y={y + 4.5} textAnchor="middle">
              {text}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** A small open arrowhead at (x, y) whose strokes run back along (dx, dy). */
function arrow(x: number, y: number, dx: number, dy: number): string {
  const [l, w] = [ARROW, 3];
  return `M${x + dx * l + dy * w} ${y + dy * l + dx * w}L${x} ${y}L${x + dx * l - dy * w} ${y + dy * l - dx * w}`;
}

import type { NestedSheet } from '@yellow-cell/contract';
import { letterOf, type SawStep, sawWords, showLengthBare } from '@yellow-cell/core';
import { useState } from 'react';
import { useUnits } from '../app/units.ts';

const WIDTH_PX = 520;

interface SheetDrawingProps {
  sheet: NestedSheet;
  /** How many are sawn like this one. */
  count: number;
  steps: readonly SawStep[];
}

/** A sheet with its parts by letter and size, how many are sawn so, and its cuts in their order by the fence of a saw. */
export function SheetDrawing({ sheet, count, steps }: SheetDrawingProps) {
  const units = useUnits();
  const figure = (mm: number) => showLengthBare(mm, units);
  const [upTo, setUpTo] = useState(0);
  const { width_mm, height_mm, placements, cuts, offcut } = sheet;
  const scale = width_mm / WIDTH_PX;
  const up = (y: number): number => height_mm - y;
  return (
    <figure className="max-w-full">
      <svg
        viewBox={`${-4 * scale} ${-4 * scale} ${width_mm + 8 * scale} ${height_mm + 8 * scale}`}
        role="img"
        aria-label={`A sheet of ${placements.length} parts, ${cuts.length} cuts`}
        width={Math.min(WIDTH_PX, width_mm / 2)}
        className="max-w-full"
      >
        <rect
          width={width_mm}
          height={height_mm}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={1.4 * scale}
        />
        {placements.map(({ name, x_mm, y_mm, width_mm: w, height_mm: h }) => {
          const size = Math.min(15 * scale, Math.min(w, h) * 0.7);
          const measures = `${figure(w)} × ${figure(h)}`;
          const isSized = w > measures.length * 6 * scale && h > 34 * scale;
          return (
            <g key={`${x_mm} ${y_mm}`}>
              <rect
                x={x_mm}
                y={up(y_mm + h)}
                width={w}
                height={h}
                fill="var(--wood)"
                stroke="var(--wood-line)"
                strokeWidth={scale}
              >
                <title>{`${name}, ${figure(w)} × ${figure(h)}`}</title>
              </rect>
              {size > 5 * scale && (
                <text
                  x={x_mm + w / 2}
                  y={up(y_mm + h / 2) + (isSized ? 0 : size * 0.35)}
                  textAnchor="middle"
                  fontSize={size}
                  fontWeight={700}
                  fill="var(--ink)"
                  pointerEvents="none"
                >
                  {letterOf(name)}
                </text>
              )}
              {isSized && (
                <text
                  x={x_mm + w / 2}
                  y={up(y_mm + h / 2) + size}
                  textAnchor="middle"
                  fontSize={10 * scale}
                  fill="var(--ink)"
                  pointerEvents="none"
                >
                  {measures}
                </text>
              )}
            </g>
          );
        })}
        {cuts.slice(0, upTo).map(({ axis, at_mm, from_mm, to_mm }, index) => {
          const last = index === upTo - 1;
          const [x1, y1, x2, y2] =
            axis === 'x' ? [from_mm, up(at_mm), to_mm, up(at_mm)] : [at_mm, up(from_mm), at_mm, up(to_mm)];
          return (
            <line
              key={`${axis}${at_mm}${from_mm}`}
              x1={x1}
              y1={y1}
              x2={x2}
              y2={y2}
              stroke={last ? 'var(--danger)' : 'var(--ink)'}
              strokeWidth={(last ? 3 : 1.6) * scale}
            />
          );
        })}
      </svg>
      <figcaption className="flex flex-wrap items-center gap-2 text-sm text-soft">
        <strong className="text-ink">Saw {count} like this:</strong>{' '}
        {offcut ? `at hand, ${offcut}` : `${figure(width_mm)} × ${figure(height_mm)}`}
        <label className="ml-auto flex items-center gap-2">
          cut {upTo} of {cuts.length}
          <input
            type="range"
            min={0}
            max={cuts.length}
            value={upTo}
            className="w-32 accent-[var(--ink)]"
            onChange={({ target }) => setUpTo(Number(target.value))}
          />
        </label>
      </figcaption>
      <ol className="mt-1 max-w-[520px] list-decimal pl-5 text-sm">
        {steps.map((step) => (
          <li key={step.cuts[0]}>{sawWords(step, figure)}</li>
        ))}
      </ol>
    </figure>
  );
}

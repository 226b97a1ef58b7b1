import type { Attempt } from '@yellow-cell/contract';
import {
  type Constants,
  type Day,
  daysBetween,
  flightWindow,
  plusDays,
  showDay,
  type Weather,
} from '@yellow-cell/core';
import { scaleLinear } from 'd3-scale';
import { useSay } from '../app/units.ts';
import { Later } from '../parts/Later.tsx';
import { useSize } from '../parts/useSize.ts';
import type { CompartmentView } from './useYard.ts';

interface TimelineProps {
  attempt: Attempt;
  compartment: CompartmentView;
  weather: Weather;
  constants: Constants;
  on: Day;
}

const HEIGHT = 132;
const LINE = 62;
const DAYS_SHOWN = 32;
const FLYING_MOST_H = 5;

/** The attempt against what was expected: flying hours above the line, windows below, the day shown across. */
export function Timeline({ attempt, compartment, weather, constants, on }: TimelineProps) {
  const say = useSay();
  const [ref, { width }] = useSize<HTMLDivElement>({ width: 310, height: HEIGHT });
  const { givenOn } = attempt;
  const last = Math.max(DAYS_SHOWN, Math.min(60, daysBetween(givenOn, on) + 3));
  const x = scaleLinear([-1, last], [8, width - 8]);
  const at = (day: Day) => x(daysBetween(givenOn, day));
  const height = scaleLinear([0, FLYING_MOST_H], [0, 22]);
  const flight = flightWindow(attempt, weather, constants);
  const day = daysBetween(givenOn, on);
  const nowInFirstHalf = at(on) < (at(flight[0]) + at(flight[1])) / 2;
  const barWidth = Math.max(2, x(1) - x(0) - 1.5);
  const windows = compartment.expectations.filter(({ kind }) => kind !== 'searchWildCells').slice(0, 2);
  const marks = [
    { on: givenOn, name: 'cell' },
    ...(attempt.openedOn ? [{ on: attempt.openedOn, name: '' }] : []),
    ...(attempt.layingOn ? [{ on: attempt.layingOn, name: 'eggs' }] : []),
    ...attempt.patterns.map((pattern) => ({ on: pattern.on, name: '' })),
  ];
  return (
    <div ref={ref} className="mt-2">
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Day ${day} since the cell was given on ${say(showDay(givenOn))}`}
      >
        <Later>
          {Array.from({ length: last }, (_, index) => plusDays(givenOn, index)).map((date) => {
            const hours = date <= on ? weather.get(date)?.flying_h : undefined;
            if (!hours) return null;
            return (
              <rect
                key={date}
                x={at(date) - barWidth / 2}
                y={LINE - 14 - height(hours)}
                width={barWidth}
                height={height(hours)}
                fill="var(--yellow)"
              />
            );
          })}
          <rect
            x={at(flight[0])}
            y={LINE - 10}
            width={Math.max(0, at(flight[1]) - at(flight[0]))}
            height={20}
            fill="var(--warm)"
          />
          <text
            x={nowInFirstHalf ? at(flight[1]) - 3 : at(flight[0]) + 3}
            textAnchor={nowInFirstHalf ? 'end' : 'start'}
            y={LINE - 2.5}
            fontSize={11.5}
            fill="var(--ink)"
          >
            flights
          </text>
          <line x1={x(-0.5)} x2={x(last)} y1={LINE + 3} y2={LINE + 3} stroke="var(--ink)" strokeWidth={1.8} />
          {[7, 14, 21, 28].map((tick) => (
            <g key={tick}>
              <line x1={x(tick)} x2={x(tick)} y1={LINE} y2={LINE + 7} stroke="var(--ink)" />
              <text x={x(tick)} y={LINE + 19} fontSize={11} textAnchor="middle" fill="var(--soft)">
                {tick}
              </text>
            </g>
          ))}
          {marks.map(({ on: date, name }) => (
            <g key={date + name}>
              <circle cx={at(date)} cy={LINE + 3} r={4.5} fill="var(--ink)" />
              {name && (
                <text
                  x={at(date)}
                  y={LINE + 20}
                  fontSize={11.5}
                  textAnchor={name === 'cell' ? 'start' : 'middle'}
                  dx={name === 'cell' ? -4 : 0}
                  fill="var(--ink)"
                >
                  {name}
                </text>
              )}
            </g>
          ))}
          {windows.map((window, index) => {
            // What was due before the cell was given, or is due long after, is shown at the edge.
            const left = Math.min(Math.max(at(window.from), x(-1)), x(last) - 6);
            const wide = Math.max(6, Math.min(at(window.to), x(last)) - left);
            const y = LINE + 26 + index * 20;
            const textWidth = window.title.length * 6.4;
            const after = left + wide + 5;
            const fits = after + textWidth < width;
            const before = Math.max(left - 5, textWidth);
            const running = window.from <= on;
            return (
              <g key={window.kind}>
                <rect
                  x={left}
                  y={y}
                  width={wide}
                  height={14}
                  rx={3}
                  fill={running ? 'var(--yellow)' : 'var(--slip)'}
                  stroke="var(--ink)"
                />
                <text
                  x={fits ? after : before}
                  textAnchor={fits ? 'start' : 'end'}
                  y={y + 11.5}
                  fontSize={12}
                  fontWeight={running ? 700 : 400}
                  fill="var(--ink)"
                >
                  {window.title}
                </text>
              </g>
            );
          })}
          {day >= 0 && (
            <g>
              <line x1={at(on)} x2={at(on)} y1={16} y2={LINE + 24} stroke="var(--ink)" strokeWidth={1.5} />
              <text
                x={Math.min(Math.max(at(on), 24), width - 24)}
                y={12}
                fontSize={12}
                fontWeight={700}
                textAnchor="middle"
                fill="var(--ink)"
              >
                day {day}
              </text>
            </g>
          )}
        </Later>
      </svg>
    </div>
  );
}

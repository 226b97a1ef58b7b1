import { useQuery } from '@tanstack/react-query';
import type { Status } from '@yellow-cell/contract';
import {
  monthFirsts,
  monthShort,
  type RoomYear,
  roleName,
  roomYears,
  type Stretch,
  seasonYearOf,
  showWindow,
  statusWords,
} from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { boxLogQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { yearScale } from '../ribbon/yearScale.ts';
import type { YardView } from './useYard.ts';

const WIDE = 300;
const ROW = 26;
const MONTH_H = 14;

const FILL: Readonly<Record<Status, string>> = {
  empty: 'var(--cavity)',
  stocked: 'var(--comb)',
  cellGiven: 'var(--glow)',
  virgin: 'var(--glow)',
  caged: 'var(--glow)',
  laying: 'var(--yellow)',
  proven: 'var(--yellow)',
  queenright: 'var(--yellow)',
  failed: 'var(--danger)',
  unknown: 'var(--comb)',
};

/** What the rooms of a box served as, and what was in them, along the year. */
export function BoxYear({ view, box }: { view: YardView; box: string }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-2" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="min-h-11 py-2.5 font-semibold">Through the year</summary>
      {open && <Strips view={view} box={box} />}
    </details>
  );
}

function Strips({ view, box }: { view: YardView; box: string }) {
  const { data } = useQuery(boxLogQuery(box));
  const year = useMemo(
    () => seasonYearOf(view.on, view.yard.latitude_deg),
    [view.on, view.yard.latitude_deg],
  );
  const rooms = useMemo(() => {
    if (!data) return [];
    const designs = new Map([...view.designs, ...data.designs.map((each) => [each.id, each] as const)]);
    return roomYears({ designs, yards: new Set([view.yard.id]) }, data, box, year.from, view.on);
  }, [data, view.designs, view.yard.id, box, year.from, view.on]);
  if (!data) return <p className="text-soft">Reading its story…</p>;
  return (
    <ol>
      {rooms.map((room) => (
        <li key={room.name} className="mb-2">
          <p className="text-sm">{room.name}</p>
          <Strip room={room} year={year} on={view.on} />
        </li>
      ))}
    </ol>
  );
}

function Strip({ room, year, on }: { room: RoomYear; year: { from: string; to: string }; on: string }) {
  const say = useSay();
  const scale = yearScale(year, 0, WIDE);
  const words = ({ from, to, role, status, shares }: Stretch) =>
    `${say(showWindow(from, to, on))}: ${shares ? `${roleName(role)}, bees of the next room` : `${statusWords[status]}${role === 'empty' ? '' : ` (${roleName(role)})`}`}`;
  const step = WIDE / scale.days;
  return (
    <svg
      role="img"
      aria-label={`${room.name}: ${room.stretches.map(words).join('; ')}`}
      viewBox={`0 0 ${WIDE} ${ROW + MONTH_H}`}
      width="100%"
    >
      <rect width={WIDE} height={ROW} fill="none" stroke="var(--hairline)" />
      {room.stretches.map((stretch) => {
        const x = scale.x(stretch.from) - step / 2;
        const width = Math.max(1, scale.x(stretch.to) + step / 2 - x);
        return (
          <rect key={stretch.from} x={x} width={width} height={ROW} fill={FILL[stretch.status]}>
            <title>{words(stretch)}</title>
          </rect>
        );
      })}
      {monthFirsts(year.from, year.to).map((first) => (
        <g key={first}>
          <line x1={scale.x(first)} x2={scale.x(first)} y2={ROW} stroke="var(--hairline)" />
          <text x={scale.x(first) + 2} y={ROW + 11} fontSize={10} fill="var(--soft)">
            {monthShort(first).slice(0, 1)}
          </text>
        </g>
      ))}
    </svg>
  );
}

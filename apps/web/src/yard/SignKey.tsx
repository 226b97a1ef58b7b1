import type { Status } from '@yellow-cell/contract';
import { statusWords } from '@yellow-cell/core';
import { StatusIcon } from '../drawing/StatusSign.tsx';

const SHOWN: readonly Status[] = [
  'empty',
  'stocked',
  'cellGiven',
  'virgin',
  'laying',
  'proven',
  'queenright',
  'failed',
];

/** What the signs on the map mean. */
export function SignKey() {
  return (
    <ul
      aria-label="Signs"
      className="flex flex-wrap gap-x-4 gap-y-0.5 border-t border-hairline bg-slip px-5 py-1.5 text-sm"
    >
      {SHOWN.map((status) => (
        <li key={status} className="flex items-center gap-1.5">
          <StatusIcon status={status} size={16} />
          {statusWords[status]}
        </li>
      ))}
      <li className="flex items-center gap-1.5">
        <Dot fill="var(--yellow)" /> due
      </li>
      <li className="flex items-center gap-1.5">
        <Dot fill="var(--danger)" /> overdue
      </li>
    </ul>
  );
}

export function Dot({ fill }: { fill: string }) {
  return (
    <svg aria-hidden width={16} height={16} viewBox="-8 -8 16 16" className="inline-block shrink-0">
      <circle r={5} fill={fill} stroke="var(--ink)" strokeWidth={1.2} />
    </svg>
  );
}

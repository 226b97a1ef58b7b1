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
    <details
      className="absolute right-4 bottom-4 rounded-lg border border-hairline bg-slip px-3 py-1.5 text-sm"
      open
    >
      <summary className="font-bold">Signs</summary>
      <ul className="mt-1 grid grid-cols-2 gap-x-4 gap-y-0.5 pb-1">
        {SHOWN.map((status) => (
          <li key={status} className="flex items-center gap-2">
            <StatusIcon status={status} size={16} />
            {statusWords[status]}
          </li>
        ))}
        <li className="flex items-center gap-2">
          <Dot fill="var(--yellow)" /> due
        </li>
        <li className="flex items-center gap-2">
          <Dot fill="var(--danger)" /> overdue
        </li>
      </ul>
    </details>
  );
}

export function Dot({ fill }: { fill: string }) {
  return (
    <svg aria-hidden width={16} height={16} viewBox="-8 -8 16 16" className="inline-block shrink-0">
      <circle r={5} fill={fill} stroke="var(--ink)" strokeWidth={1.2} />
    </svg>
  );
}

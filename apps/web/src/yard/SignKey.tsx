import type { Status } from '@yellow-cell/contract';
import { roles, statusWords, type Urgency } from '@yellow-cell/core';
import { SharedSign, SignIcon, StatusIcon } from '../drawing/StatusSign.tsx';
import type { BoxView } from './useYard.ts';

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
export function SignKey({ boxes }: { boxes: readonly BoxView[] }) {
  const rooms = boxes.flatMap(({ compartments }) => compartments);
  const letters = [...new Set(rooms.flatMap(({ role }) => (role === 'empty' ? [] : role)))].filter(
    (role) => roles[role].sign !== '',
  );
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
      {rooms.some(({ shares }) => shares !== undefined) && (
        <li className="flex items-center gap-1.5">
          <SignIcon size={16}>
            <SharedSign />
          </SignIcon>
          queen in the next room
        </li>
      )}
      {letters.map((role) => (
        <li key={role}>
          <strong>{roles[role].sign}</strong> {roles[role].name}
        </li>
      ))}
      <li className="flex items-center gap-1.5">
        <UrgencyDot urgency="due" /> due
      </li>
      <li className="flex items-center gap-1.5">
        <UrgencyDot urgency="overdue" /> overdue
      </li>
    </ul>
  );
}

/** The dot of work: filled for now, hollow for what is still to come. */
export function UrgencyDot({ urgency }: { urgency: Urgency | undefined }) {
  return (
    <Dot
      fill={urgency === 'overdue' ? 'var(--danger)' : urgency === 'due' ? 'var(--yellow)' : 'var(--slip)'}
    />
  );
}

function Dot({ fill }: { fill: string }) {
  return (
    <svg aria-hidden width={16} height={16} viewBox="-8 -8 16 16" className="inline-block shrink-0">
      <circle r={5} fill={fill} stroke="var(--ink)" strokeWidth={1.2} />
    </svg>
  );
}

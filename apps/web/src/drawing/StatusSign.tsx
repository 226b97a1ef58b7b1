import type { Status } from '@yellow-cell/contract';
import type { ReactNode } from 'react';

const ink = { fill: 'var(--ink)', stroke: 'var(--ink)' };
const open = { fill: 'var(--cavity)', stroke: 'var(--ink)' };
const DIAMOND = 'M0 -7 5 0 0 7 -5 0Z';

/** Small ink shapes, told apart without colour; drawn about the origin, 16 units across. */
const SIGNS: Readonly<Record<Status, ReactNode>> = {
  empty: <circle r={6} fill="none" stroke="var(--soft)" strokeWidth={1.4} strokeDasharray="2 2.2" />,
  stocked: (
    <g {...ink} strokeWidth={0}>
      <circle cx={0} cy={-3.4} r={2.3} />
      <circle cx={-3.6} cy={3} r={2.3} />
      <circle cx={3.6} cy={3} r={2.3} />
    </g>
  ),
  cellGiven: <path d="M-4 -6.5H4V0.5C4 4.5 2 7 0 7S-4 4.5 -4 0.5Z" {...open} strokeWidth={1.5} />,
  virgin: <path d={DIAMOND} {...open} strokeWidth={1.6} />,
  caged: (
    <g>
      <rect
        x={-7}
        y={-5.5}
        width={14}
        height={11}
        rx={1.5}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.3}
      />
      <path d="M0 -4 2.8 0 0 4 -2.8 0Z" {...open} strokeWidth={1.2} />
      <path d="M-3.8 -5.5V5.5M3.8 -5.5V5.5" stroke="var(--ink)" strokeWidth={0.9} />
    </g>
  ),
  laying: <path d={DIAMOND} {...ink} strokeWidth={1} />,
  proven: (
    <g {...ink}>
      <path d="M0 -8 4.6 -1.5 0 5 -4.6 -1.5Z" strokeWidth={1} />
      <path d="M-6 7.6H6" strokeWidth={2} />
    </g>
  ),
  queenright: (
    <g>
      <circle r={7} fill="none" stroke="var(--ink)" strokeWidth={1.3} />
      <path d="M0 -4.6 3.3 0 0 4.6 -3.3 0Z" {...ink} strokeWidth={0.5} />
    </g>
  ),
  failed: (
    <path
      d="M-5 -5 5 5M5 -5 -5 5"
      stroke="var(--danger)"
      strokeWidth={2.6}
      fill="none"
      strokeLinecap="round"
    />
  ),
  unknown: (
    <g>
      <rect x={-6} y={-6} width={12} height={12} fill="none" stroke="var(--soft)" strokeWidth={1.2} />
      <path
        d="M-2 -2.2C-2 -4.8 2.2 -4.8 2.2 -2.2 2.2 -0.6 0 -0.6 0 1.2M0 3.4v0.4"
        stroke="var(--ink)"
        strokeWidth={1.4}
        fill="none"
      />
    </g>
  ),
};

export function StatusSign({ status }: { status: Status }) {
  return SIGNS[status];
}

/** Bees of a colony whose queen is in another room of the box: two rings that touch. */
export const SharedSign = () => (
  <g fill="none" stroke="var(--ink)" strokeWidth={1.5}>
    <circle cx={-3} r={4} />
    <circle cx={3} r={4} />
  </g>
);

/** The sign beside text. */
export const StatusIcon = ({ status, size = 18 }: { status: Status; size?: number }) => (
  <SignIcon size={size}>
    <StatusSign status={status} />
  </SignIcon>
);

export function SignIcon({ size = 18, children }: { size?: number; children: ReactNode }) {
  return (
    <svg
      aria-hidden
      width={size}
      height={size}
      viewBox="-9 -9 18 18"
      className="inline-block shrink-0 align-[-0.2em]"
    >
      {children}
    </svg>
  );
}

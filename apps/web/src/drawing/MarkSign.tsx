import type { Mark } from '@yellow-cell/contract';
import type { ReactNode } from 'react';

/** Paint as it stands on the box: colours that bees tell apart, the same in every theme. */
const PAINT: Readonly<Record<Mark['colour'], { plate: string; shape: string }>> = {
  yellow: { plate: '#ffe07a', shape: '#2a2521' },
  blue: { plate: '#2f62ad', shape: '#ffffff' },
  white: { plate: '#ffffff', shape: '#2a2521' },
  black: { plate: '#211d1a', shape: '#ffffff' },
};

const SHAPE: Readonly<Record<Mark['shape'], (ink: string) => ReactNode>> = {
  disc: (ink) => <circle r={4.6} fill={ink} />,
  ring: (ink) => <circle r={4.4} fill="none" stroke={ink} strokeWidth={2.2} />,
  rays: (ink) => <path d="M0 -6V6M-5.2 -3 5.2 3M-5.2 3 5.2 -3" stroke={ink} strokeWidth={2} />,
  bars: (ink) => <path d="M-4 -5.5V5.5M0 -5.5V5.5M4 -5.5V5.5" stroke={ink} strokeWidth={2} />,
  cross: (ink) => <path d="M-5 -5 5 5M-5 5 5 -5" stroke={ink} strokeWidth={2.6} />,
  frame: (ink) => (
    <rect x={-4.6} y={-4.6} width={9.2} height={9.2} fill="none" stroke={ink} strokeWidth={2.2} />
  ),
  chevrons: (ink) => (
    <path d="M-5 -0.5 0 -5.5 5 -0.5M-5 5 0 0 5 5" fill="none" stroke={ink} strokeWidth={2.2} />
  ),
  twin: (ink) => (
    <>
      <circle cx={-3.4} r={2.7} fill={ink} />
      <circle cx={3.4} r={2.7} fill={ink} />
    </>
  ),
  halves: (ink) => <path d="M-7 7V-7H7Z" fill={ink} />,
  rings: (ink) => (
    <>
      <circle r={5.6} fill="none" stroke={ink} strokeWidth={1.7} />
      <circle r={2.2} fill={ink} />
    </>
  ),
};

/** The mark beside an entrance, about the origin, 16 units across. */
export function MarkSign({ mark }: { mark: Mark }) {
  const { plate, shape } = PAINT[mark.colour];
  return (
    <g>
      <rect x={-8} y={-8} width={16} height={16} rx={2.5} fill={plate} stroke="var(--ink)" strokeWidth={1} />
      {SHAPE[mark.shape](shape)}
    </g>
  );
}

/** The mark beside text. */
export function MarkIcon({ mark, size = 18 }: { mark: Mark; size?: number }) {
  return (
    <svg
      aria-hidden
      width={size}
      height={size}
      viewBox="-9 -9 18 18"
      className="inline-block shrink-0 align-[-0.2em]"
    >
      <MarkSign mark={mark} />
    </svg>
  );
}

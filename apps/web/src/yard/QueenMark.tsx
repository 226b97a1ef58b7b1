import type { Queen, QueenColour } from '@yellow-cell/contract';

const FILL: Readonly<Record<QueenColour, string>> = {
  white: '#ffffff',
  yellow: '#f2c400',
  red: '#c8321f',
  green: '#3d8a3d',
  blue: '#2f63b8',
  other: 'var(--cavity)',
};
const LETTER: Readonly<Record<QueenColour, string>> = {
  white: 'W',
  yellow: 'Y',
  red: 'R',
  green: 'G',
  blue: 'B',
  other: '?',
};
const DARK: readonly QueenColour[] = ['red', 'green', 'blue'];

/** The mark that she bears, with its letter for those who do not tell colours apart; a ring where she has none. */
export function QueenMark({ queen: { mark } }: { queen: Pick<Queen, 'mark'> }) {
  const colour = mark?.colour;
  const name = colour ? `marked ${colour}${mark.number ? `, ${mark.number}` : ''}` : 'not marked';
  return (
    <svg role="img" aria-label={name} width={22} height={22} viewBox="-11 -11 22 22" className="shrink-0">
      <circle
        r={9}
        fill={colour ? FILL[colour] : 'none'}
        stroke="var(--ink)"
        strokeWidth={1.5}
        strokeDasharray={colour ? undefined : '2.5 2.5'}
      />
      {colour && (
        <text
          textAnchor="middle"
          y={4}
          fontSize={mark.number && mark.number.length > 1 ? 9 : 11}
          fontWeight={700}
          fill={DARK.includes(colour) ? '#fff' : '#2a2521'}
        >
          {mark.number || LETTER[colour]}
        </text>
      )}
    </svg>
  );
}

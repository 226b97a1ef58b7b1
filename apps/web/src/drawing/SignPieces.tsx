import type { SignPiece, SignTone } from '@yellow-cell/core';

const PAINT: Readonly<Record<Exclude<SignTone, 'shape'>, string>> = {
  none: 'none',
  ink: 'var(--ink)',
  soft: 'var(--soft)',
  open: 'var(--cavity)',
  danger: 'var(--danger)',
};

/** A sign about the origin, 16 units across; `shape` is the paint of a mark. */
export function SignPieces({ pieces, shape = 'none' }: { pieces: readonly SignPiece[]; shape?: string }) {
  const paint = (tone: SignTone) => (tone === 'shape' ? shape : PAINT[tone]);
  return pieces.map(({ d, fill, stroke, line, dashed }) => (
    <path
      key={d}
      d={d}
      fill={paint(fill)}
      stroke={paint(stroke)}
      strokeWidth={line}
      strokeDasharray={dashed ? '2 2.2' : undefined}
      strokeLinecap={stroke === 'danger' ? 'round' : undefined}
    />
  ));
}

import type { Mark } from '@yellow-cell/contract';
import { MARK_PLATE, markPaint, markSigns } from '@yellow-cell/core';
import { SignPieces } from './SignPieces.tsx';
import { SignIcon } from './StatusSign.tsx';

/** The mark beside an entrance, about the origin, 16 units across. */
export function MarkSign({ mark }: { mark: Mark }) {
  const { plate, shape } = markPaint[mark.colour];
  return (
    <g>
      <path d={MARK_PLATE} fill={plate} stroke="var(--ink)" strokeWidth={1} strokeLinejoin="round" />
      <SignPieces pieces={markSigns[mark.shape]} shape={shape} />
    </g>
  );
}

/** The mark beside text. */
export const MarkIcon = ({ mark, size = 18 }: { mark: Mark; size?: number }) => (
  <SignIcon size={size}>
    <MarkSign mark={mark} />
  </SignIcon>
);

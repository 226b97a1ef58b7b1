import type { Status } from '@yellow-cell/contract';
import { sharedSign, statusSigns } from '@yellow-cell/core';
import type { ReactNode } from 'react';
import { SignPieces } from './SignPieces.tsx';

export const StatusSign = ({ status }: { status: Status }) => <SignPieces pieces={statusSigns[status]} />;

/** Bees of a colony whose queen is in another room of the box. */
export const SharedSign = () => <SignPieces pieces={sharedSign} />;

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

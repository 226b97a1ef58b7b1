import { QUIET_MODULES as QUIET, qrSquares } from '@yellow-cell/files/qr';
import { useMemo } from 'react';

/** A square code that opens an address on the phone that reads it; black on white in every theme. */
export function QrCode({ text, size = 96 }: { text: string; size?: number }) {
  const { path, count } = useMemo(() => {
    const { count: modules, dark } = qrSquares(text);
    return { count: modules, path: dark.map(({ x, y }) => `M${x} ${y}h1v1h-1z`).join('') };
  }, [text]);
  return (
    <svg
      viewBox={`${-QUIET} ${-QUIET} ${count + 2 * QUIET} ${count + 2 * QUIET}`}
      width={size}
      height={size}
      role="img"
      aria-label={`Code that opens ${text}`}
      className="shrink-0"
    >
      <rect x={-QUIET} y={-QUIET} width={count + 2 * QUIET} height={count + 2 * QUIET} fill="#fff" />
      <path d={path} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}

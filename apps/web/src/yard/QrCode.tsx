import QRCode from 'qrcode';
import { useMemo } from 'react';

/** A square code that opens an address on the phone that reads it; black on white in every theme. */
export function QrCode({ text, size = 96 }: { text: string; size?: number }) {
  const { path, count } = useMemo(() => {
    const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
    const dark = Array.from({ length: modules.size ** 2 }, (_, at) => at).filter((at) => modules.data[at]);
    return {
      count: modules.size,
      path: dark.map((at) => `M${at % modules.size} ${Math.floor(at / modules.size)}h1v1h-1z`).join(''),
    };
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
/** Modules of white that a reader wants around the code. */
const QUIET = 4;

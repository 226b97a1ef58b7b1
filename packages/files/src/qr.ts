import QRCode from 'qrcode';

/** Modules of white that a reader wants around a code. */
export const QUIET_MODULES = 4;

/** The dark squares of a code that opens an address, as columns and rows of `count` by `count` modules. */
export function qrSquares(text: string): { count: number; dark: { x: number; y: number }[] } {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const dark = Array.from({ length: modules.size ** 2 }, (_, at) => at)
    .filter((at) => modules.data[at])
    .map((at) => ({ x: at % modules.size, y: Math.floor(at / modules.size) }));
  return { count: modules.size, dark };
}

import type { Format, Length } from '@yellow-cell/contract';

/** Lugs rest on the ends with half a millimetre to spare (handbook 2, lug rests). Lengths in mm. */
const LUG_PLAY_MM = 0.5;
const LUG_HEIGHT_MM = 9.5;
/** Above the lug: a bee space where the format leaves it above its frames, nothing where it leaves it below. */
const TOP_BEE_SPACE_MM = 6.5;
/** Formats whose bodies leave the bee space below their frames. */
const BOTTOM_SPACE: readonly string[] = ['national-deep', 'national-14x12', 'commercial'];
/** So much wall stays behind the lugs; under it a double wall or a rail is needed. */
export const BEHIND_LUGS_MM = 8;

export const hasBottomSpace = (format: Format): boolean => BOTTOM_SPACE.includes(format.id);

/** How wide a ledge each end wall needs, in mm. */
export const ledgeFor = (format: Format, insideLength_mm: number): number =>
  Math.max(0, (format.topBar_mm - insideLength_mm) / 2 + LUG_PLAY_MM);

export function rebateFor(format: Format, insideLength_mm: number): { width: Length; depth: Length } | null {
  const width = ledgeFor(format, insideLength_mm);
  const depth = LUG_HEIGHT_MM + (hasBottomSpace(format) ? 0 : TOP_BEE_SPACE_MM);
  return width > 0 ? { width: { mm: width }, depth: { mm: depth } } : null;
}

/** Thickness of wall that leaves enough behind the lugs. */
export function wallFor(format: Format, insideLength_mm: number, usual_mm: number): number {
  return Math.max(usual_mm, Math.ceil(ledgeFor(format, insideLength_mm) + BEHIND_LUGS_MM));
}

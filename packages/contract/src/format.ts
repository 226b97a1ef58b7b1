import { z } from 'zod';
import { name, PartId } from './primitives.ts';

const size = (what: string, max: number) =>
  z
    .number()
    .gt(0, `${what} must be above 0 mm.`)
    .lte(max, `${what} of more than ${max} mm is not a beehive's.`);

/**
 * A frame standard. All lengths in mm: top bar and frame body along the frame (y), depth down (z),
 * pitch across (x). `hung` frames hang apart from plain bars of `barWidth_mm`; the others space themselves.
 */
export const Format = z.strictObject({
  id: PartId,
  name: name(80),
  topBar_mm: size('The top bar', 2_000),
  bodyLength_mm: size('The frame body', 2_000),
  depth_mm: size('The depth', 2_000),
  pitch_mm: size('The pitch', 200),
  hung: z.boolean(),
  barWidth_mm: size('The bar width', 200),
});
export type Format = z.infer<typeof Format>;

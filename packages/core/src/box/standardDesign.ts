import type { DesignContent, Length } from '@yellow-cell/contract';
import { frameFormat, standardFormats } from '../formats/formats.ts';
import { newDesign } from './editDesign.ts';

interface StandardBody {
  /** Id of a standard format. */
  format: string;
  /** Default: the format's most usual inside width. */
  insideWidth?: Length;
  thickness: Length;
  frames: readonly number[];
}

const USUAL_WALL_MM = 19;
/** Lugs rest on the ends with half a millimetre to spare, and this much wall stays behind them (handbook 2, lug rests). */
const LUG_PLAY_MM = 0.5;
const BEHIND_LUGS_MM = 8;

/** A design in the body that a standard format usually hangs in. */
export function standardDesign({ format, insideWidth, thickness, frames }: StandardBody): DesignContent {
  const standard = standardFormats.find(({ id }) => id === format);
  if (!standard) throw new Error(`There is no standard format ${format}.`);
  const { topBar_mm, insideLength_mm, bodyDepth_mm, widths } = standard;
  const wall = Math.max(
    USUAL_WALL_MM,
    Math.ceil((topBar_mm - insideLength_mm) / 2 + LUG_PLAY_MM + BEHIND_LUGS_MM),
  );
  return newDesign({
    format: frameFormat(standard),
    insideWidth: insideWidth ?? { mm: widths[0]?.width_mm ?? insideLength_mm },
    insideLength: { mm: insideLength_mm },
    depth: { mm: bodyDepth_mm },
    wall: { mm: wall },
    thickness,
    frames,
  });
}

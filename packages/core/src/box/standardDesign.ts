import type { DesignContent, Family, Length } from '@yellow-cell/contract';
import { frameFormat, type StandardFormat, standardFormats } from '../formats/formats.ts';
import { wallFor } from '../formats/lugs.ts';
import { newDesign } from './newDesign.ts';
import { type BodySizes, mm } from './plainParts.ts';

interface StandardBody {
  /** Id of a standard format. */
  format: string;
  /** Default: the format's most usual inside width. */
  insideWidth?: Length;
  thickness: Length;
  frames: readonly number[];
  family?: Family;
}

const USUAL_WALL_MM = 19;

export function standardFormat(id: string): StandardFormat {
  const found = standardFormats.find((each) => each.id === id);
  if (!found) throw new Error(`There is no standard format ${id}.`);
  return found;
}

/** The body that a standard format usually hangs in, of the width for so many frames or the one given. */
export function standardBody(id: string, insideWidth?: Length): BodySizes {
  const standard = standardFormat(id);
  const { insideLength_mm, bodyDepth_mm, widths } = standard;
  const format = frameFormat(standard);
  return {
    format,
    insideWidth: insideWidth ?? mm(widths[0]?.width_mm ?? insideLength_mm),
    insideLength: mm(insideLength_mm),
    depth: mm(bodyDepth_mm),
    wall: mm(wallFor(format, insideLength_mm, USUAL_WALL_MM)),
  };
}

/** A design in the body that a standard format usually hangs in. */
export function standardDesign({
  format,
  insideWidth,
  thickness,
  frames,
  family,
}: StandardBody): DesignContent {
  return newDesign({
    ...standardBody(format, insideWidth),
    thickness,
    frames,
    ...(family ? { family } : {}),
  });
}

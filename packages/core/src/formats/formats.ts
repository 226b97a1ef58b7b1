import type { Format } from '@yellow-cell/contract';

/**
 * A standard with the body it usually hangs in. Lengths in mm (handbook 2, formats; nominal).
 * `widths` are usual inside widths, each with its number of frames.
 */
export interface StandardFormat extends Format {
  bodyDepth_mm: number;
  insideLength_mm: number;
  widths: readonly { width_mm: number; frames: number }[];
}

const BAR_MM = 25;
const deepWidths = [
  { width_mm: 373, frames: 10 },
  { width_mm: 311, frames: 8 },
  { width_mm: 190.5, frames: 5 },
];
const nationalWidths = [
  { width_mm: 424, frames: 11 },
  { width_mm: 222, frames: 6 },
];

export const standardFormats: readonly StandardFormat[] = [
  standard('langstroth-deep', 'Langstroth deep', [483, 448, 232, 34.9], [244, 465], deepWidths),
  standard('langstroth-medium', 'Langstroth medium', [483, 448, 159, 34.9], [168, 465], deepWidths),
  standard('langstroth-shallow', 'Langstroth shallow', [483, 448, 137, 34.9], [145, 465], deepWidths),
  standard('national-deep', 'British National deep', [432, 356, 216, 35], [225, 370], nationalWidths),
  standard('national-14x12', 'British 14×12', [432, 356, 305, 35], [315, 370], nationalWidths),
  standard(
    'commercial',
    'British Commercial 16×10',
    [438, 406, 254, 37],
    [267, 422],
    [{ width_mm: 422, frames: 11 }],
  ),
  standard(
    'dadant-blatt',
    'Dadant-Blatt',
    [470, 435, 300, 37.5],
    [310, 450],
    [
      { width_mm: 380, frames: 10 },
      { width_mm: 450, frames: 12 },
    ],
    true,
  ),
  standard('zander', 'Zander', [477, 420, 220, 35], [230, 437], [{ width_mm: 375, frames: 10 }]),
  standard(
    'german-normal',
    'German Normal (DN)',
    [395, 370, 223, 35],
    [235, 385],
    [{ width_mm: 375, frames: 10 }],
  ),
  standard(
    'warre-size',
    'Warré-size, movable frames',
    [315, 285, 195, 36],
    [210, 300],
    [{ width_mm: 300, frames: 8 }],
    true,
  ),
];

/** The standard whose sizes a design's format still has, or undefined where it is the user's own. */
export function standardOf(format: Format): StandardFormat | undefined {
  return standardFormats.find(({ id }) => id === format.id);
}

/** Only the frame's own figures, as a design keeps them. */
export function frameFormat({
  id,
  name,
  topBar_mm,
  bodyLength_mm,
  depth_mm,
  pitch_mm,
  hung,
  barWidth_mm,
}: Format): Format {
  return { id, name, topBar_mm, bodyLength_mm, depth_mm, pitch_mm, hung, barWidth_mm };
}

function standard(
  id: string,
  name: string,
  [topBar_mm, bodyLength_mm, depth_mm, pitch_mm]: readonly [number, number, number, number],
  [bodyDepth_mm, insideLength_mm]: readonly [number, number],
  widths: StandardFormat['widths'],
  hung = false,
): StandardFormat {
  return {
    id,
    name,
    topBar_mm,
    bodyLength_mm,
    depth_mm,
    pitch_mm,
    hung,
    barWidth_mm: BAR_MM,
    bodyDepth_mm,
    insideLength_mm,
    widths,
  };
}

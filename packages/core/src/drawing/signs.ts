import type { Mark, Status } from '@yellow-cell/contract';

/** What a piece of a sign is painted with; `open` is empty inside, `shape` the paint of a mark. */
export type SignTone = 'none' | 'ink' | 'soft' | 'open' | 'danger' | 'shape';

/** A piece of a sign about the origin, 16 units across, as a path; `line` is the width of its stroke. */
export interface SignPiece {
  d: string;
  fill: SignTone;
  stroke: SignTone;
  line: number;
  dashed?: true;
}

const piece = (d: string, fill: SignTone, stroke: SignTone, line = 0): SignPiece => ({
  d,
  fill,
  stroke,
  line,
});
const circle = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}A${r} ${r} 0 1 0 ${x + r} ${y}A${r} ${r} 0 1 0 ${x - r} ${y}Z`;
const rect = (half: number, high = half): string => `M${-half} ${-high}H${half}V${high}H${-half}Z`;
const DIAMOND = 'M0 -7L5 0L0 7L-5 0Z';

/** What stands of a room, in small ink shapes that are told apart without colour: on the map, in lists and on paper. */
export const statusSigns: Readonly<Record<Status, readonly SignPiece[]>> = {
  empty: [{ ...piece(circle(0, 0, 6), 'none', 'soft', 1.4), dashed: true }],
  stocked: [[0, -3.4] as const, [-3.6, 3] as const, [3.6, 3] as const].map(([x, y]) =>
    piece(circle(x, y, 2.3), 'ink', 'none'),
  ),
  cellGiven: [piece('M-4 -6.5H4V0.5C4 4.5 2 7 0 7C-2 7 -4 4.5 -4 0.5Z', 'open', 'ink', 1.5)],
  virgin: [piece(DIAMOND, 'open', 'ink', 1.6)],
  caged: [
    piece(rect(7, 5.5), 'none', 'ink', 1.3),
    piece('M0 -4L2.8 0L0 4L-2.8 0Z', 'open', 'ink', 1.2),
    piece('M-3.8 -5.5V5.5M3.8 -5.5V5.5', 'none', 'ink', 0.9),
  ],
  laying: [piece(DIAMOND, 'ink', 'ink', 1)],
  proven: [piece('M0 -8L4.6 -1.5L0 5L-4.6 -1.5Z', 'ink', 'ink', 1), piece('M-6 7.6H6', 'none', 'ink', 2)],
  queenright: [
    piece(circle(0, 0, 7), 'none', 'ink', 1.3),
    piece('M0 -4.6L3.3 0L0 4.6L-3.3 0Z', 'ink', 'ink', 0.5),
  ],
  failed: [piece('M-5 -5L5 5M5 -5L-5 5', 'none', 'danger', 2.6)],
  unknown: [
    piece(rect(6), 'none', 'soft', 1.2),
    piece('M-2 -2.2C-2 -4.8 2.2 -4.8 2.2 -2.2C2.2 -0.6 0 -0.6 0 1.2M0 3.4V3.8', 'none', 'ink', 1.4),
  ],
};

/** Bees of a colony whose queen is in another room of the box: two rings that touch. */
export const sharedSign: readonly SignPiece[] = [
  piece(circle(-3, 0, 4), 'none', 'ink', 1.5),
  piece(circle(3, 0, 4), 'none', 'ink', 1.5),
];

/** Paint as it stands on the box: colours that bees tell apart, the same in every theme. */
export const markPaint: Readonly<Record<Mark['colour'], { plate: string; shape: string }>> = {
  yellow: { plate: '#ffe07a', shape: '#2a2521' },
  blue: { plate: '#2f62ad', shape: '#ffffff' },
  white: { plate: '#ffffff', shape: '#2a2521' },
  black: { plate: '#211d1a', shape: '#ffffff' },
};
/** The plate of a mark, 16 units square. */
export const MARK_PLATE = rect(8);

/** Shapes that bees tell apart, on their plate. */
export const markSigns: Readonly<Record<Mark['shape'], readonly SignPiece[]>> = {
  disc: [piece(circle(0, 0, 4.6), 'shape', 'none')],
  ring: [piece(circle(0, 0, 4.4), 'none', 'shape', 2.2)],
  rays: [piece('M0 -6V6M-5.2 -3L5.2 3M-5.2 3L5.2 -3', 'none', 'shape', 2)],
  bars: [piece('M-4 -5.5V5.5M0 -5.5V5.5M4 -5.5V5.5', 'none', 'shape', 2)],
  cross: [piece('M-5 -5L5 5M-5 5L5 -5', 'none', 'shape', 2.6)],
  frame: [piece(rect(4.6), 'none', 'shape', 2.2)],
  chevrons: [piece('M-5 -0.5L0 -5.5L5 -0.5M-5 5L0 0L5 5', 'none', 'shape', 2.2)],
  twin: [piece(circle(-3.4, 0, 2.7), 'shape', 'none'), piece(circle(3.4, 0, 2.7), 'shape', 'none')],
  halves: [piece('M-7 7V-7H7Z', 'shape', 'none')],
  rings: [piece(circle(0, 0, 5.6), 'none', 'shape', 1.7), piece(circle(0, 0, 2.2), 'shape', 'none')],
};

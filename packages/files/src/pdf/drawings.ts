import type { BuildPart, NestedSheet } from '@yellow-cell/contract';
import { type Drawing, letterOf, type SawStep, type SignPiece, type SignTone } from '@yellow-cell/core';
import { type Paper, PT } from './paper.ts';

const GREY = '#777';
const BLUE = '#3b628c';
const FILL: Readonly<Record<string, string>> = {
  wall: '#efe2c4',
  frame: '#f0d9a0',
  lug: '#f7ecd2',
  bar: '#f7ecd2',
  cell: '#e0bf6a',
  cage: '#e8e8e8',
  feeder: '#fff',
  feed: '#f5e6b8',
  divider: '#cbb68d',
  follower: '#cbb68d',
  sieve: '#ddd',
  glass: '#e4eef4',
  floor: '#e6d3ac',
  roof: '#e6d3ac',
  rim: '#e6d3ac',
  sheet: '#d9c9a5',
};

/** A view of the box at a scale of 1 : n, its lower left corner at (x, y + its height); figures in the measures of the page. */
export function drawBox(paper: Paper, drawing: Drawing, scale: number, x: number, y: number): void {
  const { pdf } = paper;
  const px = (mm: number) => (x + (mm - drawing.x[0]) / scale) * PT;
  const py = (mm: number) => (y + (drawing.y[1] - mm) / scale) * PT;
  for (const rect of drawing.rects) {
    const [w, h] = [(rect.width / scale) * PT, (rect.height / scale) * PT];
    const [left, top] = [px(rect.x), py(rect.y + rect.height)];
    if (rect.round) pdf.roundedRect(left, top, w, h, Math.min(w, h) / 2);
    else pdf.rect(left, top, w, h);
    pdf.lineWidth(0.4).fillAndStroke(FILL[rect.role] ?? '#fff', '#222');
  }
}

/** Paints with the origin at a place, 16 units to so many mm. */
export function paintAt(paper: Paper, x: number, y: number, size: number, paint: () => void): void {
  const { pdf } = paper;
  pdf
    .save()
    .translate(x * PT, y * PT)
    .scale((size * PT) / 16);
  paint();
  pdf.restore();
}

const TONE: Readonly<Record<Exclude<SignTone, 'none' | 'shape'>, string>> = {
  ink: '#111',
  soft: '#666',
  open: '#fff',
  danger: '#a8321f',
};

/** A sign about a place, so many mm across; `shape` is the paint of a mark. */
export function signAt(
  paper: Paper,
  pieces: readonly SignPiece[],
  x: number,
  y: number,
  size: number,
  shape = '#111',
): void {
  const { pdf } = paper;
  const toneOf = (tone: SignTone) => (tone === 'none' ? undefined : tone === 'shape' ? shape : TONE[tone]);
  paintAt(paper, x, y, size, () => {
    for (const { d, fill, stroke, line, dashed } of pieces) {
      const [inside, around] = [toneOf(fill), toneOf(stroke)];
      pdf.path(d).lineWidth(line);
      if (dashed) pdf.dash(2, { space: 2.2 });
      if (inside && around) pdf.fillAndStroke(inside, around);
      else if (inside) pdf.fill(inside);
      else if (around) pdf.stroke(around);
      if (dashed) pdf.undash();
    }
  });
}

/** A dimension line with its figure in the middle, along x below or along y at the left of what it measures. */
export function dimension(
  paper: Paper,
  axis: 'x' | 'y',
  from: number,
  to: number,
  at: number,
  words: string,
): void {
  const { pdf } = paper;
  pdf.lineWidth(0.35).strokeColor(BLUE);
  const tick = 1.2 * PT;
  if (axis === 'x') {
    pdf
      .moveTo(from * PT, at * PT)
      .lineTo(to * PT, at * PT)
      .stroke();
    for (const end of [from, to])
      pdf
        .moveTo(end * PT, at * PT - tick)
        .lineTo(end * PT, at * PT + tick)
        .stroke();
  } else {
    pdf
      .moveTo(at * PT, from * PT)
      .lineTo(at * PT, to * PT)
      .stroke();
    for (const end of [from, to])
      pdf
        .moveTo(at * PT - tick, end * PT)
        .lineTo(at * PT + tick, end * PT)
        .stroke();
  }
  pdf.font('plain').fontSize(7).fillColor(BLUE);
  const wide = pdf.widthOfString(words) / PT;
  if (axis === 'x') {
    pdf.text(words, ((from + to) / 2 - wide / 2) * PT, (at + 0.6) * PT, { lineBreak: false });
    return;
  }
  const [cx, cy] = [(at - 3.4) * PT, ((from + to) / 2 + wide / 2) * PT];
  pdf
    .save()
    .rotate(-90, { origin: [cx, cy] })
    .text(words, cx, cy, { lineBreak: false })
    .restore();
}

/** One part at a scale, with its outline, what is cut into it, and its length and width. Returns the height it takes. */
export function drawPart(paper: Paper, part: BuildPart, scale: number, x: number, y: number): number {
  const { pdf } = paper;
  const height = part.width_mm / scale;
  const px = (mm: number) => (x + mm / scale) * PT;
  const py = (mm: number) => (y + height - mm / scale) * PT;
  pdf.lineWidth(0.6).strokeColor('#111');
  for (const ring of part.rings) {
    for (const [index, [rx, ry]] of ring.entries()) {
      if (index === 0) pdf.moveTo(px(rx), py(ry));
      else pdf.lineTo(px(rx), py(ry));
    }
    pdf.closePath();
  }
  pdf.fillAndStroke('#fbf7ec', '#111', 'even-odd');
  for (const each of part.machining) {
    const { x_mm, y_mm, width_mm, height_mm, depth_mm, round, face } = each;
    if (depth_mm === null && !round) continue;
    if (round) pdf.circle(px(x_mm + width_mm / 2), py(y_mm + height_mm / 2), ((width_mm / scale) * PT) / 2);
    else pdf.rect(px(x_mm), py(y_mm + height_mm), (width_mm / scale) * PT, (height_mm / scale) * PT);
    pdf.lineWidth(0.4);
    if (depth_mm === null) pdf.fillAndStroke('#fff', '#111');
    else {
      if (face === 'outer') pdf.dash(1.5, { space: 1 });
      pdf.fillAndStroke('#e6d3ac', GREY).undash();
    }
  }
  pdf.lineWidth(0.4).strokeColor('#080').dash(3, { space: 2 });
  for (const { from, to } of part.bends)
    pdf.moveTo(px(from[0]), py(from[1])).lineTo(px(to[0]), py(to[1])).stroke();
  pdf.undash();
  const under = figuresAlong(paper, 'x', part, px, y + height);
  const beside = figuresAlong(paper, 'y', part, py, x + part.length_mm / scale);
  dimension(
    paper,
    'x',
    x,
    x + part.length_mm / scale,
    y + height + 2.2 + under,
    paper.figure(part.length_mm),
  );
  dimension(paper, 'y', y, y + height, x - 2.2, paper.figure(part.width_mm));
  return height + 7 + under + beside;
}

/** Nearer than this on paper, figures would lie on one another. */
const FIGURE_MM = 2.4;

/**
 * Where what is cut into a part begins and ends, or has its middle if it is round, counted from its left or lower edge:
 * each with a tick at that edge. Returns the height that they take under the part; beside it none.
 */
function figuresAlong(
  paper: Paper,
  axis: 'x' | 'y',
  part: BuildPart,
  at: (mm: number) => number,
  edge: number,
): number {
  const { pdf } = paper;
  const whole = axis === 'x' ? part.length_mm : part.width_mm;
  const ends = part.machining.flatMap(({ x_mm, y_mm, width_mm, height_mm, round }) => {
    const [from, size] = axis === 'x' ? [x_mm, width_mm] : [y_mm, height_mm];
    return round ? [from + size / 2] : [from, from + size];
  });
  const places = [...new Set(ends.map((mm) => Math.round(mm * 100) / 100))]
    .filter((mm) => mm > 0.01 && mm < whole - 0.01)
    .sort((a, b) => a - b);
  if (places.length === 0) return 0;
  pdf.lineWidth(0.3).strokeColor(BLUE).font('plain').fontSize(5.5).fillColor(BLUE);
  let last = Number.NEGATIVE_INFINITY;
  for (const mm of places) {
    const here = axis === 'x' ? at(mm) / PT : -at(mm) / PT;
    const spot = Math.max(here, last + FIGURE_MM);
    last = spot;
    const words = paper.figure(mm);
    if (axis === 'x') {
      pdf
        .moveTo(here * PT, edge * PT)
        .lineTo(spot * PT, (edge + 1.4) * PT)
        .stroke();
      pdf
        .save()
        .translate((spot + 0.9) * PT, (edge + 1.8) * PT)
        .rotate(90)
        .text(words, 0, -1.8, { lineBreak: false })
        .restore();
    } else {
      pdf
        .moveTo(edge * PT, -here * PT)
        .lineTo((edge + 1.4) * PT, -spot * PT)
        .stroke();
      pdf.text(words, (edge + 1.8) * PT, -spot * PT - 3, { lineBreak: false });
    }
  }
  return axis === 'x' ? 7 : 0;
}

/** A sheet with its parts by letter and size, what is left by its size, and each cut with the number of its step. */
export function drawSheet(
  paper: Paper,
  sheet: NestedSheet,
  steps: readonly SawStep[],
  scale: number,
  x: number,
  y: number,
): number {
  const { pdf } = paper;
  const height = sheet.height_mm / scale;
  const px = (mm: number) => (x + mm / scale) * PT;
  const py = (mm: number) => (y + height - mm / scale) * PT;
  pdf
    .lineWidth(0.7)
    .rect(px(0), py(sheet.height_mm), (sheet.width_mm / scale) * PT, height * PT)
    .fillAndStroke('#f4eee0', '#111');
  for (const { name, x_mm, y_mm, width_mm, height_mm } of sheet.placements) {
    pdf
      .lineWidth(0.4)
      .rect(px(x_mm), py(y_mm + height_mm), (width_mm / scale) * PT, (height_mm / scale) * PT)
      .fillAndStroke('#efe2c4', '#333');
    labelIn(paper, { x_mm, y_mm, width_mm, height_mm }, scale, px, py, letterOf(name));
  }
  for (const rest of sheet.offcuts) labelIn(paper, rest, scale, px, py, '');
  steps.forEach(({ cuts }, step) => {
    for (const index of cuts) {
      const cut = sheet.cuts[index];
      if (!cut) continue;
      const { axis, at_mm, from_mm, to_mm } = cut;
      const [ax, ay, bx, by] = axis === 'x' ? [from_mm, at_mm, to_mm, at_mm] : [at_mm, from_mm, at_mm, to_mm];
      pdf.lineWidth(0.35).strokeColor('#a8321f').moveTo(px(ax), py(ay)).lineTo(px(bx), py(by)).stroke();
      // Of cuts side by side one number is enough.
      if (index !== cuts[0]) continue;
      pdf.circle(px(ax), py(ay), 3.4).fillAndStroke('#fff', '#a8321f');
      pdf.font('bold').fontSize(5).fillColor('#a8321f');
      const words = String(step + 1);
      pdf.text(words, px(ax) - pdf.widthOfString(words) / 2, py(ay) - 2.9, { lineBreak: false });
    }
  });
  return height + 3;
}

/** A letter and a size in the middle of a piece, turned where it is narrow, and left out where nobody could read them. */
function labelIn(
  paper: Paper,
  { x_mm, y_mm, width_mm, height_mm }: Omit<NestedSheet['offcuts'][number], 'name'>,
  scale: number,
  px: (mm: number) => number,
  py: (mm: number) => number,
  letter: string,
): void {
  const { pdf } = paper;
  const [wide, high] = [(width_mm / scale) * PT, (height_mm / scale) * PT];
  const words = `${letter} ${paper.figure(width_mm)} × ${paper.figure(height_mm)}`.trim();
  const turned = high > wide;
  pdf.font(letter ? 'bold' : 'plain').fontSize(1);
  const size = Math.min(
    8,
    (0.92 * Math.max(wide, high)) / pdf.widthOfString(words),
    0.8 * Math.min(wide, high),
  );
  if (size < 3) return;
  pdf.fontSize(size).fillColor(letter ? '#111' : GREY);
  pdf
    .save()
    .translate(px(x_mm + width_mm / 2), py(y_mm + height_mm / 2))
    .rotate(turned ? -90 : 0)
    .text(words, -pdf.widthOfString(words) / 2, -size / 2, { lineBreak: false })
    .restore();
}

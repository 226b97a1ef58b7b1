import type { BuildPart, NestedSheet } from '@yellow-cell/contract';
import type { Drawing, SignPiece, SignTone } from '@yellow-cell/core';
import { type Paper, PT } from './paper.ts';

const GREY = '#777';
const BLUE = '#3b628c';
const FILL: Readonly<Record<string, string>> = {
  wall: '#efe2c4',
  frame: '#f0d9a0',
  lug: '#f7ecd2',
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
    if (rect.round) pdf.circle(px(rect.x) + w / 2, py(rect.y) - h / 2, w / 2);
    else pdf.rect(px(rect.x), py(rect.y + rect.height), w, h);
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
  dimension(paper, 'x', x, x + part.length_mm / scale, y + height + 2.2, paper.figure(part.length_mm));
  dimension(paper, 'y', y, y + height, x - 2.2, paper.figure(part.width_mm));
  return height + 7;
}

/** A sheet with its parts by letter and its cuts numbered in their order. */
export function drawSheet(paper: Paper, sheet: NestedSheet, scale: number, x: number, y: number): number {
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
    const letter = name.split(' ')[0] ?? '';
    const size = Math.min(8, (Math.min(width_mm, height_mm) / scale) * PT * 0.7);
    if (size > 2.5) {
      pdf.font('bold').fontSize(size).fillColor('#111');
      const wide = pdf.widthOfString(letter);
      pdf.text(letter, px(x_mm + width_mm / 2) - wide / 2, py(y_mm + height_mm / 2) - size / 2, {
        lineBreak: false,
      });
    }
  }
  sheet.cuts.slice(0, MOST_NUMBERED).forEach(({ axis, at_mm, from_mm, to_mm }, index) => {
    const [ax, ay, bx, by] = axis === 'x' ? [from_mm, at_mm, to_mm, at_mm] : [at_mm, from_mm, at_mm, to_mm];
    pdf.lineWidth(0.35).strokeColor('#a8321f').moveTo(px(ax), py(ay)).lineTo(px(bx), py(by)).stroke();
    pdf.font('plain').fontSize(4.5).fillColor('#a8321f');
    pdf.text(String(index + 1), px(ax) + 1, py(ay) - 5, { lineBreak: false });
  });
  return height + 3;
}
/** More numbers than these cannot be told apart on paper. */
const MOST_NUMBERED = 40;

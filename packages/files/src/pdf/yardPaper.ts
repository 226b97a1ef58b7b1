import type { Measures } from '@yellow-cell/contract';
import {
  type BoxView,
  type CompartmentView,
  compassPoint,
  countOf,
  type Day,
  flightWords,
  isDue,
  isEntrance,
  MARK_PLATE,
  markPaint,
  markSigns,
  markWords,
  roomShare,
  type SignPiece,
  sharedSign,
  showDay,
  showWindow,
  statusLine,
  statusSigns,
  walkingOrder,
  withoutYear,
} from '@yellow-cell/core';
import { QUIET_MODULES, qrSquares } from '../qr.ts';
import { drawBox, paintAt, signAt } from './drawings.ts';
import { MARGIN_MM, Paper, type PaperName, PT } from './paper.ts';

export interface YardPaper {
  what: 'cards' | 'day' | 'plan';
  paper: PaperName;
  yard: { id: string; name: string };
  on: Day;
  boxes: readonly BoxView[];
  /** Where the program is reached, for the codes. */
  address: string;
  measures: Measures;
}

/** What a yard needs on paper: a card for each box, the list of the day as one walks, or the plan of the stands. */
export async function yardPaperPdf(yardPaper: YardPaper): Promise<Uint8Array> {
  const { what, yard, on } = yardPaper;
  const title = { cards: 'Box cards', day: 'List of the day', plan: 'Yard plan' }[what];
  const paper = new Paper(yardPaper.paper, `${title}: ${yard.name}`, yardPaper.measures);
  if (what === 'cards') cards(paper, yardPaper);
  else if (what === 'day') dayList(paper, yardPaper);
  else plan(paper, yardPaper);
  return await paper.bytes(`${title} of ${yard.name}, ${showDay(on)}`);
}

/** Sizes of a card in mm. */
const CARD = { gap: 4, inset: 3, code: 26, edge: 8, left: 78, room: 13.4, write: 5.2 } as const;
const CARDS_ON_PAGE = 3;

/** Three cards on a page, to be cut apart: at the left its name, code and picture; at the right every compartment with a line to write on. */
function cards(paper: Paper, { boxes, yard, on, address }: YardPaper): void {
  const third = (paper.bottom - MARGIN_MM - (CARDS_ON_PAGE - 1) * CARD.gap) / CARDS_ON_PAGE;
  for (const view of boxes) {
    const tall = Math.max(third, 2 * CARD.inset + view.compartments.length * (CARD.room + CARD.write));
    paper.need(tall);
    const top = paper.y;
    paper.pdf
      .lineWidth(0.8)
      .rect(MARGIN_MM * PT, top * PT, paper.inner * PT, tall * PT)
      .stroke('#111');
    const [x, y, height] = [MARGIN_MM + CARD.inset, top + CARD.inset, tall - 2 * CARD.inset];
    nameAndPicture(paper, view, { x, y, height }, `${address}/yard/${yard.id}?box=${view.box.id}`, yard.name);
    paper.y = y;
    rooms(paper, view, x + CARD.left + 6, y + height, on);
    paper.y = top + tall + CARD.gap;
  }
}

function nameAndPicture(
  paper: Paper,
  view: BoxView,
  { x, y, height }: { x: number; y: number; height: number },
  address: string,
  yard: string,
): void {
  const { box, designName } = view;
  const width = CARD.left - CARD.code - 2;
  paper.y = y - 2;
  paper.text(box.label, { size: 36, bold: true, x, width, gap: 0 });
  paper.text(`${designName}, version ${box.version}`, { size: 9, x, width, gap: 0.5 });
  if (box.place)
    paper.text(`${yard}, stand ${box.place.stand}; front to the ${compassPoint(box.place.bearing_deg)}`, {
      size: 9,
      x,
      width,
    });
  code(paper, address, x + CARD.left - CARD.code, y, CARD.code);
  const top = Math.max(paper.y, y + CARD.code);
  picture(paper, view, { x, y: top, width: CARD.left, height: y + height - top - 3 });
  paper.y = y + height - 3;
  paper.text('From above, the front below.', { size: 8, x, width: CARD.left, gap: 0 });
}

/** Each room with its sign, what stands of it, what is due, and lines to write on down to the card's end. */
function rooms(paper: Paper, view: BoxView, x: number, end: number, on: Day): void {
  const width = paper.width - MARGIN_MM - CARD.inset - x;
  const line = () =>
    paper.pdf
      .lineWidth(0.3)
      .moveTo(x * PT, paper.y * PT)
      .lineTo((x + width) * PT, paper.y * PT)
      .stroke('#888');
  for (const [index, compartment] of view.compartments.entries()) {
    signAt(paper, signOf(compartment), x + 2.4, paper.y + 2.6, 5);
    paper.text(`${compartment.name}: ${statusLine(compartment, on)}`, {
      size: 12,
      bold: true,
      x: x + 6.5,
      width: width - 6.5,
      gap: 0.3,
    });
    paper.text(lineOf(view, compartment, index, on), { size: 10, x, width });
    if (paper.y + CARD.write - 1 > end) continue;
    paper.y += CARD.write - 1;
    line();
    paper.y += 1.5;
  }
  while (paper.y + CARD.write + 1 < end) {
    paper.y += CARD.write + 1;
    line();
  }
}

const signOf = ({ status, shares }: CompartmentView): readonly SignPiece[] =>
  shares === undefined ? statusSigns[status] : sharedSign;

/** The box as the map has it: each room with its sign and name, each entrance with an arrow and its mark. */
function picture(
  paper: Paper,
  { drawing, model, compartments }: BoxView,
  { x, y, width, height }: { x: number; y: number; width: number; height: number },
): void {
  const { pdf } = paper;
  const [wide, high] = [drawing.x[1] - drawing.x[0], drawing.y[1] - drawing.y[0]];
  const scale = Math.max(wide / (width - 2 * CARD.edge), high / (height - 2 * CARD.edge));
  const left = x + (width - wide / scale) / 2;
  const top = y + (height - high / scale) / 2;
  drawBox(paper, drawing, scale, left, top);
  const at = ([from, to]: readonly [number, number], [near, far]: readonly [number, number]) => ({
    x: left + (from - drawing.x[0]) / scale,
    y: top + (drawing.y[1] - far) / scale,
    width: (to - from) / scale,
    height: (far - near) / scale,
  });
  compartments.forEach((compartment, index) => {
    const room = model.compartments[index];
    if (!room) return;
    const area = roomShare(at(room.x, room.block.y), model.compartments, index);
    const sign = Math.min(7.2, area.width * 0.9, area.height * 0.55);
    const [cx, cy] = [area.x + area.width / 2, area.y + area.height / 2 - sign / 2];
    pdf
      .lineWidth(0.4)
      .circle(cx * PT, cy * PT, (sign / 2) * PT)
      .fillAndStroke('#fff', '#777');
    signAt(paper, signOf(compartment), cx, cy, sign * 0.78);
    nameUnder(paper, compartment.name, cx, cy + sign / 2, area);
  });
  for (const { opening, x: across, y: along } of model.openings.filter(isEntrance)) {
    const hole = at(across, along);
    const [dx, dy] = OUTWARDS[opening.side];
    const [ex, ey] = [
      hole.x + hole.width / 2 + (dx * hole.width) / 2,
      hole.y + hole.height / 2 + (dy * hole.height) / 2,
    ];
    const tip = (by: number, aside: number) =>
      [(ex + dx * by - dy * aside) * PT, (ey + dy * by + dx * aside) * PT] as const;
    pdf.polygon([...tip(0.5, 0)], [...tip(2.8, 1.2)], [...tip(2.8, -1.2)]).fill('#111');
    if (opening.mark) {
      const { plate, shape } = markPaint[opening.mark.colour];
      const [mx, my] = [ex + dx * 5.2, ey + dy * 5.2];
      paintAt(paper, mx, my, 4.2, () => {
        pdf.path(MARK_PLATE).lineWidth(1).fillAndStroke(plate, '#111');
      });
      signAt(paper, markSigns[opening.mark.shape], mx, my, 4.2, shape);
    }
  }
}

/** A name in the picture is no larger than this, and where it would be smaller than the other it is left to the list beside. */
const NAME_PT = { most: 9, least: 5.5 };

/** The name of a room below its sign, across it or along its combs, whichever has more room. */
function nameUnder(
  { pdf }: Paper,
  name: string,
  x: number,
  y: number,
  area: { y: number; width: number; height: number },
): void {
  const left = area.y + area.height - y - 1;
  const wide = pdf.font('bold').fontSize(1).widthOfString(name) / PT;
  const fits = { across: Math.min((area.width - 0.6) / wide, (left / 1.3) * PT), along: left / wide };
  const lies = fits.along > fits.across;
  const size = Math.min(NAME_PT.most, Math.max(fits.across, fits.along));
  if (size < NAME_PT.least) return;
  const [long, high] = [wide * size + 0.8, (size / PT) * 1.15];
  pdf
    .fontSize(size)
    .save()
    .translate(x * PT, (y + 0.5 + (lies ? long : high) / 2) * PT)
    .rotate(lies ? -90 : 0)
    .rect((-long / 2) * PT, (-high / 2) * PT, long * PT, high * PT)
    .fill('#fff')
    .fillColor('#111')
    .text(name, (0.4 - long / 2) * PT, (-high / 2) * PT, { lineBreak: false })
    .restore();
}

/** Away from the box, on paper, where y grows downwards. */
const OUTWARDS = { front: [0, 1], back: [0, -1], left: [-1, 0], right: [1, 0] } as const;

/** What is due, or where nothing is, what comes next. */
const workOf = ({ due, first }: CompartmentView, on: Day): string[] =>
  (due.length > 0 ? due : first ? [first] : []).map(
    ({ title, from, to }) => `${title}, ${showWindow(from, to, on)}`,
  );

function lineOf({ box, model }: BoxView, compartment: CompartmentView, index: number, on: Day): string {
  const { frames } = compartment;
  const entrances = model.compartments[index]?.entrances ?? [];
  const marks = [...new Set(entrances.flatMap(({ opening: { mark } }) => (mark ? [markWords(mark)] : [])))];
  return [
    countOf(frames, 'frame'),
    (box.place && flightWords(entrances, box.place.bearing_deg)) ?? '',
    marks.length > 0 ? `mark: ${marks.join(', ')}` : '',
    ...workOf(compartment, on),
  ]
    .filter(Boolean)
    .join(' · ');
}

function code(paper: Paper, address: string, x: number, y: number, size: number): void {
  const { count, dark } = qrSquares(address);
  const step = size / (count + 2 * QUIET_MODULES);
  for (const square of dark)
    paper.pdf.rect(
      (x + (square.x + QUIET_MODULES) * step) * PT,
      (y + (square.y + QUIET_MODULES) * step) * PT,
      step * PT,
      step * PT,
    );
  paper.pdf.fill('#000');
}

const BOX_MM = 4;
/** Heights of a box's heading and of one piece of work, at most. */
const HEADING_MM = 9;
const DUE_MM = 20;

/** What is due, in the order of a walk, each with a box to tick and a line to write on. */
function dayList(paper: Paper, { boxes, yard, on }: YardPaper): void {
  paper.text(`${yard.name}, ${showDay(on)}`, { size: 15, bold: true });
  const walk = walkingOrder(
    boxes.filter(({ compartments }) => compartments.some(isDue)),
    ({ box }) => box.place,
  );
  if (walk.length === 0) paper.text('Nothing is due in this yard on this day.');
  for (const { box, compartments } of walk) {
    const lines = compartments.filter(isDue).flatMap(({ due }) => due).length;
    // A box is not torn apart by the end of a page, unless it is longer than one.
    paper.need(Math.min(HEADING_MM + lines * DUE_MM, paper.bottom - MARGIN_MM));
    paper.heading(`${box.label}${box.place ? `, stand ${box.place.stand}` : ''}`);
    for (const compartment of compartments.filter(isDue)) {
      const { name, due } = compartment;
      for (const work of due) {
        paper.need(14);
        const top = paper.y;
        paper.pdf
          .lineWidth(0.7)
          .rect(MARGIN_MM * PT, (top + 0.4) * PT, BOX_MM * PT, BOX_MM * PT)
          .stroke('#111');
        const x = MARGIN_MM + BOX_MM + 3;
        paper.text(`${name}: ${work.title}`, { bold: true, x, gap: 0 });
        paper.text(
          `${statusLine(compartment, on)}. ${withoutYear(work.reason, on)} ${work.to < on ? `Overdue since ${showDay(work.to, on)}.` : `By ${showDay(work.to, on)}.`}`,
          { size: 9, x, gap: 4 },
        );
        paper.pdf
          .lineWidth(0.3)
          .moveTo(x * PT, (paper.y - 1) * PT)
          .lineTo((paper.width - MARGIN_MM) * PT, (paper.y - 1) * PT)
          .stroke('#888');
        paper.y += 2;
      }
    }
  }
  paper.text(
    'Veil and gloves; whoever has reacted to stings keeps away or works under a doctor’s advice. Two people over 20 kg.',
    { size: 9 },
  );
}

/** Boxes drawn larger than to the plan's scale, so that they can be read. */
const BOX_SIDE_MM = 16;

/** Stands from above, north up, each box with its label, its front and its status signs in words. */
function plan(paper: Paper, { boxes, yard, on }: YardPaper): void {
  paper.text(`${yard.name}, ${showDay(on)}`, { size: 15, bold: true });
  paper.text('North is up. A thick edge is the front of a box.', { size: 8 });
  const placed = boxes.flatMap(({ box, compartments }) =>
    box.place ? [{ box, place: box.place, compartments }] : [],
  );
  if (placed.length === 0) {
    paper.text('No box stands here.');
    return;
  }
  const span = (pick: (each: (typeof placed)[number]) => number) => {
    const all = placed.map(pick);
    return [Math.min(...all), Math.max(...all)] as const;
  };
  const [west, east] = span(({ place }) => place.east_m);
  const [south, north] = span(({ place }) => place.north_m);
  const top = paper.y + BOX_SIDE_MM;
  const room = { width: paper.inner - 2 * BOX_SIDE_MM, height: paper.bottom - top - 2 * BOX_SIDE_MM };
  const scale = Math.min(room.width / Math.max(1, east - west), room.height / Math.max(1, north - south));
  northArrow(paper, paper.width - MARGIN_MM - 6, MARGIN_MM + 9);
  for (const { box, place, compartments } of placed) {
    const x = MARGIN_MM + BOX_SIDE_MM + (place.east_m - west) * scale;
    const y = top + (north - place.north_m) * scale;
    const half = BOX_SIDE_MM / 2;
    const turn = (place.bearing_deg * Math.PI) / 180;
    const reach = half * (Math.abs(Math.sin(turn)) + Math.abs(Math.cos(turn)));
    const { pdf } = paper;
    pdf.save().rotate(place.bearing_deg - 180, { origin: [x * PT, y * PT] });
    pdf
      .lineWidth(0.8)
      .rect((x - half) * PT, (y - half) * PT, BOX_SIDE_MM * PT, BOX_SIDE_MM * PT)
      .fillAndStroke('#f7ecd2', '#111');
    pdf
      .lineWidth(2.2)
      .moveTo((x - half) * PT, (y + half) * PT)
      .lineTo((x + half) * PT, (y + half) * PT)
      .stroke('#111');
    pdf.restore();
    pdf.font('bold').fontSize(9).fillColor('#111');
    const wide = pdf.widthOfString(box.label) / PT;
    pdf.text(box.label, (x - wide / 2) * PT, (y - 1.6) * PT, { lineBreak: false });
    pdf.font('plain').fontSize(5.5);
    const due = compartments.filter(isDue).length;
    const words = `stand ${place.stand}${due > 0 ? `, ${due} due` : ''}`;
    const under = pdf.widthOfString(words) / PT;
    pdf.text(words, (x - under / 2) * PT, (y + reach + 1.5) * PT, { lineBreak: false });
  }
  paper.y = paper.bottom;
}

/** An arrow to the north, which is up. */
function northArrow({ pdf }: Paper, x: number, y: number): void {
  const at = (dx: number, dy: number): [number, number] => [(x + dx) * PT, (y + dy) * PT];
  pdf.polygon(at(0, -6), at(2.6, 4), at(0, 2.4), at(-2.6, 4)).fillAndStroke('#111', '#111');
  pdf.font('bold').fontSize(10).fillColor('#111');
  pdf.text('N', (x - 1.3) * PT, (y + 5) * PT, { lineBreak: false });
}

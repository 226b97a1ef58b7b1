import type { Measures } from '@yellow-cell/contract';
import {
  type BoxView,
  type CompartmentView,
  compassPoint,
  type Day,
  isDue,
  markWords,
  showDay,
  showWindow,
  sideBearing,
  statusLine,
  walkingOrder,
  withoutYear,
} from '@yellow-cell/core';
import { QUIET_MODULES, qrSquares } from '../qr.ts';
import { drawBox } from './drawings.ts';
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

const CARD = { gap: 4, code: 26, drawing: 44 } as const;

/** Two cards across; each with its code, the box from above, and a line or two for every compartment. */
function cards(paper: Paper, { boxes, yard, on, address }: YardPaper): void {
  const width = (paper.inner - CARD.gap) / 2;
  for (let at = 0; at < boxes.length; at += 2) {
    const pair = boxes.slice(at, at + 2);
    const tall = Math.max(...pair.map(({ compartments }) => CARD.drawing + 38 + compartments.length * 13));
    paper.need(tall + CARD.gap);
    const top = paper.y;
    pair.forEach((view, index) => {
      const x = MARGIN_MM + index * (width + CARD.gap);
      paper.pdf
        .lineWidth(0.8)
        .rect(x * PT, top * PT, width * PT, tall * PT)
        .stroke('#111');
      card(paper, view, { x: x + 3, y: top + 3, width: width - 6 }, yard, on, address);
    });
    paper.y = top + tall + CARD.gap;
  }
}

function card(
  paper: Paper,
  view: BoxView,
  { x, y, width }: { x: number; y: number; width: number },
  yard: YardPaper['yard'],
  on: Day,
  address: string,
): void {
  const { box, designName, drawing, compartments } = view;
  const words = width - CARD.code - 2;
  paper.y = y;
  paper.text(box.label, { size: 22, bold: true, x, width: words });
  paper.text(`${designName}, version ${box.version}`, { size: 8, x, width: words });
  if (box.place)
    paper.text(
      `${yard.name}, stand ${box.place.stand}; front to the ${compassPoint(box.place.bearing_deg)}`,
      { size: 8, x, width: words },
    );
  code(paper, `${address}/yard/${yard.id}?box=${box.id}`, x + width - CARD.code, y, CARD.code);
  const top = Math.max(paper.y, y + CARD.code) + 2;
  const [wide, high] = [drawing.x[1] - drawing.x[0], drawing.y[1] - drawing.y[0]];
  const scale = Math.max(wide / width, high / CARD.drawing);
  drawBox(paper, drawing, scale, x + (width - wide / scale) / 2, top);
  paper.y = top + high / scale + 1;
  paper.text('From above, the front below.', { size: 6.5, x, width });
  for (const [index, compartment] of compartments.entries()) {
    paper.text(`${compartment.name}: ${statusLine(compartment, on)}`, {
      size: 8.5,
      bold: true,
      x,
      width,
      gap: 0,
    });
    paper.text(lineOf(view, compartment, index, on), { size: 7.5, x, width });
  }
}

/** What is due, or where nothing is, what comes next. */
const workOf = ({ due, first }: CompartmentView, on: Day): string[] =>
  (due.length > 0 ? due : first ? [first] : []).map(
    ({ title, from, to }) => `${title}, ${showWindow(from, to, on)}`,
  );

function lineOf({ box, model }: BoxView, compartment: CompartmentView, index: number, on: Day): string {
  const { frames } = compartment;
  const entrances = model.compartments[index]?.entrances ?? [];
  const flies = [...new Set(entrances.map(({ opening: { side } }) => side))].map((side) =>
    compassPoint(sideBearing(box.place?.bearing_deg ?? 180, side)),
  );
  const marks = [...new Set(entrances.flatMap(({ opening: { mark } }) => (mark ? [markWords(mark)] : [])))];
  return [
    `${frames} frames`,
    flies.length > 0 ? `flies ${flies.join(' and ')}` : '',
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

/** What is due, in the order of a walk, each with a box to tick and a line to write on. */
function dayList(paper: Paper, { boxes, yard, on }: YardPaper): void {
  paper.text(`${yard.name}, ${showDay(on)}`, { size: 15, bold: true });
  const walk = walkingOrder(
    boxes.filter(({ compartments }) => compartments.some(isDue)),
    ({ box }) => box.place,
  );
  if (walk.length === 0) paper.text('Nothing is due in this yard on this day.');
  for (const { box, compartments } of walk) {
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
          {
            size: 7.5,
            x,
            gap: 4,
          },
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
    {
      size: 7.5,
    },
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
  for (const { box, place, compartments } of placed) {
    const x = MARGIN_MM + BOX_SIDE_MM + (place.east_m - west) * scale;
    const y = top + (north - place.north_m) * scale;
    const half = BOX_SIDE_MM / 2;
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
    pdf.text(words, (x - under / 2) * PT, (y + half + 2.5) * PT, { lineBreak: false });
  }
  paper.y = paper.bottom;
}

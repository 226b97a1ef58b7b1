import type {
  BuildPart,
  BuildStep,
  DesignContent,
  Joint,
  Measures,
  NestAnswer,
  PartsAnswer,
} from '@yellow-cell/contract';
import {
  boxFromAbove,
  boxInSection,
  countOf,
  type Drawing,
  deriveBox,
  earliestDays,
  familyName,
  likeSheets,
  type SheetGroup,
  sawSteps,
  sawWords,
  sheetsCaution,
} from '@yellow-cell/core';
import { machiningWords } from '../csv.ts';
import { dimension, drawBox, drawPart, drawSheet } from './drawings.ts';
import { MARGIN_MM, Paper, type PaperName, PT } from './paper.ts';
import { scaleFor } from './scale.ts';

export interface BuildSheet {
  name: string;
  design: DesignContent;
  joint: Joint;
  boxes: number;
  paper: PaperName;
  measures: Measures;
  answer: PartsAnswer;
  sheets: readonly { group: SheetGroup; nested: NestAnswer | undefined; cost: number | null }[];
  steps: readonly BuildStep[];
}

const JOINTS: Readonly<Record<Joint, string>> = {
  butt: 'butt joints, ends between the sides',
  rebate: 'ends in rebates of the sides',
  box: 'box joints',
};

/** All that a shed needs on paper: drawings at a stated scale, cut list, sheets with the order of cuts, and the steps to tick. */
export async function buildSheetPdf(sheet: BuildSheet): Promise<Uint8Array> {
  const paper = new Paper(sheet.paper, `Build sheet: ${sheet.name}`, sheet.measures);
  frontPage(paper, sheet);
  cutList(paper, sheet);
  const cut = sheet.answer.parts.filter(({ printed }) => !printed);
  if (cut.length > 0) partDrawings(paper, cut);
  sheetPages(paper, sheet);
  stepPages(paper, sheet);
  return await paper.bytes(
    `${sheet.name}, build sheet in ${sheet.measures.length === 'mm' ? 'millimetres' : 'inches'}; what is drawn 1 : n is that true on paper printed at 100 %`,
  );
}

function frontPage(paper: Paper, { name, design, joint, boxes, answer }: BuildSheet): void {
  const model = deriveBox(design);
  const body = model.stack.bodies[0];
  paper.text(name, { size: 18, bold: true, gap: 1 });
  paper.text(
    `${familyName(design.family)}. ${boxes} to build, ${JOINTS[joint]}. Seen from above, the front is at the left.`,
    { gap: 1 },
  );
  if (body) {
    const size = (span: readonly [number, number]) => paper.figure(span[1] - span[0]);
    paper.text(
      `Inside ${size(body.inside.x)} wide and ${size(body.inside.y)} long, ${paper.figure(body.body.depth.mm)} deep; outside ${size(body.outside.x)} × ${size(body.outside.y)} with walls of ${paper.figure(body.body.wall.mm)}. What matters is the inside; the outside follows.`,
      { gap: 1 },
    );
  }
  const { empty_kg, season_kg, full_kg, sentence } = answer.weights;
  paper.text(
    `Empty ${empty_kg.toFixed(1)} kg, in season about ${season_kg.toFixed(1)} kg, full of honey ${full_kg.toFixed(1)} kg. ${sentence}`,
    { gap: 1 },
  );
  const open = answer.closures.filter(({ holds }) => !holds);
  paper.text(
    open.length === 0
      ? answer.closures.length === 0
        ? 'Printed parts are listed by the room that they fill.'
        : 'All parts close: they make up the measures of the drawing.'
      : `Not closing: ${open.map((each) => each.sentence).join(' ')}`,
    { bold: open.length > 0, gap: 3 },
  );
  const above = lying(boxFromAbove(model));
  const section = boxInSection(model, 'across');
  const wide = Math.max(above.x[1] - above.x[0], section.x[1] - section.x[0]);
  const tall = above.y[1] - above.y[0] + section.y[1] - section.y[0];
  const scale = scaleFor([wide, tall], [paper.inner - 16, paper.bottom - paper.y - 34]);
  view(
    paper,
    above,
    scale,
    `From above, 1 : ${scale}`,
    body && paper.figure(body.inside.y[1] - body.inside.y[0]),
    body && paper.figure(body.inside.x[1] - body.inside.x[0]),
    body && { x: body.inside.y, y: body.inside.x },
  );
  view(
    paper,
    section,
    scale,
    `Cut across the frames, seen from the front, 1 : ${scale}`,
    body && paper.figure(body.inside.x[1] - body.inside.x[0]),
    body && paper.figure(body.body.depth.mm),
    body && { x: body.inside.x, y: body.z },
  );
}

/** As on the bench: the frames lie across the sheet, the front at the left. */
function lying(drawing: Drawing): Drawing {
  return {
    ...drawing,
    x: drawing.y,
    y: [-drawing.x[1], -drawing.x[0]],
    rects: drawing.rects.map((rect) => ({
      ...rect,
      x: rect.y,
      y: -(rect.x + rect.width),
      width: rect.height,
      height: rect.width,
    })),
  };
}

function view(
  paper: Paper,
  drawing: Drawing,
  scale: number,
  title: string,
  along: string | undefined,
  up: string | undefined,
  inside: { x: readonly [number, number]; y: readonly [number, number] } | undefined,
): void {
  const tall = (drawing.y[1] - drawing.y[0]) / scale;
  paper.need(tall + 14);
  paper.text(title, { bold: true, gap: 2 });
  const [x, y] = [MARGIN_MM + 10, paper.y];
  drawBox(paper, drawing, scale, x, y);
  if (inside && along && up) {
    const fromX = x + (inside.x[0] - drawing.x[0]) / scale;
    dimension(paper, 'x', fromX, fromX + (inside.x[1] - inside.x[0]) / scale, y + tall + 2.5, along);
    // From above the sheet's y runs against the box's x.
    const lies = drawing.view === 'above';
    const top = lies ? y + (inside.y[0] + drawing.y[1]) / scale : y + (drawing.y[1] - inside.y[1]) / scale;
    dimension(paper, 'y', top, top + (inside.y[1] - inside.y[0]) / scale, x - 3, up);
  }
  paper.y = y + tall + 9;
}

function cutList(paper: Paper, { answer, boxes }: BuildSheet): void {
  paper.newPage();
  paper.heading(`Cut list, for ${countOf(boxes, 'box', 'boxes')}`);
  const columns = [
    MARGIN_MM,
    MARGIN_MM + 8,
    MARGIN_MM + 52,
    MARGIN_MM + 62,
    MARGIN_MM + 104,
    MARGIN_MM + 126,
  ];
  const row = (cells: readonly string[], bold = false) => {
    const [size, start] = [7.5, paper.y];
    paper.pdf.font(bold ? 'bold' : 'plain').fontSize(size);
    const width = (index: number) =>
      (columns[index + 1] ?? paper.width - MARGIN_MM) - (columns[index] ?? 0) - 1.5;
    const tall = Math.max(
      ...cells.map((cell, index) => paper.pdf.heightOfString(cell, { width: width(index) * PT }) / PT),
    );
    paper.need(tall + 1.5);
    const top = paper.y;
    cells.forEach((cell, index) => {
      paper.pdf
        .font(bold ? 'bold' : 'plain')
        .fontSize(size)
        .fillColor('#111');
      paper.pdf.text(cell, (columns[index] ?? 0) * PT, top * PT, { width: width(index) * PT });
    });
    paper.y = top + tall + 1.5;
    paper.pdf
      .lineWidth(0.25)
      .strokeColor('#bbb')
      .moveTo(MARGIN_MM * PT, (paper.y - 0.8) * PT)
      .lineTo((paper.width - MARGIN_MM) * PT, (paper.y - 0.8) * PT)
      .stroke();
    return start;
  };
  row(
    ['', 'part', 'count', 'length × width × thick', 'material', 'cut into it, seen from the inner face'],
    true,
  );
  for (const part of answer.parts)
    row([
      part.key,
      part.name,
      String(part.count * boxes),
      `${paper.figure(part.length_mm)} × ${paper.figure(part.width_mm)} × ${paper.figure(part.thickness_mm)}`,
      part.printed
        ? 'printed'
        : `${part.material}${part.grain === 'none' ? '' : `, grain along ${part.grain}`}`,
      machiningWords(part, (mm) => paper.figure(mm)),
    ]);
  paper.heading('Fittings');
  paper.text(answer.fittings.map(({ name, count }) => `${count * boxes} × ${name}`).join(', '));
}

/** All at one scale, so that they can be held against each other; two in a row where they are narrow. */
function partDrawings(paper: Paper, parts: readonly BuildPart[]): void {
  paper.newPage();
  const longest = Math.max(...parts.map(({ length_mm }) => length_mm));
  const tallest = Math.max(...parts.map(({ width_mm }) => width_mm));
  const scale = scaleFor([longest, tallest], [paper.inner - 10, 120]);
  paper.heading(`Parts, 1 : ${scale}, seen from the inner face`);
  paper.text('Shaded: cut to the depth in the cut list; dashed: from the outer face; green: bend.', {
    size: 7.5,
    gap: 3,
  });
  let x = MARGIN_MM + 6;
  let rowTall = 0;
  for (const part of parts) {
    const [wide, tall] = [part.length_mm / scale, part.width_mm / scale];
    const labelled = Math.max(wide, 34);
    if (x + labelled > paper.width - MARGIN_MM && x > MARGIN_MM + 6) {
      paper.y += rowTall;
      x = MARGIN_MM + 6;
      rowTall = 0;
    }
    if (paper.y + tall + 14 > paper.bottom) {
      paper.newPage();
      x = MARGIN_MM + 6;
      rowTall = 0;
    }
    const top = paper.y;
    paper.pdf.font('bold').fontSize(7).fillColor('#111');
    const label = `${part.key} ${part.name} (${part.count})`;
    const tallLabel = paper.pdf.heightOfString(label, { width: labelled * PT }) / PT;
    paper.pdf.text(label, x * PT, top * PT, { width: labelled * PT });
    const drawn = drawPart(paper, part, scale, x, top + tallLabel + 1);
    rowTall = Math.max(rowTall, drawn + tallLabel + 4);
    paper.y = top;
    x += labelled + 12;
  }
  paper.y += rowTall;
}

function sheetPages(paper: Paper, { sheets }: BuildSheet): void {
  paper.newPage();
  paper.heading('Sheets, with the order of cuts');
  paper.text(
    'Numbers in circles are steps of the list below each sheet; the fence is set to what is cut off.',
    { size: 8, gap: 0.8 },
  );
  paper.text(`Take care: ${sheetsCaution}`, { size: 8, bold: true, gap: 2 });
  for (const { group, nested, cost } of sheets) {
    const [first] = nested?.sheets ?? [];
    const tall = first
      ? first.height_mm / scaleFor([first.width_mm, first.height_mm], [paper.inner, 100])
      : 0;
    paper.need(24 + tall);
    paper.text(
      `${Number(group.thickness_mm.toFixed(1))} mm ${group.material}${group.sheet ? `: ${group.sheet.name}` : ''}`,
      { bold: true, size: 10 },
    );
    if (group.remark) paper.text(group.remark);
    if (!nested) continue;
    paper.text(
      `${countOf(nested.sheets.length, 'sheet')}, ${Math.round(nested.yield * 100)} % of them in parts${cost === null ? '' : `, cost ${cost.toFixed(2)}`}.`,
    );
    for (const { sheet, count } of likeSheets(nested.sheets)) {
      const scale = scaleFor([sheet.width_mm, sheet.height_mm], [paper.inner, 100]);
      const steps = sawSteps(sheet, group.question?.kerf_mm ?? 0);
      paper.need(sheet.height_mm / scale + 12 + steps.length * 5);
      paper.text(
        `Saw ${count} like this: ${sheet.offcut ?? `${paper.figure(sheet.width_mm)} × ${paper.figure(sheet.height_mm)}`}, 1 : ${scale}, ${countOf(sheet.cuts.length, 'cut')}`,
        { size: 9, bold: true, gap: 2 },
      );
      paper.y += drawSheet(paper, sheet, steps, scale, MARGIN_MM, paper.y);
      steps.forEach((step, index) => {
        paper.text(`${index + 1}. ${sawWords(step, (mm) => paper.figure(mm))}`, { size: 8, gap: 0.6 });
      });
      paper.y += 3;
    }
    paper.y += 2;
  }
}

function stepPages(paper: Paper, { steps }: BuildSheet): void {
  paper.newPage();
  paper.heading('Steps');
  const days = earliestDays(steps);
  steps.forEach((step, index) => {
    paper.need(24);
    const day = days[index] ?? 0;
    paper.text(`${index + 1}. ${step.title}${day > 0 ? ` (not before day ${day + 1})` : ''}`, {
      bold: true,
      size: 10,
      gap: 0.5,
    });
    paper.text(step.text, { gap: 0.8 });
    if (step.tools.length > 0) paper.text(`Tools: ${step.tools.join(', ')}.`, { size: 8, gap: 0.8 });
    if (step.caution) paper.text(`Take care: ${step.caution}`, { size: 8, bold: true, gap: 0.8 });
    for (const check of step.checks) {
      paper.need(5);
      paper.pdf
        .lineWidth(0.5)
        .strokeColor('#111')
        .rect((MARGIN_MM + 2) * PT, (paper.y + 0.3) * PT, 2.6 * PT, 2.6 * PT)
        .stroke();
      paper.text(check, { x: MARGIN_MM + 7, gap: 0.8 });
    }
    paper.y += 2;
  });
  paper.text(
    'Tools by their manuals and with a trained person first; what touches bees must be fit for food; local rules come before this sheet.',
    { size: 8 },
  );
}

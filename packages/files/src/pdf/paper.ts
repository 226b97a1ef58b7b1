import { createRequire } from 'node:module';
import type { Measures } from '@yellow-cell/contract';
import { inMeasures, showLengthBare } from '@yellow-cell/core';
import PDFDocument from 'pdfkit';

/** Points to a millimetre. */
export const PT = 72 / 25.4;
export type PaperName = 'A4' | 'Letter';
export const papers: Readonly<Record<PaperName, readonly [number, number]>> = {
  A4: [210, 297],
  Letter: [215.9, 279.4],
};
export const MARGIN_MM = 12;

/** One document with its pen; all lengths in mm from the upper left corner, all that is written in the measures of who reads it. */
export class Paper {
  readonly pdf: PDFKit.PDFDocument;
  readonly measures: Measures;
  readonly width: number;
  readonly height: number;
  /** Where writing goes on. */
  y = MARGIN_MM;

  constructor(name: PaperName, title: string, measures: Measures) {
    this.measures = measures;
    [this.width, this.height] = papers[name] as [number, number];
    this.pdf = new PDFDocument({
      size: [this.width * PT, this.height * PT],
      margin: 0,
      bufferPages: true,
      info: { Title: title, Creator: 'Yellow Cell' },
    });
    const find = createRequire(import.meta.url);
    this.pdf
      .registerFont('plain', find.resolve('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf'))
      .registerFont('bold', find.resolve('dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf'))
      .font('plain');
  }

  get inner(): number {
    return this.width - 2 * MARGIN_MM;
  }
  get bottom(): number {
    return this.height - MARGIN_MM - 6;
  }

  /** A length without its unit, which the page states once. */
  figure(mm: number): string {
    return showLengthBare(mm, this.measures.length);
  }
  /** What the program says, in the reader's measures. */
  said(words: string): string {
    return inMeasures(words, this.measures);
  }

  newPage(): void {
    this.pdf.addPage();
    this.y = MARGIN_MM;
  }
  /** A new page where so much does not fit on this one. */
  need(mm: number): void {
    if (this.y + mm > this.bottom) this.newPage();
  }

  text(
    told: string,
    more: { size?: number; bold?: boolean; x?: number; width?: number; gap?: number } = {},
  ): void {
    const { size = 9, bold = false, x = MARGIN_MM, width = this.width - MARGIN_MM - x, gap = 1 } = more;
    const words = this.said(told);
    this.pdf.font(bold ? 'bold' : 'plain').fontSize(size);
    const tall = this.pdf.heightOfString(words, { width: width * PT }) / PT;
    this.need(tall);
    this.pdf.fillColor('#111').text(words, x * PT, this.y * PT, { width: width * PT });
    this.y += tall + gap;
  }
  heading(words: string): void {
    this.need(14);
    this.y += 2;
    this.text(words, { size: 12, bold: true, gap: 1.5 });
  }

  /** Numbers every page, and gives the whole as bytes. */
  async bytes(foot: string): Promise<Uint8Array> {
    const { start, count } = this.pdf.bufferedPageRange();
    for (let page = start; page < start + count; page++) {
      this.pdf.switchToPage(page);
      this.pdf
        .font('plain')
        .fontSize(7.5)
        .fillColor('#555')
        .text(
          `${this.said(foot)} · page ${page - start + 1} of ${count}`,
          MARGIN_MM * PT,
          (this.height - MARGIN_MM) * PT,
          {
            width: this.inner * PT,
            lineBreak: false,
          },
        );
    }
    const chunks: Uint8Array[] = [];
    return await new Promise((resolve, reject) => {
      this.pdf.on('data', (chunk: Uint8Array) => chunks.push(chunk));
      this.pdf.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))));
      this.pdf.on('error', reject);
      this.pdf.end();
    });
  }
}

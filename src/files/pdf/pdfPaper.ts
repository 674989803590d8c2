import { sayGaits, type GaitWords } from '@/core';
import PDFDocument from 'pdfkit';
import { PDF_FONTS, pdfRuns } from './pdfText';

export type PaperSize = 'a4' | 'letter';

/** Millimetres (ISO 216; ANSI/ASME Y14.1 for Letter, 8½ × 11 in). */
export const PAPERS: Record<PaperSize, { widthMm: number; heightMm: number }> = {
  a4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
};

/** PostScript points to a millimetre: 72 an inch. */
export const PT_PER_MM = 72 / 25.4;
export const MARGIN_MM = 12;

export type Words = { text: string; bold?: boolean; sizePt?: number; grey?: boolean };

/** A document that is written from the top down in millimetres, and turns the page by itself. */
export class PdfPaper {
  readonly doc: PDFKit.PDFDocument;
  readonly innerWidthMm: number;
  readonly innerHeightMm: number;
  /** How far down the page the next thing goes. */
  yMm = MARGIN_MM;
  private readonly chunks: Buffer[] = [];
  private readonly heightMm: number;

  /** @param gaitWords - what the gaits are called on it */
  constructor(
    size: PaperSize,
    title: string,
    private readonly gaitWords: GaitWords = 'english',
  ) {
    const { widthMm, heightMm } = PAPERS[size];
    this.heightMm = heightMm;
    this.innerWidthMm = widthMm - 2 * MARGIN_MM;
    this.innerHeightMm = heightMm - 2 * MARGIN_MM;
    this.doc = new PDFDocument({
      size: [widthMm * PT_PER_MM, heightMm * PT_PER_MM],
      margin: 0,
      info: { Title: title, Producer: 'Roan', Creator: 'Roan' },
      // None: opened here by its path it would be opened anew at every word that asks for it by its name.
      font: null as unknown as string,
    });
    for (const [name, file] of Object.entries(PDF_FONTS)) this.doc.registerFont(name, file);
    this.doc.font('latin');
    this.doc.on('data', (chunk: Buffer) => this.chunks.push(chunk));
  }

  /** Where the room of a page ends, and how much of it is left, mm. */
  get endMm(): number {
    return this.heightMm - MARGIN_MM;
  }

  get leftMm(): number {
    return this.endMm - this.yMm;
  }

  /** Whether so much more fits on this page. */
  fits(heightMm: number): boolean {
    return heightMm <= this.leftMm;
  }

  newPage(): void {
    this.doc.addPage();
    this.yMm = MARGIN_MM;
  }

  /** Words at a place, broken at the width; returns their height, mm. Without `draw` they are only measured. */
  words(words: Words, xMm: number, yMm: number, widthMm: number, draw = true): number {
    const { bold = false, sizePt = 10, grey = false } = words;
    const text = sayGaits(words.text, this.gaitWords);
    const { doc } = this;
    doc.fontSize(sizePt).fillColor(grey ? '#444444' : '#000000');
    const width = widthMm * PT_PER_MM;
    const runs = pdfRuns(text);
    const font = (alphabet: 'latin' | 'wide') => `${alphabet}${bold ? 'Bold' : ''}`;
    const heightPt = doc.font(font('latin')).heightOfString(text, { width });
    if (draw) {
      runs.forEach(({ alphabet, text: run }, index) => {
        doc.font(font(alphabet));
        const options = { width, continued: index < runs.length - 1 };
        if (index === 0) doc.text(run, (xMm + MARGIN_MM) * PT_PER_MM, yMm * PT_PER_MM, options);
        else doc.text(run, options);
      });
    }
    return heightPt / PT_PER_MM;
  }

  /** Words on their own line over the whole width, and a gap behind them. */
  line(words: Words, gapMm = 1): void {
    const heightMm = this.words(words, 0, 0, this.innerWidthMm, false);
    if (!this.fits(heightMm)) this.newPage();
    this.words(words, 0, this.yMm, this.innerWidthMm);
    this.yMm += heightMm + gapMm;
  }

  /** A thin line, from so far in. */
  thinLine(xMm: number, yMm: number, widthMm: number): void {
    this.doc
      .moveTo((MARGIN_MM + xMm) * PT_PER_MM, yMm * PT_PER_MM)
      .lineTo((MARGIN_MM + xMm + widthMm) * PT_PER_MM, yMm * PT_PER_MM)
      .lineWidth(0.5)
      .stroke('#888888');
  }

  rule(): void {
    this.thinLine(0, this.yMm, this.innerWidthMm);
    this.yMm += 1.5;
  }

  async bytes(): Promise<Buffer> {
    const ended = new Promise<void>(resolve => this.doc.once('end', () => resolve()));
    this.doc.end();
    await ended;
    return Buffer.concat(this.chunks);
  }
}

import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';

/** For tests: a page of a PDF as a reader of PDF files that is not Roan's draws and reads it. */
export type PdfPage = {
  width: number;
  height: number;
  pages: number;
  texts: string[];
  /** How large each text is, points. */
  sizesPt: number[];
  /** All words of it, with single gaps. */
  words: string;
  dark: (x: number, y: number) => boolean;
};

/** Dots to the inch where lengths are measured. */
export const DPI = 300;
const MM = DPI / 25.4;

/** @param file - where the document is written to be read */
export function pdfPage(bytes: Buffer, file: string, { page = 1, dpi = 20 } = {}): PdfPage {
  writeFileSync(file, bytes);
  const out = `${file}.grey`;
  const args = ['scripts/lib/renderPdf.mjs', file, String(page), String(dpi), out];
  const { status, stdout, stderr } = spawnSync(process.execPath, args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(stderr);
  const said = JSON.parse(stdout) as Pick<PdfPage, 'width' | 'height' | 'pages' | 'texts' | 'sizesPt'>;
  const grey = readFileSync(out);
  return {
    ...said,
    words: said.texts.join(' ').replace(/\s+/g, ' '),
    dark: (x, y) => (grey[y * said.width + x] ?? 255) < 120,
  };
}

export type Run = { from: number; to: number; line: number };

/** Dark runs along rows, or along columns, of about this length, mm; lines thicker than a pixel give several. */
export function runs(page: PdfPage, way: 'row' | 'column', lengthMm: number): Run[] {
  const [lines, along] = way === 'row' ? [page.height, page.width] : [page.width, page.height];
  const found: Run[] = [];
  for (let line = 0; line < lines; line += 1) {
    let from = -1;
    for (let at = 0; at <= along; at += 1) {
      const dark = at < along && (way === 'row' ? page.dark(at, line) : page.dark(line, at));
      if (dark && from < 0) from = at;
      if (!dark && from >= 0) {
        if (Math.abs((at - from) / MM - lengthMm) < 1.5) found.push({ from, to: at, line });
        from = -1;
      }
    }
  }
  return found;
}

/** The lengths of dark lines along rows of about this length, mm. */
export function rowLengthsMm(page: PdfPage, lengthMm: number): number[] {
  return runs(page, 'row', lengthMm).map(({ from, to }) => (to - from) / MM);
}

/** The middles of the lines that runs lie on, mm from the edge. */
export function lineMiddlesMm(found: readonly Run[]): number[] {
  const groups: number[][] = [];
  for (const { line } of found) {
    const last = groups[groups.length - 1];
    if (last && line - last[last.length - 1]! <= 2) last.push(line);
    else groups.push([line]);
  }
  return groups.map(lines => (lines[0]! + lines[lines.length - 1]! + 1) / 2 / MM);
}

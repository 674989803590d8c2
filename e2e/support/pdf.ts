import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

/** A page of a PDF, rendered by a program that is not Roan's: its texts with their sizes, and its dark lines. */
export function pdfPageOf(file: string, out: string, dpi: number, page = 1) {
  const args = ['scripts/lib/renderPdf.mjs', file, String(page), String(dpi), out];
  const { status, stdout, stderr } = spawnSync(process.execPath, args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(stderr);
  const said = JSON.parse(stdout) as {
    width: number;
    height: number;
    pages: number;
    texts: string[];
    sizesPt: number[];
  };
  const grey = readFileSync(out);
  const isDark = (x: number, y: number) => (grey[y * said.width + x] ?? 255) < 150;
  const mm = dpi / 25.4;
  /** The lengths of dark lines along rows that are about this long, mm. */
  const darkRowsMm = (lengthMm: number): number[] => {
    const found: number[] = [];
    for (let y = 0; y < said.height; y += 1) {
      let from = -1;
      for (let x = 0; x <= said.width; x += 1) {
        const dark = x < said.width && isDark(x, y);
        if (dark && from < 0) from = x;
        if (dark || from < 0) continue;
        if (Math.abs((x - from) / mm - lengthMm) < 1.5) found.push((x - from) / mm);
        from = -1;
      }
    }
    return found;
  };
  return { ...said, darkRowsMm };
}

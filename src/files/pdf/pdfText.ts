import path from 'node:path';

/**
 * The shipped face, in the four files that PDF needs of it: regular and bold, each in two alphabets. Whole literal paths, so
 * that the build finds them.
 */
export const PDF_FONTS = {
  latin: path.join(
    process.cwd(),
    'node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  ),
  latinBold: path.join(
    process.cwd(),
    'node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
  ),
  wide: path.join(
    process.cwd(),
    'node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff',
  ),
  wideBold: path.join(
    process.cwd(),
    'node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff',
  ),
};

/** What the face lacks, said another way. */
const INSTEAD: Record<string, string> = { '⅛': ' 1/8', '⅜': ' 3/8', '⅝': ' 5/8', '⅞': ' 7/8', '\u00a0': ' ' };

/** The letters of the second alphabet. */
const isWide = (letter: string) => /[\u0100-\u0130\u0132-\u02ba\u1e00-\u1eff]/.test(letter);
const isLatin = (letter: string) => /[\u0020-\u007e\u00a0-\u00ff\u0131\u0152\u0153\u2010-\u2026\u2212]/.test(letter);

export type PdfRun = { alphabet: 'latin' | 'wide'; text: string };

/** A text in runs of one alphabet each. What is in neither loses its marks, or becomes a question mark. */
export function pdfRuns(text: string): PdfRun[] {
  const runs: PdfRun[] = [];
  const add = (alphabet: PdfRun['alphabet'], letters: string) => {
    const last = runs[runs.length - 1];
    if (last?.alphabet === alphabet) last.text += letters;
    else runs.push({ alphabet, text: letters });
  };
  for (const letter of text) {
    if (INSTEAD[letter] !== undefined) add('latin', INSTEAD[letter]);
    else if (isWide(letter)) add('wide', letter);
    else if (isLatin(letter)) add('latin', letter);
    else {
      const plain = letter.normalize('NFKD').replace(/[\u0300-\u036f]/g, '');
      add('latin', [...plain].every(isLatin) && plain !== '' ? plain : '?');
    }
  }
  return runs;
}

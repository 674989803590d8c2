import type { SettingSheet } from '@/core';
import { writeCsvTable } from './csvTable';
import type { PrintedSheet } from './printedSheet';

const COLUMNS = ['number', 'piece', 'what', 'end', 'xM', 'yM', 'measure', 'lengthM', 'tape', 'steps'] as const;

/**
 * The placings as CSV: each end of each piece with its place (metres, x to the right of the corner on the left of A, y
 * towards C), then each measure that fixes the piece, and its checks.
 */
export function settingCsv(sheet: SettingSheet, printed: PrintedSheet): string {
  const metres = (lengthM: number) => lengthM.toFixed(3);
  const rows = sheet.pieces.flatMap(({ item, points }) => {
    const piece = printed.pieces.find(({ id }) => id === item.id)!;
    const of = { number: piece.number, piece: item.id, what: piece.name };
    return [
      ...points.map(({ end, at }) => ({ ...of, end, xM: metres(at.xM), yM: metres(at.yM) })),
      ...piece.lines.map(({ words, lengthM, tape, steps }) => ({
        ...of,
        measure: words,
        lengthM: metres(lengthM),
        tape,
        steps: steps ?? '',
      })),
      ...piece.checks.map(({ words, lengthM, tape }) => ({
        ...of,
        measure: `Check ${words}`,
        lengthM: metres(lengthM),
        tape,
      })),
    ];
  });
  const cells = rows.map(row => COLUMNS.map(column => (row as Record<string, string | number>)[column] ?? ''));
  return `${writeCsvTable(COLUMNS, cells)}\n`;
}

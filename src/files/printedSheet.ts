import {
  checkWords,
  formatReading,
  formatTape,
  itemWords,
  kitOfAll,
  pegLines,
  pieceLines,
  pieceNotes,
  sheetLabels,
  stepsText,
  type Kit,
  type Layout,
  type LengthUnit,
  type SettingSheet,
} from '@/core';

/** A setting sheet in words and printed measures: what the screen, the PDF, the table and the command line all show. */
export type PrintedLine = {
  words: string;
  measure: string;
  lengthM: number;
  tape: string;
  /** In somebody's own steps; null without anybody, and for what follows from the piece's own length. */
  steps: string | null;
  /** It follows from another measure and the piece's own length. */
  follows: boolean;
};

export type PrintedPiece = {
  id: string;
  /** As on the cone beside it: its number in the course, else a letter. */
  number: string;
  /** "3 vertical heron, 0.80 m high" without the number. */
  name: string;
  lines: PrintedLine[];
  checks: { words: string; lengthM: number; tape: string }[];
  notes: string[];
};

export type PrintedPeg = { peg: string; lines: PrintedLine[]; serves: string };

export type PrintedKit = { kind: keyof Kit; words: string; needed: number; lacking: number };

export type PrintedSheet = { kit: PrintedKit[]; pegs: PrintedPeg[]; pieces: PrintedPiece[] };

/** Who sets it, and in which unit. */
export type Reader = { unit: LengthUnit; stepM: number | null };

export function printedSheet(layout: Layout, sheet: SettingSheet, { unit, stepM }: Reader): PrintedSheet {
  const { arena } = layout;
  const numberOf = sheetLabels(layout);
  const measures = new Map(sheet.measures.map(measure => [measure.id, measure]));
  const lengthOf = (id: string) => measures.get(id)!.lengthM;
  const line = ({ words, measure }: { words: string; measure: string }): PrintedLine => {
    const { lengthM, follows } = measures.get(measure)!;
    return {
      words,
      measure,
      lengthM,
      tape: formatTape(lengthM, unit),
      steps: stepM === null || follows ? null : stepsText(lengthM, stepM, unit),
      follows: follows !== null,
    };
  };
  const format = (lengthM: number) => formatReading(lengthM, unit);
  return {
    kit: printedKit(layout),
    pegs: sheet.pegs.map(peg => ({
      peg: peg.peg,
      lines: pegLines(arena, peg, lengthOf).map(line),
      serves:
        peg.serves.length === 0
          ? 'a mark to measure from'
          : `the middle of the arc of ${peg.serves.map(numberOf).join(', ')}`,
    })),
    pieces: sheet.pieces.map(piece => ({
      id: piece.item.id,
      number: numberOf(piece.item.id),
      // The number stands beside it.
      name: itemWords(piece.item, piece.item.name, format),
      lines: pieceLines(arena, piece, numberOf, lengthOf).map(line),
      checks: piece.checks.map(check => ({
        words: checkWords(arena, check, piece, numberOf, lengthM => formatTape(lengthM, unit)),
        lengthM: check.lengthM,
        tape: formatTape(check.lengthM, unit),
      })),
      notes: pieceNotes(arena, piece, format),
    })),
  };
}

/** What to carry out, and how much of it the yard does not have; 0 where nobody has counted. */
function printedKit({ items, kit }: Pick<Layout, 'items' | 'kit'>): PrintedKit[] {
  const needed = kitOfAll(items);
  return (Object.keys(needed) as (keyof Kit)[]).flatMap(kind => {
    const count = needed[kind];
    if (count === 0) return [];
    const lacking = Math.max(0, count - (kit?.[kind] ?? count));
    return [{ kind, needed: count, lacking, words: `${count} ${count === 1 ? kind.slice(0, -1) : kind}` }];
  });
}

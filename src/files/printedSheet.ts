import {
  asRead,
  checkReadsM,
  checkWords,
  formatReading,
  formatTape,
  groundAsMeasured,
  itemWords,
  kitOfAll,
  pegLines,
  pieceLines,
  pieceNotes,
  roundedMeasures,
  sheetLabels,
  stepsText,
  tapeGrids,
  type CheckMeasure,
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
  /** As a tape is read; nothing where there is no way to measure, as of what lies on a wall. */
  tape: string;
  /** To what matters: no finer than a word for any horse needs it. */
  rounded: string;
  /** In somebody's own steps; null without anybody, and for what follows from the piece's own length. */
  steps: string | null;
  /** In half steps where those change no word. */
  roundedSteps: string | null;
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
  /** What is taped once more; `rounded` is what it reads where the piece was set by the rounded measures. */
  checks: { words: string; lengthM: number; tape: string; rounded: string }[];
  notes: string[];
};

export type PrintedPeg = { peg: string; lines: PrintedLine[]; serves: string };

export type PrintedKit = { kind: keyof Kit; words: string; needed: number; lacking: number };

export type PrintedSheet = { kit: PrintedKit[]; pegs: PrintedPeg[]; pieces: PrintedPiece[] };

/** Who sets it, and in which unit. */
export type Reader = { unit: LengthUnit; stepM: number | null };

/** The measures of a sheet rounded to what matters, metres by measure: to tape, and to walk where somebody does. */
export type RoundedLengths = { tapeM: Record<string, number>; stepsM: Record<string, number> | null };

/** Rounded to what matters in a unit and in somebody's half steps. */
export function roundedLengths(layout: Layout, sheet: SettingSheet, { unit, stepM }: Reader): RoundedLengths {
  return {
    tapeM: Object.fromEntries(roundedMeasures(layout, sheet, tapeGrids(unit))),
    stepsM: stepM === null ? null : Object.fromEntries(roundedMeasures(layout, sheet, [stepM / 2, null])),
  };
}

/** Less than this is no way at all, metres: half of what a tape is read to. */
const NO_WAY_M = 0.0025;

/**
 * @param rounded - as roundedLengths gives it; without it nothing is rounded
 * @param whole - the layout of which it is a stage: its numbers are used
 */
export function printedSheet(
  layout: Layout,
  sheet: SettingSheet,
  { unit, stepM }: Reader,
  rounded: RoundedLengths | null = null,
  whole: Pick<Layout, 'items' | 'tracks'> = layout,
): PrintedSheet {
  const { arena } = layout;
  const numberOf = sheetLabels(whole, layout);
  const measures = new Map(sheet.measures.map(measure => [measure.id, measure]));
  const lengthOf = (id: string) => measures.get(id)!.lengthM;
  const line = ({ words, measure }: { words: string; measure: string }): PrintedLine => {
    const { lengthM, follows } = measures.get(measure)!;
    const isWay = lengthM >= NO_WAY_M;
    const tape = isWay ? formatTape(lengthM, unit) : '';
    const walked = (walkedM: number) => (stepM === null || follows || !isWay ? null : stepsText(walkedM, stepM, unit));
    const [tapeM, stepsM] = [rounded?.tapeM[measure] ?? lengthM, rounded?.stepsM?.[measure] ?? lengthM];
    return {
      ...{ words, measure, lengthM, tape, rounded: isWay ? formatTape(tapeM, unit) : '' },
      ...{ steps: walked(lengthM), roundedSteps: walked(stepsM), follows: follows !== null },
    };
  };
  // A check is read to the centimetre or the half inch: a slip shows by four centimetres.
  const checkGridM = rounded ? tapeGrids(unit)[1]! : tapeGrids(unit)[2]!;
  const readsM = (item: string, check: CheckMeasure) =>
    checkReadsM(arena, check, where({ kind: 'end', item, end: check.end }), where);
  const where = groundAsMeasured(layout, sheet, new Map(Object.entries(rounded?.tapeM ?? {})));
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
        rounded: formatTape(asRead(readsM(piece.item.id, check), checkGridM), unit),
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

import { FEET, type Foot, type FootLanding } from '@/core';
import { readCsvTable, writeCsvTable } from './csvTable';

/**
 * Footfalls as CSV, open and documented in docs/footfalls.md: a header line, then one landing a line. `time_s` is seconds
 * from the start of the recording, `foot` one of LF RF LH RH; `x_m` (along the lane from its start line) and `y_m` (to the
 * left of its middle) may be left out. Further columns are left alone.
 */
const COLUMNS = { time: 'time_s', foot: 'foot', x: 'x_m', y: 'y_m' } as const;

const MOST_LANDINGS = 20_000;

const rounded = (value: number) => Math.round(value * 1000) / 1000;

/** Writes landings, to the millisecond and the millimetre. */
export function writeFootfalls(landings: readonly FootLanding[]): string {
  return writeCsvTable(
    Object.values(COLUMNS),
    landings.map(({ timeS, foot, xM, yM }) => [
      rounded(timeS),
      foot,
      xM === null ? '' : rounded(xM),
      yM === null ? '' : rounded(yM),
    ]),
  );
}

export type ReadFootfalls = { ok: true; landings: FootLanding[] } | { ok: false; reason: string };

/** Reads a recording, whole or not at all; says which line is wrong. */
export function readFootfalls(text: string): ReadFootfalls {
  const { header, rows, faults } = readCsvTable(text);
  for (const column of [COLUMNS.time, COLUMNS.foot])
    if (!header.includes(column)) return { ok: false, reason: `The first line has to name a column “${column}”.` };
  if (rows.length === 0) return { ok: false, reason: 'The file has no footfalls.' };
  if (rows.length > MOST_LANDINGS) return { ok: false, reason: `A recording has at most ${MOST_LANDINGS} footfalls.` };
  const [fault] = faults;
  if (fault) return { ok: false, reason: `Line ${fault.line}: ${fault.reason}` };
  const landings: FootLanding[] = [];
  for (const { line, cells: row } of rows) {
    const landing = readLanding(row);
    if (typeof landing === 'string') return { ok: false, reason: `Line ${line}: ${landing}` };
    landings.push(landing);
  }
  return { ok: true, landings };
}

function readLanding(row: Record<string, string>): FootLanding | string {
  const timeS = readNumber(row[COLUMNS.time]);
  if (timeS === null || timeS < 0) return `“${COLUMNS.time}” is no time in seconds: “${row[COLUMNS.time] ?? ''}”.`;
  const named = (row[COLUMNS.foot] ?? '').trim().toUpperCase();
  const foot = FEET.find(candidate => candidate === named);
  if (!foot) return `“${COLUMNS.foot}” is one of ${FEET.join(', ')}, and this says “${row[COLUMNS.foot] ?? ''}”.`;
  const places = [COLUMNS.x, COLUMNS.y].map(column => {
    const written = (row[column] ?? '').trim();
    return { column, written, value: written === '' ? null : readNumber(written) };
  });
  const wrong = places.find(({ written, value }) => written !== '' && value === null);
  if (wrong) return `“${wrong.column}” is no length in metres: “${wrong.written}”.`;
  return { timeS, foot: foot satisfies Foot, xM: places[0]!.value, yM: places[1]!.value };
}

/** A plain decimal number; a comma is not one here, since it parts the columns. */
function readNumber(text: string | undefined): number | null {
  const trimmed = (text ?? '').trim();
  if (!/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,2})?$/i.test(trimmed)) return null;
  const value = Number(trimmed);
  return Number.isFinite(value) ? value : null;
}

import {
  M_PER_FT,
  HORSE_LEVELS,
  HORSE_TYPES,
  STRIDE_ENTRY_KEYS,
  TEST_PACES,
  type StrideEntryKey,
  type TestPass,
} from '@/core';
import { z } from 'zod';
import { readCsvTable, writeCsvTable, type CsvFault, type CsvRow, type CsvTable } from './csvTable';
import { CSV_COLUMNS, type CsvList } from './yardCsvColumns';
import { horseForm, KIT_KINDS, kitForm, personForm, TYPED_STRIDES } from './yardForms';

/**
 * The yard's lists as CSV: horses, people, kit and stride tests. Lengths are read in any unit and written in metres. A
 * list is read whole or not at all, and every wrong row is named.
 */

export type RowFault = CsvFault;

export type CsvHorse = {
  name: string;
  heightM: number;
  type: (typeof HORSE_TYPES)[number];
  bornYear: number | null;
  level: (typeof HORSE_LEVELS)[number];
  stiffSide: 'left' | 'right' | null;
  notes: string;
  strides: Partial<Record<StrideEntryKey, number | null>>;
};
export type CsvPerson = {
  name: string;
  role: 'instructor' | 'rider' | 'helper' | 'office';
  stepLengthM: number | null;
};
export type CsvKit = { kind: (typeof KIT_KINDS)[number]; name: string; sizeM: number | null; count: number };
export type CsvTest = {
  horse: string;
  entry: StrideEntryKey;
  testedAtMs: number;
  lane: { kind: 'taped'; lengthM: number } | { kind: 'steps'; steps: number };
  moment: 'before' | 'after' | 'apart';
  passes: TestPass[];
};

export type CsvContent =
  | { list: 'horses'; rows: CsvHorse[] }
  | { list: 'people'; rows: CsvPerson[] }
  | { list: 'kit'; rows: CsvKit[] }
  | { list: 'stride-tests'; rows: CsvTest[] };

export type ReadCsv =
  { ok: true; content: CsvContent; header: string[]; preview: string[][] } | { ok: false; faults: RowFault[] };

const MOST_ROWS = 5000;
const MOST_FAULTS = 50;

/** Reads a list; all of it or nothing. */
export function readYardCsv(list: CsvList, text: string): ReadCsv {
  const { header, rows, faults: broken } = readCsvTable(text);
  const fault = headerFault(list, header, rows.length);
  if (fault) return { ok: false, faults: [{ line: 1, column: null, reason: fault }] };
  const faults: RowFault[] = [...broken];
  const content = readRows(list, rows, faults);
  if (faults.length > 0 || !content)
    return { ok: false, faults: faults.sort((a, b) => a.line - b.line).slice(0, MOST_FAULTS) };
  return { ok: true, content, header, preview: rows.map(({ cells }) => header.map(name => cells[name] ?? '')) };
}

function headerFault(list: CsvList, header: readonly string[], rows: number): string | null {
  const columns = CSV_COLUMNS[list];
  const missing = columns.filter(({ name, required }) => required && !header.includes(name)).map(({ name }) => name);
  if (missing.length > 0) return `The first line has to name ${missing.map(name => `“${name}”`).join(', ')}.`;
  const unknown = header.filter(name => !columns.some(column => column.name === name));
  if (unknown.length > 0)
    return `Roan does not know the ${unknown.length === 1 ? 'column' : 'columns'} ${unknown.map(name => `“${name}”`).join(', ')}.`;
  if (rows === 0) return 'The list has no rows.';
  return rows > MOST_ROWS ? `A list has at most ${MOST_ROWS} rows.` : null;
}

function readRows(list: CsvList, data: CsvTable['rows'], faults: RowFault[]): CsvContent | null {
  switch (list) {
    case 'horses':
      return { list, rows: readEach(data, horseRow, faults) };
    case 'people':
      return { list, rows: readEach(data, personRow, faults) };
    case 'kit':
      return { list, rows: readEach(data, kitRow, faults) };
    case 'stride-tests':
      return { list, rows: gatherTests(readEach(data, testRow, faults), faults) };
  }
}

type RowRead<Row> = { row: Row } | { column: string | null; reason: string };

function readEach<Row>(
  data: CsvTable['rows'],
  read: (row: CsvRow) => RowRead<Row>,
  faults: RowFault[],
): (Row & { line: number })[] {
  return data.flatMap(({ line, cells }) => {
    const result = read(cells);
    if ('row' in result) return [{ ...result.row, line }];
    faults.push({ line, column: result.column, reason: result.reason });
    return [];
  });
}

/** The first fault of a form, in the words and by the name of the column it stands in. */
function faultOf(error: z.ZodError, columnOf: (path: string) => string): { column: string; reason: string } {
  const issue = error.issues[0]!;
  return { column: columnOf(issue.path.join('.')), reason: issue.message };
}

/** Made once: a form takes longer to make than a row to read. */
const [HORSE, PERSON, KIT] = [horseForm('m'), personForm('m'), kitForm('m')];

const cell = (row: CsvRow, name: string) => (row[name] ?? '').trim();

function horseRow(row: CsvRow): RowRead<CsvHorse> {
  const strides = Object.fromEntries(
    TYPED_STRIDES.map(({ entry }) => [entry, cell(row, `${entry.replace(/-/g, '_')}_m`)]),
  );
  const form = HORSE.safeParse({
    name: cell(row, 'name'),
    height: cell(row, 'height'),
    type: cell(row, 'type') || 'all-round',
    bornYear: cell(row, 'born'),
    level: cell(row, 'level') || 'novice',
    stiffSide: cell(row, 'stiff_side') || 'neither',
    notes: cell(row, 'notes'),
    strides,
  });
  const columnOf = (path: string) =>
    path.startsWith('strides.')
      ? `${path.slice('strides.'.length).replace(/-/g, '_')}_m`
      : ({ bornYear: 'born', stiffSide: 'stiff_side' }[path] ?? path);
  if (!form.success) return faultOf(form.error, columnOf);
  const { name, height: heightM, type, bornYear, level, stiffSide, notes } = form.data;
  return { row: { name, heightM, type, bornYear, level, stiffSide, notes, strides: form.data.strides } };
}

function personRow(row: CsvRow): RowRead<CsvPerson> {
  const form = PERSON.safeParse({
    name: cell(row, 'name'),
    role: cell(row, 'role').toLowerCase(),
    stepLength: cell(row, 'step'),
  });
  if (!form.success) return faultOf(form.error, path => (path === 'stepLength' ? 'step' : path));
  const { name, role, stepLength: stepLengthM } = form.data;
  return { row: { name, role, stepLengthM } };
}

function kitRow(row: CsvRow): RowRead<CsvKit> {
  const form = KIT.safeParse({
    kind: cell(row, 'kind').toLowerCase(),
    name: cell(row, 'name'),
    size: cell(row, 'size'),
    count: cell(row, 'count'),
  });
  if (!form.success) return faultOf(form.error, path => path);
  const { kind, name, sizeM, count } = form.data;
  return { row: { kind, name, sizeM, count } };
}

type TestRow = Omit<CsvTest, 'passes'> & { test: string; pass: TestPass };

const Entry = z.enum(STRIDE_ENTRY_KEYS, `one of ${STRIDE_ENTRY_KEYS.join(', ')}.`);
const Pace = z.enum(TEST_PACES, `one of ${TEST_PACES.join(', ')}.`);
const Moment = z.enum(['before', 'after', 'apart'], 'before, after or apart.');

function testRow(row: CsvRow): RowRead<TestRow> {
  const entry = Entry.safeParse(cell(row, 'gait'));
  if (!entry.success) return { column: 'gait', reason: `“gait” is ${entry.error.issues[0]!.message}` };
  const pace = Pace.safeParse(cell(row, 'pace'));
  if (!pace.success) return { column: 'pace', reason: `“pace” is ${pace.error.issues[0]!.message}` };
  const moment = Moment.safeParse(cell(row, 'moment') || 'apart');
  if (!moment.success) return { column: 'moment', reason: `“moment” is ${moment.error.issues[0]!.message}` };
  const testedAtMs = instantMs(cell(row, 'tested_at'));
  if (testedAtMs === null)
    return { column: 'tested_at', reason: '“tested_at” is an instant, as 2026-05-03T09:30:00Z.' };
  const lane = laneOf(cell(row, 'lane'), cell(row, 'lane_steps'));
  if (typeof lane === 'string') return { column: 'lane', reason: lane };
  const count = wholeNumber(cell(row, 'count'), 1, 200);
  if (count === null) return { column: 'count', reason: '“count” is a whole number from 1 to 200.' };
  const behind = partOf(cell(row, 'part_behind'));
  const part = partOf(cell(row, 'part'));
  if (behind === undefined) return { column: 'part_behind', reason: '“part_behind” is 0, 0.25, 0.5 or 0.75.' };
  if (part === undefined) return { column: 'part', reason: '“part” is 0, 0.25, 0.5 or 0.75.' };
  const [test, horse] = [cell(row, 'test'), cell(row, 'horse')];
  if (test === '' || horse === '')
    return { column: test === '' ? 'test' : 'horse', reason: 'A row names its test and its horse.' };
  const voided = /^(yes|y|true|1|void)$/i.test(cell(row, 'void'));
  return {
    row: {
      ...{ test, horse, entry: entry.data, testedAtMs, lane, moment: moment.data },
      pass: { pace: pace.data, count, behind, part, voided },
    },
  };
}

/** A part of a stride as it is written; null where none is, undefined where it is no quarter. */
function partOf(written: string): number | null | undefined {
  if (written === '') return null;
  return [0, 0.25, 0.5, 0.75].find(part => part === Number(written));
}

function instantMs(text: string): number | null {
  if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d{1,3})?)?(Z|[+-]\d{2}:\d{2})$/.test(text)) return null;
  const atMs = Date.parse(text);
  return Number.isFinite(atMs) ? atMs : null;
}

function wholeNumber(text: string, least: number, most: number): number | null {
  const value = /^\d{1,3}$/.test(text) ? Number(text) : Number.NaN;
  return value >= least && value <= most ? value : null;
}

function laneOf(lane: string, steps: string): CsvTest['lane'] | string {
  if ((lane === '') === (steps === '')) return 'A test has either a “lane” or “lane_steps”.';
  if (lane === '') {
    const count = wholeNumber(steps, 3, 400);
    return count === null ? '“lane_steps” is a whole number from 3 to 400.' : { kind: 'steps', steps: count };
  }
  const match = /^(\d{1,3}(?:\.\d+)?)\s*(m|ft)?$/.exec(lane);
  const lengthM = match ? Number(match[1]) * (match[2] === 'ft' ? M_PER_FT : 1) : Number.NaN;
  return lengthM >= 5 && lengthM <= 200 ? { kind: 'taped', lengthM } : '“lane” is 5 to 200 m, as 20 or 60 ft.';
}

/** Rows of one test, put together; they have to agree on all that is not a pass. */
function gatherTests(rows: (TestRow & { line: number })[], faults: RowFault[]): CsvTest[] {
  const tests = new Map<string, CsvTest>();
  for (const { test, pass, line, ...shared } of rows) {
    const known = tests.get(test);
    if (!known) {
      tests.set(test, { ...shared, passes: [pass] });
      continue;
    }
    const { passes, ...before } = known;
    if (JSON.stringify(before) === JSON.stringify(shared)) passes.push(pass);
    else
      faults.push({
        line,
        column: 'test',
        reason: `Test “${test}” says something else of its horse, gait, day or lane above.`,
      });
  }
  for (const [test, { passes }] of tests)
    if (passes.every(({ voided }) => voided))
      faults.push({ line: 1, column: 'void', reason: `Every pass of test “${test}” is void.` });
  return [...tests.values()];
}

const metres = (lengthM: number | null | undefined) =>
  lengthM === null || lengthM === undefined ? '' : String(lengthM);

/** With its unit: an unusual stride read back is believed. */
const inMetres = (lengthM: number | null | undefined) => {
  const text = metres(lengthM);
  return text === '' ? '' : `${text} m`;
};

/** Writes a list, lengths in metres; read back it is the same. */
export function writeYardCsv(content: CsvContent): string {
  const fields = CSV_COLUMNS[content.list].map(({ name }) => name);
  return writeCsvTable(fields, dataOf(content));
}

function dataOf(content: CsvContent): (string | number)[][] {
  switch (content.list) {
    case 'horses':
      return content.rows.map(({ name, heightM, type, bornYear, level, stiffSide, notes, strides }) => [
        ...[name, `${heightM} m`, type, bornYear ?? '', level, stiffSide ?? '', notes],
        ...TYPED_STRIDES.map(({ entry }) => inMetres(strides[entry])),
      ]);
    case 'people':
      return content.rows.map(({ name, role, stepLengthM }) => [name, role, inMetres(stepLengthM)]);
    case 'kit':
      return content.rows.map(({ kind, count, sizeM, name }) => [kind, count, metres(sizeM), name]);
    case 'stride-tests':
      return content.rows.flatMap(({ horse, entry, testedAtMs, lane, moment, passes }, index) =>
        passes.map(({ pace, count, behind, part, voided }) => [
          ...[index + 1, horse, entry, new Date(testedAtMs).toISOString()],
          ...(lane.kind === 'taped' ? [lane.lengthM, ''] : ['', lane.steps]),
          ...[moment, pace, count, behind ?? '', part ?? '', voided ? 'yes' : ''],
        ]),
      );
  }
}

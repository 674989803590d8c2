import { randomUUID } from 'node:crypto';
import { grouped } from '@/core';
import type { CsvContent, CsvHorse, CsvKit, CsvPerson, CsvTest } from '@/files/yardCsv';
import type { CsvList } from '@/files/yardCsvColumns';
import { TYPED_STRIDES } from '@/files/yardForms';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { present } from '../present';
import type { Transaction } from '../database';
import { listHorses, type Horse } from './horses';
import { listKit, saveKits } from './kit';
import { listPeople, savePeople } from './people';
import { saveHorses, type HorseChange } from './saveHorses';
import { addStrideTests, listStrideTests, testsThere, type StrideTestDetails } from './strideTests';

/** What a list did to the yard, or would do. */
export type ListChanges = { added: number; changed: number; left: number };

/** A list that names something the yard does not have, or has twice: nothing of it was kept. */
export class ListRefused extends DatabaseRefused {
  static override readonly kind = 'list-refused';
}

type Reader = Pick<RoanDatabase, 'select'>;

/** What taking a list in comes to, and what does it. */
type ListPlan = { changes: ListChanges; keep: (tx: Transaction) => Promise<unknown> };

/**
 * Takes a list into the yard, all of it or nothing: the transaction is given up by a throw.
 * @throws {ListRefused} with a sentence
 */
export async function importList(tx: Transaction, yardId: string, content: CsvContent): Promise<ListChanges> {
  const { changes, keep } = await planList(tx, yardId, content);
  await keep(tx);
  return changes;
}

/**
 * What taking a list in would do: nothing is written.
 * @throws {ListRefused} with a sentence
 */
export async function lookAtList(db: Reader, yardId: string, content: CsvContent): Promise<ListChanges> {
  return (await planList(db, yardId, content)).changes;
}

function planList(db: Reader, yardId: string, content: CsvContent): Promise<ListPlan> {
  switch (content.list) {
    case 'horses':
      return planHorses(db, yardId, content.rows);
    case 'people':
      return planPeople(db, yardId, content.rows);
    case 'kit':
      return planKit(db, yardId, content.rows);
    case 'stride-tests':
      return planTests(db, yardId, content.rows);
  }
}

const called = (name: string) => name.trim().toLocaleLowerCase();

/** The one row of a name, or none; two of a name cannot be told apart. */
function byName<Row extends { name: string }>(rows: readonly Row[]): (name: string) => Row | null {
  const byCalled = grouped(rows, row => called(row.name));
  return name => {
    const found = byCalled.get(called(name)) ?? [];
    if (found.length > 1)
      throw new ListRefused(`The yard has ${found.length} called “${name}”: rename all but one first.`);
    return found[0] ?? null;
  };
}

function refuseTwice(names: readonly string[]): void {
  const seen = new Set<string>();
  for (const name of names) {
    if (seen.has(called(name))) throw new ListRefused(`The list names “${name}” twice.`);
    seen.add(called(name));
  }
}

/** Each row with what is there of it, null where it is new. */
function planOf<Row, There>(
  rows: readonly Row[],
  thereOf: (row: Row) => There | null,
  keep: (tx: Transaction, planned: { row: Row; there: There | null }[]) => Promise<unknown>,
): ListPlan {
  const planned = rows.map(row => ({ row, there: thereOf(row) }));
  const changed = planned.filter(({ there }) => there !== null).length;
  return { changes: { added: rows.length - changed, changed, left: 0 }, keep: tx => keep(tx, planned) };
}

async function planHorses(db: Reader, yardId: string, rows: readonly CsvHorse[]): Promise<ListPlan> {
  refuseTwice(rows.map(({ name }) => name));
  const horseOf = byName(await listHorses(db, yardId));
  return planOf(
    rows,
    ({ name }) => horseOf(name),
    (tx, planned) => saveHorses(tx, yardId, planned.map(horseChange)),
  );
}

function horseChange({ row, there }: { row: CsvHorse; there: Horse | null }): HorseChange {
  const { name, heightM, type, bornYear, level, stiffSide, notes, strides: normalStridesM } = row;
  return {
    details: { name, heightM, type, bornYear, level, stiffSide, notes, normalStridesM },
    before: there,
  };
}

const idOf = (there: { id: string } | null) => there?.id ?? randomUUID();

async function planPeople(db: Reader, yardId: string, rows: readonly CsvPerson[]): Promise<ListPlan> {
  refuseTwice(rows.map(({ name }) => name));
  const personOf = byName(await listPeople(db, yardId));
  return planOf(
    rows,
    ({ name }) => personOf(name),
    (tx, planned) =>
      savePeople(
        tx,
        yardId,
        planned.map(({ row: { name, role, stepLengthM }, there }) => ({ id: idOf(there), name, role, stepLengthM })),
      ),
  );
}

async function planKit(db: Reader, yardId: string, rows: readonly CsvKit[]): Promise<ListPlan> {
  const keyOf = ({ kind, name, sizeM }: Pick<CsvKit, 'kind' | 'name' | 'sizeM'>) => `${kind} ${sizeM} ${called(name)}`;
  const known = grouped(await listKit(db, yardId), keyOf);
  return planOf(
    rows,
    row => known.get(keyOf(row))?.[0] ?? null,
    (tx, planned) =>
      saveKits(
        tx,
        yardId,
        planned.map(({ row: { kind, name, sizeM, count }, there }) => ({ id: idOf(there), kind, name, sizeM, count })),
      ),
  );
}

/** A test of the same horse, gait and instant is there already, and is left as it is. */
async function planTests(db: Reader, yardId: string, rows: readonly CsvTest[]): Promise<ListPlan> {
  const horseOf = byName(await listHorses(db, yardId));
  const keyOf = (horseId: string, entry: string, testedAtMs: number) => `${horseId} ${entry} ${testedAtMs}`;
  /** What is there already, kept up with what the list adds. */
  const known = new Set(
    (await testsThere(db, yardId)).map(({ horseId, entry, testedAtMs }) => keyOf(horseId, entry, testedAtMs)),
  );
  const added: StrideTestDetails[] = [];
  for (const { horse: name, entry, testedAtMs, lane, moment, passes } of rows) {
    const horse = horseOf(name);
    if (!horse)
      throw new ListRefused(`The yard has no horse called “${name}”: add it first, or rename it in the list.`);
    const key = keyOf(horse.id, entry, testedAtMs);
    if (known.has(key)) continue;
    known.add(key);
    added.push({
      ...{ id: randomUUID(), horseId: horse.id, riderId: null, stepperId: null, note: '' },
      ...{ rhythm: null, roundness: null, balance: null, entry, testedAtMs, lane, moment, passes },
    });
  }
  const changes = { added: added.length, changed: 0, left: rows.length - added.length };
  return { changes, keep: tx => addStrideTests(tx, yardId, added) };
}

/** A list of the yard, to be written: what is archived is left out. */
export async function exportList(db: Pick<RoanDatabase, 'select'>, yardId: string, list: CsvList): Promise<CsvContent> {
  switch (list) {
    case 'horses':
      return { list, rows: present(await listHorses(db, yardId)).map(toCsvHorse) };
    case 'people':
      return {
        list,
        rows: present(await listPeople(db, yardId)).map(({ name, role, typedStepM }) => ({
          ...{ name, role, stepLengthM: typedStepM },
        })),
      };
    case 'kit':
      return {
        list,
        rows: present(await listKit(db, yardId)).map(({ kind, name, sizeM, count }) => ({ kind, name, sizeM, count })),
      };
    case 'stride-tests': {
      const horses = present(await listHorses(db, yardId));
      const tests = await Promise.all(
        horses.map(async ({ id, name }) => (await listStrideTests(db, yardId, id)).map(test => ({ ...test, name }))),
      );
      return {
        list,
        rows: tests.flat().map(({ name: horse, entry, testedAtMs, lane, moment, passes }) => ({
          ...{ horse, entry, testedAtMs, lane, moment, passes },
        })),
      };
    }
  }
}

/** Only what was typed in: a guess or a test must not come back as somebody's word. */
function toCsvHorse({ name, heightM, type, bornYear, level, stiffSide, notes, strides }: Horse): CsvHorse {
  const typed = TYPED_STRIDES.flatMap(({ entry }) => {
    const stride = strides[entry];
    return stride?.source === 'typed' ? [[entry, stride.normalM] as const] : [];
  });
  return { name, heightM, type, bornYear, level, stiffSide, notes, strides: Object.fromEntries(typed) };
}

import { randomUUID } from 'node:crypto';
import type { CsvContent, CsvHorse, CsvKit, CsvPerson, CsvTest } from '@/files/yardCsv';
import type { CsvList } from '@/files/yardCsvColumns';
import { TYPED_STRIDES } from '@/files/yardForms';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../openDatabase';
import { present } from '../present';
import type { Transaction } from '../writeQueue';
import { listHorses, saveHorse } from './horses';
import { listKit, saveKit } from './kit';
import { listPeople, savePerson } from './people';
import { addStrideTest, listStrideTests } from './strideTests';

/** What a list did to the yard, or would do. */
export type ListChanges = { added: number; changed: number; left: number };

/** A list that names something the yard does not have, or has twice: nothing of it was kept. */
export class ListRefused extends DatabaseRefused {
  static override readonly kind = 'list-refused';
}

/**
 * Takes a list into the yard, all of it or nothing: the transaction is given up by a throw.
 * @throws {ListRefused} with a sentence
 */
export async function importList(tx: Transaction, yardId: string, content: CsvContent): Promise<ListChanges> {
  switch (content.list) {
    case 'horses':
      return importHorses(tx, yardId, content.rows);
    case 'people':
      return importPeople(tx, yardId, content.rows);
    case 'kit':
      return importKit(tx, yardId, content.rows);
    case 'stride-tests':
      return importTests(tx, yardId, content.rows);
  }
}

const alike = (a: string, b: string) => a.trim().toLocaleLowerCase() === b.trim().toLocaleLowerCase();

/** The one row of this name, or none; two of a name cannot be told apart. */
function byName<Row extends { name: string }>(rows: readonly Row[], name: string): Row | null {
  const found = rows.filter(row => alike(row.name, name));
  if (found.length > 1)
    throw new ListRefused(`The yard has ${found.length} called “${name}”: rename all but one first.`);
  return found[0] ?? null;
}

function refuseTwice(names: readonly string[]): void {
  const seen = new Set<string>();
  for (const name of names) {
    const key = name.trim().toLocaleLowerCase();
    if (seen.has(key)) throw new ListRefused(`The list names “${name}” twice.`);
    seen.add(key);
  }
}

async function importHorses(tx: Transaction, yardId: string, rows: readonly CsvHorse[]): Promise<ListChanges> {
  refuseTwice(rows.map(({ name }) => name));
  const known = await listHorses(tx, yardId);
  const changes = { added: 0, changed: 0, left: 0 };
  for (const row of rows) {
    const { name, heightM, type, bornYear, level, stiffSide, notes, strides: normalStridesM } = row;
    const horse = byName(known, name);
    const details = { name, heightM, type, bornYear, level, stiffSide, notes, normalStridesM };
    await saveHorse(tx, yardId, horse ? { ...details, id: horse.id } : details);
    changes[horse ? 'changed' : 'added'] += 1;
  }
  return changes;
}

async function importPeople(tx: Transaction, yardId: string, rows: readonly CsvPerson[]): Promise<ListChanges> {
  refuseTwice(rows.map(({ name }) => name));
  const known = await listPeople(tx, yardId);
  const changes = { added: 0, changed: 0, left: 0 };
  for (const { name, role, stepLengthM } of rows) {
    const person = byName(known, name);
    await savePerson(tx, yardId, { ...(person ? { id: person.id } : {}), name, role, stepLengthM });
    changes[person ? 'changed' : 'added'] += 1;
  }
  return changes;
}

async function importKit(tx: Transaction, yardId: string, rows: readonly CsvKit[]): Promise<ListChanges> {
  const known = await listKit(tx, yardId);
  const changes = { added: 0, changed: 0, left: 0 };
  for (const { kind, name, sizeM, count } of rows) {
    const piece = known.find(row => row.kind === kind && row.sizeM === sizeM && alike(row.name, name));
    await saveKit(tx, yardId, { ...(piece ? { id: piece.id } : {}), kind, name, sizeM, count });
    changes[piece ? 'changed' : 'added'] += 1;
  }
  return changes;
}

const testKey = ({ entry, testedAtMs }: { entry: string; testedAtMs: number }) => `${entry} ${testedAtMs}`;

/** A test of the same horse, gait and instant is there already, and is left as it is. */
async function importTests(tx: Transaction, yardId: string, rows: readonly CsvTest[]): Promise<ListChanges> {
  const horses = await listHorses(tx, yardId);
  const changes = { added: 0, changed: 0, left: 0 };
  /** What is there already, by horse: asked for once each, and kept up with what the list adds. */
  const known = new Map<string, Set<string>>();
  for (const { horse: name, entry, testedAtMs, lane, moment, passes } of rows) {
    const horse = byName(horses, name);
    if (!horse)
      throw new ListRefused(`The yard has no horse called “${name}”: add it first, or rename it in the list.`);
    const there = known.get(horse.id) ?? new Set((await listStrideTests(tx, yardId, horse.id)).map(testKey));
    known.set(horse.id, there);
    const key = testKey({ entry, testedAtMs });
    if (there.has(key)) {
      changes.left += 1;
      continue;
    }
    there.add(key);
    await addStrideTest(tx, yardId, {
      ...{ id: randomUUID(), horseId: horse.id, riderId: null, stepperId: null, note: '' },
      ...{ rhythm: null, roundness: null, balance: null, entry, testedAtMs, lane, moment, passes },
    });
    changes.added += 1;
  }
  return changes;
}

/** A list of the yard, to be written: what was put away is left out. */
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

type Horse = Awaited<ReturnType<typeof listHorses>>[number];

/** Only what was typed in: a guess or a test must not come back as somebody's word. */
function toCsvHorse({ name, heightM, type, bornYear, level, stiffSide, notes, strides }: Horse): CsvHorse {
  const typed = TYPED_STRIDES.flatMap(({ entry }) => {
    const stride = strides[entry];
    return stride?.source === 'typed' ? [[entry, stride.normalM] as const] : [];
  });
  return { name, heightM, type, bornYear, level, stiffSide, notes, strides: Object.fromEntries(typed) };
}

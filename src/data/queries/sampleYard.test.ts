import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { eq, getTableColumns, getTableName, is } from 'drizzle-orm';
import { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { takeOver, withStaged } from '../archive/stagedStore';
import { DatabaseRefused } from '../databaseRefused';
import { sampleStore } from '../demo/sampleStore';
import * as schema from '../schema';
import { withTestDatabase } from '../testDatabase';
import type { OpenDatabase } from '../database';
import { isSample, keepSample, removeSample } from './sampleYard';
import { currentYard } from './yards';

jest.setTimeout(120_000);

const NOW_MS = Date.parse('2026-06-03T12:00:00Z');

/** How many rows each table has. */
async function counts({ db }: OpenDatabase): Promise<Record<string, number>> {
  const found: Record<string, number> = {};
  for (const table of Object.values(schema))
    if (is(table, SQLiteTable) && 'yardId' in getTableColumns(table as SQLiteTable))
      found[getTableName(table)] = await db.$count(table);
  return { ...found, yards: await db.$count(schema.yards) };
}

/** @param file - false where the store is on a server, which takes rows and no file */
async function withSample(database: OpenDatabase, file = database.file): Promise<string> {
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-sample-'));
  try {
    const staged = await sampleStore({ nowMs: NOW_MS, timeZone: 'America/Denver', folder });
    const yardId = staged.yards[0]!.id;
    await withStaged(staged, { file }, rows => database.write(tx => takeOver(tx, rows, yardId)));
    return yardId;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

test('a sample lies beside a yard, with a season in it, and is gone without a trace when it is thrown away', async () => {
  await withTestDatabase(async database => {
    const own = await currentYard(database);
    const before = await counts(database);
    const sample = await withSample(database);
    expect(await isSample(database.db, sample)).toBe(true);
    expect(await isSample(database.db, own.id)).toBe(false);
    const full = await counts(database);
    expect(full.yards).toBe(2);
    expect(full.passes).toBeGreaterThan(500);
    const [yard] = await database.db.select().from(schema.yards).where(eq(schema.yards.id, sample));
    expect(yard?.timeZone).toBe('America/Denver');
    await withTestDatabase(async onServer => {
      await currentYard(onServer);
      await withSample(onServer, false);
      expect(await counts(onServer)).toEqual(full);
    });
    expect(await database.write(tx => removeSample(tx, sample))).toEqual([]);
    expect(await counts(database)).toEqual(before);
  });
});

test('what is no sample, or is none any more, is not thrown away', async () => {
  await withTestDatabase(async database => {
    const own = await currentYard(database);
    await expect(database.write(tx => removeSample(tx, own.id))).rejects.toThrow(DatabaseRefused);
    const sample = await withSample(database);
    await database.write(tx => keepSample(tx, sample));
    const full = await counts(database);
    await expect(database.write(tx => removeSample(tx, sample))).rejects.toThrow(/no sample/);
    expect(await counts(database)).toEqual(full);
  });
});

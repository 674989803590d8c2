/**
 * The first look at a record after a start: this process has read none of it. What runs was compiled before, over a record of a single
 * season that lies elsewhere, as on a server that has answered others; the bench of a season starts it.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { reinReview, strideReviews } from '@/core';
import { seedDemo } from '@/data/demo/seedDemo';
import { openDatabase } from '@/data/openDatabase';
import type { RoanDatabase } from '@/data/database';
import { listArenas } from '@/data/queries/arenas';
import { sumsOf } from '@/data/queries/kept/sums';
import { keepChangedDays } from '@/data/queries/keepChangedDays';
import { listPairs } from '@/data/queries/pairs';
import { pairRecord } from '@/data/queries/pairRecord';
import { sandRecord } from '@/data/queries/sandRecord';
import * as schema from '@/data/schema';

const CLOCK = { dayOf: (atMs: number) => new Date(atMs).toISOString().slice(0, 10) };
const WORDS = { horse: 'x', format: String, formatChange: String, entryName: String, dayName: String };

/** Milliseconds. */
export type FirstLook = { 'a pair': number; 'the yard (strides, reins, sand)': number };

/** What a page of a pair and those of a yard ask of the record. */
export async function look(db: RoanDatabase): Promise<FirstLook> {
  const [yard] = await db.select().from(schema.yards);
  const { id, timeZone } = yard!;
  const clock = { ...CLOCK, timeZone };
  const pairs = await listPairs(db, id);
  const beganMs = performance.now();
  await pairRecord(db, id, pairs[0]!, clock, WORDS);
  const pairMs = performance.now() - beganMs;
  const yardMs = performance.now();
  await sumsOf(db, id, clock, { of: 'all', name: 'strides and reins', key: '' }, passes =>
    pairs.map(pair => {
      const own = passes.filter(({ pairId }) => pairId === pair.id);
      return { strides: strideReviews(own, () => 3.5), reins: reinReview(own) };
    }),
  );
  for (const arena of await listArenas(db, id)) await sandRecord(db, id, arena, clock);
  return { 'a pair': pairMs, 'the yard (strides, reins, sand)': performance.now() - yardMs };
}

async function warm(): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-warm-'));
  const database = await openDatabase(`file:${path.join(folder, 'roan.db')}`);
  try {
    await seedDemo(database, Date.parse('2026-06-01T12:00:00Z'), true);
    const [yard] = await database.db.select().from(schema.yards);
    await keepChangedDays(database, yard!.id, { ...CLOCK, timeZone: yard!.timeZone });
    await database.write.idle();
    await look(database.db);
  } finally {
    await database.close();
    rmSync(folder, { recursive: true, force: true });
  }
}

async function main(url: string): Promise<void> {
  await warm();
  // Only read: the bench holds the file.
  const client = createClient({ url });
  const told = await look(drizzle(client, { schema }) as unknown as RoanDatabase);
  client.close();
  console.log(JSON.stringify(told));
}

if (process.argv[1]?.endsWith('firstLook.ts')) void main(process.argv[2]!);

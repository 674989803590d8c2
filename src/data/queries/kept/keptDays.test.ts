import { randomUUID } from 'node:crypto';
import { createClient } from '@libsql/client';
import { eq, sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/libsql';
import type { RecordEvent } from '@/core';
import type { OpenDatabase, RoanDatabase } from '../../database';
import * as schema from '../../schema';
import { takenBack } from '../../testChanges';
import { withTestDatabase } from '../../testDatabase';
import { demoAt } from '../../testDemo';
import { writesWith } from '../../writerOf';
import { listArenas } from '../arenas';
import { dayPasses } from '../dayPasses';
import { keepChangedDays } from '../keepChangedDays';
import { pairRecord } from '../pairRecord';
import { listPairs } from '../pairs';
import { recordBatch } from '../recordEvents';
import { reviewPasses } from '../reviewPasses';
import { sandRecord } from '../sandRecord';
import { currentYard } from '../yards';

const NOW_MS = Date.parse('2026-06-03T12:00:00Z');
/** A day of a yard on the other side of the world begins on the day before. */
const FAR = {
  timeZone: 'Pacific/Auckland',
  dayOf: (atMs: number) => new Date(atMs + 12 * 3600_000).toISOString().slice(0, 10),
};
const CLOCK = { timeZone: 'UTC', dayOf: (atMs: number) => new Date(atMs).toISOString().slice(0, 10) };
const WORDS = { horse: 'x', format: String, formatChange: String, entryName: String, dayName: String };

jest.setTimeout(120_000);

const season = demoAt(NOW_MS, 'season');

/** All that a review is made of; a few pairs and no sand where `few`: whose sums are the same, theirs are. */
async function told(
  { pairRecord, sandRecord, dayPasses }: Pick<Queries, 'pairRecord' | 'sandRecord' | 'dayPasses'>,
  { db, yardId, clock, few }: { db: RoanDatabase; yardId: string; clock: typeof CLOCK; few: boolean },
) {
  const records = [];
  const pairs = await listPairs(db, yardId);
  for (const pair of few ? pairs.slice(0, 2) : pairs)
    records.push(bare(await pairRecord(db, yardId, pair, clock, WORDS)));
  const sands = [];
  for (const arena of few ? [] : await listArenas(db, yardId)) sands.push(await sandRecord(db, yardId, arena, clock));
  const all = await dayPasses(db, yardId, 'all', clock);
  return { records, sands, order: all.map(({ id }) => id) };
}

type Queries = typeof import('../pairRecord') & typeof import('../sandRecord') & typeof import('../dayPasses');

/** The same by a Roan that has just been started: nothing is in its memory. */
async function afterAStart(db: RoanDatabase, yardId: string, clock: typeof CLOCK, few = true) {
  let says: unknown;
  await jest.isolateModulesAsync(async () => {
    const [pair, sand, days] = [
      await import('../pairRecord'),
      await import('../sandRecord'),
      await import('../dayPasses'),
    ];
    says = await told({ ...pair, ...sand, ...days }, { db, yardId, clock, few });
  });
  return says;
}

/** The same by who only reads, and by a clock that nothing is kept for: it is all read out of the marks. */
const readAnew = (reader: RoanDatabase, yardId: string, clock: typeof CLOCK, few = true) =>
  told(
    { pairRecord, sandRecord, dayPasses },
    { db: reader, yardId, few, clock: { ...clock, timeZone: `${clock.timeZone} ${randomUUID()}` } },
  );

const bare = <Told extends { passes: readonly object[] }>(record: Told) => ({
  ...record,
  passes: record.passes.map(pass => ({ ...pass, marks: undefined })),
});

type Yard = { database: OpenDatabase; yardId: string; asked: string[]; reader: RoanDatabase; kept: RoanDatabase };

/** `reader` keeps nothing and reads everything; `kept` says what it asks. */
async function withYard(test: (yard: Yard) => Promise<void>): Promise<void> {
  await withTestDatabase(async (database, url) => {
    const yardId = (await currentYard(database)).id;
    const asked: string[] = [];
    const client = createClient({ url });
    const kept = drizzle(client, {
      schema,
      logger: { logQuery: text => void asked.push(text) },
    }) as unknown as RoanDatabase;
    writesWith(kept, database.write);
    const reader = { select: database.db.select.bind(database.db) } as unknown as RoanDatabase;
    try {
      await test({ database, yardId, asked, reader, kept });
      await database.write.idle();
    } finally {
      client.close();
    }
  }, season);
}

const asksMarks = (asked: readonly string[]) =>
  asked.filter(text => /from "passes"/.test(text) && /"marks"/.test(text));

test.each([
  { clock: CLOCK, few: false },
  { clock: FAR, few: true },
])('what is kept says the same as what is read, to the last digit ($clock.timeZone)', async ({ clock, few }) => {
  await withYard(async ({ database, yardId, asked, reader, kept }) => {
    const fresh = await readAnew(reader, yardId, clock, few);
    expect(await afterAStart(kept, yardId, clock, few)).toEqual(fresh);
    expect(asksMarks(asked).length).toBeGreaterThan(0);
    await database.write.idle();
    asked.length = 0;
    expect(await afterAStart(kept, yardId, clock, few)).toEqual(fresh);
    // No mark was read for it.
    expect(asksMarks(asked)).toEqual([]);
    expect(await database.db.select().from(schema.changedDays)).toEqual([]);
  });
});

test('whoever changes the record, only the days that changed are read again', async () => {
  await withYard(async ({ database, yardId, asked, reader, kept }) => {
    const { db, write } = database;
    await keepChangedDays(database, yardId, CLOCK);
    const [pair] = await listPairs(db, yardId);
    const ridden = await reviewPasses(db, yardId, { pairIds: [pair!.id] }, CLOCK);
    const [first, second, third, fourth] = [0.2, 0.4, 0.6, 0.8].map(at => ridden[Math.floor(at * ridden.length)]!);
    const batch = (event: RecordEvent, nowMs = NOW_MS) =>
      write(tx => recordBatch(tx, yardId, { events: [event], lessonId: null }, nowMs));
    const same = async () => {
      await database.write.idle();
      asked.length = 0;
      expect(await afterAStart(kept, yardId, CLOCK)).toEqual(await readAnew(reader, yardId, CLOCK));
      const reads = asksMarks(asked).length;
      await database.write.idle();
      return reads;
    };
    expect(await same()).toBe(0);
    const mark = { id: randomUUID(), kind: 'quality' as const, value: 1 as const };
    await batch({ type: 'mark', id: randomUUID(), passId: first!.id, mark, atMs: NOW_MS });
    expect(await same()).toBe(1);
    await batch(takenBack(randomUUID(), 'pass', second!.id, NOW_MS));
    expect(await same()).toBe(1);
    // Past the record's own door: a pass is another pair's, is on another day, and is gone.
    const other = (await listPairs(db, yardId))[1]!;
    await write(async tx => {
      await tx.update(schema.passes).set({ pairId: other.id }).where(eq(schema.passes.id, first!.id));
      await tx
        .update(schema.passes)
        .set({ riddenAt: new Date(third!.riddenAtMs - 40 * 24 * 3600_000) })
        .where(eq(schema.passes.id, third!.id));
      await tx.delete(schema.marks).where(eq(schema.marks.passId, fourth!.id));
      await tx.run(sql`update settings set value = json_quote(${randomUUID()}) where key = 'recordRevision'`);
    });
    // Four days of the one pair, and one of the other.
    expect(await same()).toBe(5);
    expect(await same()).toBe(0);
  });
});

test('in doubt everything is read again: another Roan, a row that cannot be read, a store that cannot be written', async () => {
  await withYard(async ({ database, yardId, asked, reader, kept }) => {
    const fresh = await readAnew(reader, yardId, CLOCK);
    await keepChangedDays(database, yardId, CLOCK);
    await database.write(tx => tx.update(schema.keptBy).set({ madeBy: 'another Roan' }));
    expect(await afterAStart(kept, yardId, CLOCK)).toEqual(fresh);
    expect(asksMarks(asked).length).toBeGreaterThan(0);
    await database.write.idle();
    const [row] = await database.db.select().from(schema.keptDays);
    for (const document of ['{"grounds":', '{}']) {
      await database.write(tx => tx.update(schema.keptDays).set({ document }).where(eq(schema.keptDays.no, row!.no)));
      expect(await afterAStart(kept, yardId, CLOCK)).toEqual(fresh);
      // And by whoever looks next it is kept anew.
      expect(await afterAStart(kept, yardId, CLOCK)).toEqual(fresh);
      await database.write.idle();
      expect(await database.db.select().from(schema.keptDays).where(eq(schema.keptDays.document, document))).toEqual(
        [],
      );
    }
    await database.write(tx => tx.delete(schema.keptBy));
    writesWith(
      kept,
      Object.assign(() => Promise.reject(new Error('the disk is full')), { idle: () => Promise.resolve() }),
    );
    expect(await afterAStart(kept, yardId, CLOCK)).toEqual(fresh);
  });
});

test('a day that changes while it is read is not kept as it was', async () => {
  await withYard(async ({ database, yardId, reader, kept }) => {
    await keepChangedDays(database, yardId, CLOCK);
    const [pair] = await listPairs(database.db, yardId);
    const [pass] = await reviewPasses(database.db, yardId, { pairIds: [pair!.id] }, CLOCK);
    const note = (words: string) => {
      const mark = { id: randomUUID(), kind: 'note' as const, words };
      return { type: 'mark', id: randomUUID(), passId: pass!.id, mark, atMs: NOW_MS } satisfies RecordEvent;
    };
    const send = (event: RecordEvent) =>
      database.write(tx => recordBatch(tx, yardId, { events: [event], lessonId: null }, NOW_MS));
    await send(note('first'));
    // Its own write waits behind one that marks the day again.
    let more = true;
    const write = Object.assign(
      async (action: Parameters<OpenDatabase['write']>[0]) => {
        if (more) {
          more = false;
          await send(note('meanwhile'));
        }
        return database.write(action);
      },
      { idle: database.write.idle },
    ) as OpenDatabase['write'];
    writesWith(kept, write);
    await dayPasses(kept, yardId, { pairIds: [pair!.id] }, CLOCK);
    while (more) await new Promise(resolve => setTimeout(resolve, 5));
    await new Promise(resolve => setTimeout(resolve, 50));
    await database.write.idle();
    expect(await database.db.select().from(schema.changedDays)).toHaveLength(1);
    writesWith(kept, database.write);
    expect(await afterAStart(kept, yardId, CLOCK)).toEqual(await readAnew(reader, yardId, CLOCK));
    await database.write.idle();
    expect(await database.db.select().from(schema.changedDays)).toEqual([]);
  });
});

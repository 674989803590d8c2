import { createHash, randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { createClient, type Client, type InValue } from '@libsql/client';
import { sql } from 'drizzle-orm';
import JSZip from 'jszip';
import { askedLayout, changeOver, lessonState, passWork } from '@/core';
import { ARCHIVE_TABLES, tableName } from '../archive/archiveTables';
import { readArchive } from '../archive/readArchive';
import { restoreArchive } from '../archive/restoreArchive';
import { archiveRows } from '../archive/writeArchive';
import { openDatabase } from '../openDatabase';
import type { OpenDatabase } from '../database';
import { listHorses } from '../queries/horses';
import { listLayouts } from '../queries/layouts';
import { lessonRecord, lessonTimes, listLessons } from '../queries/lessons';
import { listPairs } from '../queries/pairs';
import { versionsById } from '../queries/layoutVersions';
import { listPasses } from '../queries/passes';
import { passWorks } from '../queries/passWorks';
import { recordBatch } from '../queries/recordEvents';
import { lessonLog } from '../queries/recordLog';
import { currentYard } from '../queries/yards';
import { withTestDatabase } from '../testDatabase';

jest.setTimeout(120_000);

/** The rows of a yard with a season behind it, table by table, as the Roan before questions kept them. */
type Rows = Record<string, Record<string, InValue>[]>;
const SEASON = JSON.parse(
  gunzipSync(readFileSync(path.join(__dirname, 'fixtures/season-0005.json.gz'))).toString('utf8'),
) as Rows;

const MIGRATIONS = path.join(process.cwd(), 'src/data/migrations');
const { entries } = JSON.parse(readFileSync(path.join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as {
  entries: { tag: string; when: number }[];
};

let folder: string;
beforeEach(() => void (folder = mkdtempSync(path.join(tmpdir(), 'roan-upgrade-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A database as a Roan of so many migrations left it, with these rows as far as it had tables and columns for them. */
async function oldDatabase(migrations: number, rows: Rows): Promise<string> {
  const url = `file:${path.join(folder, `old-${migrations}.db`)}`;
  const client = createClient({ url });
  await client.execute(
    'CREATE TABLE __drizzle_migrations (id SERIAL PRIMARY KEY, hash text NOT NULL, created_at numeric)',
  );
  for (const { tag, when } of entries.slice(0, migrations)) {
    const text = readFileSync(path.join(MIGRATIONS, `${tag}.sql`), 'utf8');
    for (const statement of text.split('--> statement-breakpoint')) await client.execute(statement);
    const hash = createHash('sha256').update(text).digest('hex');
    await client.execute({
      sql: 'INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)',
      args: [hash, when],
    });
  }
  for (const [table, all] of Object.entries(rows)) await insert(client, table, all);
  client.close();
  return url;
}

async function insert(client: Client, table: string, rows: Rows[string]): Promise<void> {
  const known = (await client.execute(`PRAGMA table_info("${table}")`)).rows.map(({ name }) => String(name));
  if (known.length === 0 || rows.length === 0) return;
  const columns = known.filter(name => name in rows[0]!);
  const insertion = `INSERT INTO "${table}" (${columns.join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`;
  const batch = rows.map(row => ({ sql: insertion, args: columns.map(name => row[name] ?? null) }));
  for (let first = 0; first < batch.length; first += 500)
    await client.batch([{ sql: 'PRAGMA foreign_keys = OFF', args: [] }, ...batch.slice(first, first + 500)]);
}

/** All that the record says after it was brought over: passes by their ids. */
async function recordOf(database: OpenDatabase) {
  const { db } = database;
  const yardId = (await currentYard(database)).id;
  const pairs = await listPairs(db, yardId);
  const passes = (await Promise.all(pairs.map(({ id }) => listPasses(db, yardId, id)))).flat();
  const versions = await versionsById(
    db,
    yardId,
    passes.map(({ layoutVersionId }) => layoutVersionId),
  );
  return { db, yardId, passes, versions, workOf: await passWorks(db, yardId, passes) };
}

type OldLayout = {
  items: { id: string; kind: string }[];
  tracks: { through?: { item: string }[] }[];
};

/** What the Roan of then would have marked of a version: its first track over poles and fences, by the names of then. */
function markedThen(versionId: string): string[] {
  const frozen = SEASON.layout_versions!.find(({ id }) => id === versionId)!.frozen as string;
  const { layout } = JSON.parse(frozen) as { layout: OldLayout };
  return layout.tracks.find(({ through }) => through)?.through?.map(({ item }) => item) ?? [];
}

const counted = (rows: Rows[string]) => rows.filter(({ undone_at: undone }) => undone === null);

async function expectSeason(database: OpenDatabase): Promise<void> {
  const { db, yardId, passes, versions, workOf } = await recordOf(database);
  const rows = new Map(counted(SEASON.passes!).map(row => [row.id as string, row]));
  expect(passes.map(({ id }) => id).sort()).toEqual([...rows.keys()].sort());
  expect(passes.flatMap(({ marks }) => marks).length).toBe(counted(SEASON.marks!).length);
  for (const pass of passes) {
    const then = rows.get(pass.id)!;
    expect(pass).toMatchObject({
      ...{ pairId: then.pair_id, layoutVersionId: then.layout_version_id, stage: then.stage },
      riddenAtMs: then.ridden_at,
    });
    const layout = versions.get(pass.layoutVersionId)!.layout;
    const asked = askedLayout(layout, pass.question)!;
    const [track] = asked.tracks;
    // The same places: what they were called then is what they are known by still.
    const places = track?.kind === 'items' ? track.through.map(({ item }) => item) : [];
    expect(places).toEqual(markedThen(pass.layoutVersionId));
    expect(workOf(pass)).not.toBeNull();
    const { lowEfforts, highEfforts } = passWork(pass, workOf(pass)!);
    const fences = asked.items.filter(({ kind }) => kind === 'fence').map(({ id }) => id);
    const over = track?.kind === 'items' ? track.through.filter(({ item }) => fences.includes(item)).length : 0;
    expect(lowEfforts + highEfforts).toBeLessThanOrEqual(over);
  }
  // What was tapped is kept where the track says that it cannot have been ridden so.
  const tapped = await db.all<Record<string, string | null>>(sql`SELECT id, rein, direction, tapped FROM passes`);
  for (const { id, rein, direction, tapped: before } of tapped) {
    const then = SEASON.passes!.find(row => row.id === id)!;
    const told = before ? (JSON.parse(before) as object) : { rein, direction };
    expect(told).toEqual({ rein: then.rein, direction: then.direction });
  }
  expect((await listHorses(db, yardId)).map(({ name }) => name).sort()).toEqual(
    SEASON.horses!.map(({ name }) => name).sort(),
  );
  expect(await listLayouts(db, yardId)).toHaveLength(SEASON.layouts!.length);
}

async function expectLessons({ db }: OpenDatabase, yardId: string): Promise<void> {
  const lessons = await listLessons(db, yardId);
  expect(lessons).toHaveLength(SEASON.lessons!.length);
  for (const lesson of lessons) {
    const then = JSON.parse(SEASON.lessons!.find(({ id }) => id === lesson.id)!.document as string) as {
      stages: { id: string; name: string; layoutId: string | null }[];
    };
    expect(lesson.plan.stages.map(({ id, name, layoutId }) => ({ id, name, layoutId }))).toEqual(
      then.stages.map(({ id, name, layoutId }) => ({ id, name, layoutId })),
    );
    // A stage over a layout asks one thing, as it did.
    for (const { layoutId, questions } of lesson.plan.stages) expect(questions).toHaveLength(layoutId === null ? 0 : 1);
    const { passes } = await lessonRecord(db, yardId, lesson);
    for (const { stageId, stage } of passes)
      expect(lesson.plan.stages.find(({ id }) => id === stageId)?.name).toBe(stage);
  }
}

/** Everything in the tables that are brought over. */
const contents = async ({ db }: OpenDatabase) =>
  Promise.all(
    ['passes', 'lessons', 'questions', 'marks'].map(table => db.all(sql.raw(`SELECT * FROM ${table} ORDER BY id`))),
  );

test.each([3, 4, 5, 6])(
  'a season that a Roan of %i migrations kept is there: the same passes, names, marks, nothing lost',
  async migrations => {
    const url = await oldDatabase(migrations, SEASON);
    const database = await openDatabase(url);
    await expectSeason(database);
    // Lessons came with the fifth migration.
    if (migrations >= 5) await expectLessons(database, (await currentYard(database)).id);
    const before = await contents(database);
    await database.close();
    // Opened again there is nothing left to bring over.
    const again = await openDatabase(url);
    expect(await contents(again)).toEqual(before);
    await again.close();
  },
);

/** A yard from when a layout was one row of poles, with a season of passes over it. */
function rowSeason(): Rows {
  const own = { yard_id: SEASON.yards![0]!.id!, created_at: 1_700_000_000_000 };
  const arena = SEASON.arenas![0]!;
  const horse = SEASON.horses![0]!;
  const pair = SEASON.pairs!.find(({ horse_id: id }) => id === horse.id) ?? SEASON.pairs![0]!;
  const row = {
    ...{ kind: 'pole-row', id: 'poles', gait: 'trot', at: { xM: 10, yM: 20 }, facingDeg: 0, poleLengthM: 3 },
    raised: [0, 1, 2, 3].map(() => ({ leftM: 0.1, rightM: 0.1 })),
    ...{ spacing: { by: 'hand', spacingM: 1.3 }, horseId: horse.id },
  };
  const document = JSON.stringify({ format: 'roan-plan', version: 1, rows: [row] });
  const layout = {
    id: 'row-layout',
    name: 'Four trot poles',
    arena_id: arena.id!,
    revision: 3,
    updated_at: 1,
    document,
  };
  const { width_m: widthM, length_m: lengthM, letters } = arena;
  const frozen = JSON.stringify({
    arena: { widthM, lengthM, letters },
    rows: { poles: { spacingM: 1.3, horseName: horse.name } },
  });
  const version = {
    id: 'row-version',
    layout_id: layout.id,
    revision: 3,
    fingerprint: 'f',
    name: layout.name,
    document,
  };
  const passes = Array.from({ length: 40 }, (_, index) => ({
    ...own,
    ...{ id: randomUUID(), pair_id: pair.id!, layout_version_id: version.id, stage: 'raised' },
    ...{ rein: index % 2 ? 'right' : 'left', direction: index % 4 < 2 ? 'as-drawn' : 'other-way' },
    ...{ ridden_at: 1_700_000_000_000 + index * 60_000, undone_at: null },
  }));
  const marks = passes.flatMap(({ id }, index) => [
    {
      ...own,
      id: randomUUID(),
      pass_id: id,
      kind: 'footfall',
      place: 2,
      fraction: 0.45,
      words: null,
      marked_at: index,
    },
    { ...own, id: randomUUID(), pass_id: id, kind: 'hit', place: 4, fraction: null, words: null, marked_at: index },
  ]);
  const tables = [
    'yards',
    'arenas',
    'people',
    'horses',
    'kit',
    'stride_tests',
    'stride_test_passes',
    'stride_ranges',
    'pairs',
  ];
  return {
    ...Object.fromEntries(tables.map(table => [table, SEASON[table]!])),
    layouts: [{ ...own, ...layout }],
    layout_versions: [{ ...own, ...version, frozen }],
    ...{ passes, marks: marks.map(mark => ({ ...mark, undone_at: null })) },
  };
}

test.each([1, 2])('rows of poles that a Roan of %i migrations kept are ridden as they were', async migrations => {
  const rows = rowSeason();
  const database = await openDatabase(await oldDatabase(migrations, rows));
  const { passes, versions, workOf } = await recordOf(database);
  expect(passes).toHaveLength(40);
  for (const pass of passes) {
    const then = rows.passes!.find(({ id }) => id === pass.id)!;
    expect(pass).toMatchObject({ rein: then.rein, direction: then.direction, stage: 'raised' });
    const [track] = askedLayout(versions.get('row-version')!.layout, pass.question)!.tracks;
    expect(track?.kind === 'items' && track.through.length).toBe(4);
    expect(pass.marks.map(mark => [mark.kind, 'place' in mark ? mark.place : null])).toEqual([
      ['footfall', 2],
      ['hit', 4],
    ]);
    expect(passWork(pass, workOf(pass)!)).toMatchObject({ lowEfforts: 0, raisedPasses: 1 });
  }
  expect(await listLayouts(database.db, passes.length > 0 ? (await currentYard(database)).id : '')).toHaveLength(1);
  await database.close();
});

/** The archive that the Roan before questions made of the season. */
/** An archive as a file, read. */
function readBytes(bytes: Buffer): ReturnType<typeof readArchive> {
  const file = path.join(folder, `${randomUUID()}.zip`);
  writeFileSync(file, bytes);
  return readArchive(file);
}

async function oldArchive(season: Rows = SEASON, version = 1): Promise<Buffer> {
  const zip = new JSZip();
  const files: Record<string, string> = {};
  for (const [name, rows] of Object.entries(season)) {
    const json = JSON.stringify(rows);
    zip.file(`tables/${name}.json`, json);
    files[`tables/${name}.json`] = createHash('sha256').update(json).digest('hex');
  }
  const manifest = {
    ...{ format: 'roan-archive', version, madeAt: '2026-06-01T12:00:00.000Z', yard: 'Teasel Bank', files },
    rows: Object.fromEntries(Object.entries(season).map(([name, rows]) => [name, rows.length])),
  };
  zip.file('roan-archive.json', JSON.stringify(manifest));
  return zip.generateAsync({ type: 'nodebuffer' });
}

test('an archive of the version before is restored, and its season is there', async () => {
  await withTestDatabase(async database => {
    await restoreArchive(database, await readBytes(await oldArchive()), path.join(folder, 'videos'));
    await expectSeason(database);
    await expectLessons(database, (await currentYard(database)).id);
  });
});

/** The season as a Roan that knew questions, and no changes of the record, kept it: columns that came later are not there. */
async function seasonWithQuestions(): Promise<Rows> {
  const database = await openDatabase(await oldDatabase(6, SEASON));
  const all = new Map<string, Rows[string]>();
  for (const table of ARCHIVE_TABLES) all.set(tableName(table), await archiveRows(database.db, table));
  await database.close();
  const client = createClient({ url: await oldDatabase(7, {}) });
  const rows: Rows = {};
  for (const [name, own] of all) {
    const known = (await client.execute(`PRAGMA table_info("${name}")`)).rows.map(column => String(column.name));
    if (known.length === 0) continue;
    rows[name] = own.map(row => Object.fromEntries(known.map(column => [column, row[column] ?? null])));
  }
  client.close();
  rmSync(path.join(folder, 'old-7.db'), { force: true });
  return rows;
}

/** What was ridden stands as it was said, nothing of it was changed, and it can be put right. */
async function expectUnchanged(database: OpenDatabase): Promise<void> {
  await expectSeason(database);
  const yardId = (await currentYard(database)).id;
  const [{ lesson_id: lessonId }] = counted(SEASON.passes!).filter(({ lesson_id: id }) => id !== null) as [
    { lesson_id: string },
  ];
  const lesson = (await listLessons(database.db, yardId)).find(({ id }) => id === lessonId);
  const { log } = (await lessonLog(database.db, yardId, lesson!.id))!;
  expect(log.changes).toEqual([]);
  const [first] = log.passes;
  expect(first!.saidAtMs).toBe(first!.pass.riddenAtMs);
  expect(lessonState(await lessonTimes(database.db, yardId, lesson!), Date.now())).toBe('ended');
  const change = changeOver(
    log,
    { on: 'pass', of: first!.pass.id, what: 'counts', was: first!.counts, to: !first!.counts },
    null,
    { newId: () => randomUUID(), atMs: Date.now(), by: 'Ada' },
  );
  const event = { type: 'change' as const, id: change.id, lessonId: lesson!.id, change };
  await database.write(tx => recordBatch(tx, yardId, { events: [event], lessonId: null }, Date.now()));
  const again = (await lessonLog(database.db, yardId, lesson!.id))!.log;
  expect(again.passes.find(({ pass }) => pass.id === first!.pass.id)!.counts).toBe(!first!.counts);
  expect(again.changes).toMatchObject([{ was: first!.counts, to: !first!.counts, by: 'Ada' }]);
}

test('a season that a Roan of seven migrations kept is there, over, and can be put right', async () => {
  const database = await openDatabase(await oldDatabase(7, await seasonWithQuestions()));
  await expectUnchanged(database);
  await database.close();
});

test('an archive of version 2 is restored, and its season can be put right', async () => {
  const archive = await oldArchive(await seasonWithQuestions(), 2);
  await withTestDatabase(async database => {
    await restoreArchive(database, await readBytes(archive), path.join(folder, 'videos'));
    await expectUnchanged(database);
  });
});

test('before an update a copy is kept as it was, the last three of them; where it cannot be kept nothing is changed', async () => {
  const url = await oldDatabase(7, SEASON);
  await (await openDatabase(url)).close();
  const backups = path.join(folder, 'backups');
  const [copy, ...more] = readdirSync(backups);
  expect(more).toEqual([]);
  const client = createClient({ url: `file:${path.join(backups, copy!)}` });
  const applied = await client.execute('SELECT count(*) AS n FROM __drizzle_migrations');
  const horses = await client.execute('SELECT count(*) AS n FROM horses');
  client.close();
  expect([Number(applied.rows[0]!.n), Number(horses.rows[0]!.n)]).toEqual([7, SEASON.horses!.length]);
  // Opened again, nothing is due.
  await (await openDatabase(url)).close();
  expect(readdirSync(backups)).toHaveLength(1);

  const other = await oldDatabase(6, SEASON);
  rmSync(backups, { recursive: true });
  writeFileSync(backups, 'in the way');
  await expect(openDatabase(other)).rejects.toThrow('Nothing was changed');
  rmSync(backups);
  await (await openDatabase(other)).close();
});

import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import JSZip from 'jszip';
import Papa from 'papaparse';
import { USUAL_RULES } from '@/core';
import { seedDemo } from '../demo/seedDemo';
import type { OpenDatabase } from '../openDatabase';
import { listPasses } from '../queries/passes';
import { listPairs } from '../queries/pairs';
import { recordBatch } from '../queries/recordEvents';
import { saveYardRules } from '../queries/settings';
import { currentYard } from '../queries/yards';
import { horsePictures, horses, passes, videos } from '../schema';
import { takenBack } from '../testChanges';
import { withTestDatabase } from '../testDatabase';
import { ARCHIVE_TABLES, tableName } from './archiveTables';
import { backUpIfDue, KEPT_BACKUPS, listBackups } from './backups';
import { isEmptyYard, readArchive, restoreArchive } from './readArchive';
import { archiveRows, sha256, writeArchive } from './writeArchive';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');
const MADE_AT = new Date(NOW_MS).toISOString();

let folder: string;
beforeEach(() => void (folder = mkdtempSync(path.join(tmpdir(), 'roan-archive-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const archiveOf = async ({ db }: OpenDatabase) => buffer(await writeArchive(db, folder, MADE_AT));
const allRows = async ({ db }: OpenDatabase) =>
  Object.fromEntries(
    await Promise.all(ARCHIVE_TABLES.map(async table => [tableName(table), await archiveRows(db, table)])),
  );

/** The demo yard with a picture and a film, which is what is not plain text in it. */
async function withDemo(test: (database: OpenDatabase) => Promise<void>) {
  await withTestDatabase(async database => {
    await seedDemo(database, NOW_MS);
    const yard = await currentYard(database);
    const [horse] = await database.db.select().from(horses);
    const bytes = Buffer.from([0, 1, 2, 255, 254]);
    const film = Buffer.from('not really a film');
    writeFileSync(path.join(folder, 'film-1'), film);
    await database.write(async tx => {
      await tx.insert(horsePictures).values({ horseId: horse!.id, yardId: yard.id, mime: 'image/png', bytes });
      await tx.insert(videos).values({
        ...{ id: 'film-1', yardId: yard.id, fileName: 'left.mp4', mime: 'video/mp4', sizeBytes: film.length },
        sha256: sha256(film),
      });
      // Something was put right: a pass taken back, and the yard's rules changed.
      const [pass] = await tx.select().from(passes);
      await recordBatch(
        tx,
        yard.id,
        { events: [takenBack(randomUUID(), 'pass', pass!.id, NOW_MS)], lessonId: null },
        NOW_MS,
      );
      await saveYardRules(tx, yard.id, USUAL_RULES);
    });
    await test(database);
  });
}

/** The archive with one of its files changed; its own hash is kept as it was, or made right. */
async function changed(
  bytes: Buffer,
  file: string,
  change: (text: string) => string,
  hashToo = false,
): Promise<Buffer> {
  const zip = await JSZip.loadAsync(bytes);
  const text = change(await zip.file(file)!.async('string'));
  zip.file(file, text);
  if (hashToo) {
    const manifest = JSON.parse(await zip.file('roan-archive.json')!.async('string')) as {
      files: Record<string, string>;
    };
    manifest.files[file] = sha256(text);
    zip.file('roan-archive.json', JSON.stringify(manifest));
  }
  return zip.generateAsync({ type: 'nodebuffer' });
}

test('an archive restores exactly on an empty Roan, row by row, films and pictures too', async () => {
  await withDemo(async database => {
    const before = await allRows(database);
    const archive = await archiveOf(database);
    await withTestDatabase(async empty => {
      await currentYard(empty);
      expect(await isEmptyYard(empty)).toBe(true);
      const other = path.join(folder, 'restored');
      await restoreArchive(empty, await readArchive(archive), other);
      expect(await allRows(empty)).toEqual(before);
      expect(readFileSync(path.join(other, 'film-1'), 'utf8')).toBe('not really a film');
      // And it is alive: the yard's own queries read it.
      const yard = await currentYard(empty);
      const [pair] = await listPairs(empty.db, yard.id);
      expect((await listPasses(empty.db, yard.id, pair!.id)).length).toBeGreaterThan(0);
      expect(before.record_changes).toHaveLength(1);
      expect(before.former_states).toHaveLength(1);
    });
  });
});

test('the CSV of a table says what its rows say, and the README names every table', async () => {
  await withDemo(async database => {
    const zip = await JSZip.loadAsync(await archiveOf(database));
    const csv = Papa.parse<Record<string, string>>(await zip.file('csv/horses.csv')!.async('string'), { header: true });
    const rows = await archiveRows(database.db, horses);
    expect(csv.data.map(({ name, height_m: height }) => [name, Number(height)])).toEqual(
      rows.map(({ name, height_m: height }) => [name, height]),
    );
    const readme = await zip.file('README.md')!.async('string');
    for (const table of ARCHIVE_TABLES) expect(readme).toContain(`### ${tableName(table)}\n`);
  });
});

test('what is damaged, newer or strange is refused with a sentence, and nothing is changed', async () => {
  await withDemo(async database => {
    const good = await archiveOf(database);
    const cases: [Buffer, string][] = [
      [Buffer.from('no zip at all'), 'no archive of Roan'],
      [good.subarray(0, good.length - 500), 'damaged'],
      [await changed(good, 'tables/horses.json', text => text.replace('Quill', 'Quell')), 'is not what it was'],
      [await changed(good, 'roan-archive.json', text => text.replace('"version": 3', '"version": 4')), 'of version 4'],
      [await changed(good, 'roan-archive.json', () => '{'), 'cannot be read'],
      [await changed(good, 'tables/horses.json', text => text.replace('"name":', '"nom":'), true), '“nom”'],
      [
        await changed(good, 'tables/kit.json', text => text.replace(/"count":\d+/, '"count":"many"'), true),
        'row 1: “count” is of the wrong kind',
      ],
      [
        await changed(
          good,
          'tables/pairs.json',
          text => text.replace(/"horse_id":"[^"]+"/, '"horse_id":"nobody"'),
          true,
        ),
        'names another',
      ],
      [await changed(good, 'tables/marks.json', text => text.replace(/\{[^\n]*\},\n/, ''), true), 'rows'],
    ];
    for (const [bytes, words] of cases)
      await withTestDatabase(async empty => {
        await currentYard(empty);
        const before = await allRows(empty);
        const restored = readArchive(bytes).then(archive => restoreArchive(empty, archive, path.join(folder, 'none')));
        await expect(restored).rejects.toThrow(words);
        await expect(restored).rejects.toThrow('Nothing was changed');
        expect(await allRows(empty)).toEqual(before);
      });
  });
});

test('an archive is never mixed into a yard with things in it', async () => {
  await withDemo(async database => {
    const before = await allRows(database);
    const archive = await readArchive(await archiveOf(database));
    await expect(restoreArchive(database, archive, folder)).rejects.toThrow('into an empty one');
    expect(await allRows(database)).toEqual(before);
  });
});

test('a backup a day is kept, the oldest go, and a half-written one is none', async () => {
  await withDemo(async database => {
    const folders = { backups: path.join(folder, 'backups'), videos: folder };
    const day = (index: number) => NOW_MS + index * 24 * 3600 * 1000;
    for (let index = 0; index < KEPT_BACKUPS + 2; index += 1) {
      const name = await backUpIfDue(database, folders, day(index));
      expect(name).toBe(`roan-${new Date(day(index)).toISOString().slice(0, 10)}.zip`);
      utimesSync(path.join(folders.backups, name!), day(index) / 1000, day(index) / 1000);
      expect(await backUpIfDue(database, folders, day(index) + 3600 * 1000)).toBeNull();
    }
    const kept = listBackups(folders.backups);
    expect(kept).toHaveLength(KEPT_BACKUPS);
    expect(kept[0]!.name).toBe('roan-2026-06-16.zip');
    writeFileSync(path.join(folders.backups, 'roan-2026-07-01.zip.part'), 'half');
    expect(listBackups(folders.backups)).toHaveLength(KEPT_BACKUPS);
    const bytes = readFileSync(path.join(folders.backups, kept[0]!.name));
    expect((await readArchive(bytes)).manifest.yard).toBe('Teasel Bank');
    expect(readdirSync(folders.backups).filter(name => name.endsWith('.part'))).toHaveLength(1);
  });
});

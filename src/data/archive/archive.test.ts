import { randomUUID } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import JSZip from 'jszip';
import Papa from 'papaparse';
import { USUAL_RULES } from '@/core';
import type { OpenDatabase } from '../database';
import { listLayouts } from '../queries/layouts';
import { listPasses } from '../queries/passes';
import { listPairs } from '../queries/pairs';
import { recordBatch } from '../queries/recordEvents';
import { saveYardRules } from '../queries/settings';
import { beginSession, passphrasesOf, sessionPeople, setPassphrase } from '../queries/access';
import { listPeople, savePerson } from '../queries/people';
import { addYard, currentYard, listYards } from '../queries/yards';
import { filmStills, horsePictures, horses, pairs, passes, videoNotes, videos } from '../schema';
import { takenBack } from '../testChanges';
import { withTestDatabase } from '../testDatabase';
import { demoAt } from '../testDemo';
import { ARCHIVE_TABLES, tableName } from './archiveTables';
import { backUpIfDue, backupFilms, isBackupDue, listBackups } from './backups';
import { archiveManifest, readArchive, type ArchiveLimits } from './readArchive';
import { isEmptyYard, restoreArchive, type Stage } from './restoreArchive';
import { stageArchive } from './stageArchive';
import { withFilms } from './withFilms';
import { archiveRows, sha256, writeArchive } from './writeArchive';

jest.setTimeout(120_000);

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');
const MADE_AT = new Date(NOW_MS).toISOString();

let folder: string;
beforeEach(() => void (folder = mkdtempSync(path.join(tmpdir(), 'roan-archive-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const archiveOf = async ({ db }: OpenDatabase) => buffer((await writeArchive(db, folder, MADE_AT)).zip);
/** An archive as a file, read. */
const readBytes = (bytes: Buffer, ...more: [folders?: string[], limits?: ArchiveLimits]) => {
  const file = path.join(folder, `${randomUUID()}.zip`);
  writeFileSync(file, bytes);
  return readArchive(file, ...more);
};
const allRows = async ({ db }: OpenDatabase) =>
  Object.fromEntries(
    await Promise.all(ARCHIVE_TABLES.map(async table => [tableName(table), await archiveRows(db, table)])),
  );

/** The demo yard with a picture and a film, which is what is not plain text in it. */
async function withDemo(test: (database: OpenDatabase) => Promise<void>) {
  await withTestDatabase(async database => {
    const yard = await currentYard(database);
    const [horse] = await database.db.select().from(horses);
    const bytes = Buffer.from([0, 1, 2, 255, 254]);
    const film = Buffer.from('not really a film');
    for (const name of ['film-1', 'film-2']) writeFileSync(path.join(folder, name), film);
    await database.write(async tx => {
      await tx.insert(horsePictures).values({ horseId: horse!.id, yardId: yard.id, mime: 'image/png', bytes });
      await tx.insert(videos).values({
        ...{ id: 'film-1', yardId: yard.id, fileName: 'left.mp4', mime: 'video/mp4', sizeBytes: film.length },
        sha256: sha256(film),
      });
      // One without a lesson, judged and answered, with a picture out of it.
      const [pair] = await tx.select().from(pairs);
      const answered = { answer: 'Sit up.', answeredAt: new Date(NOW_MS), asks: 'Even?', sentBy: 'Ode', lengthS: 12.5 };
      await tx.insert(videos).values({
        ...{ id: 'film-2', yardId: yard.id, pairId: pair!.id, day: '2026-05-01', ...answered },
        ...{ fileName: 'home.mp4', mime: 'video/mp4', sizeBytes: film.length, sha256: sha256(film) },
      });
      const seen = { yardId: yard.id, videoId: 'film-2', atS: 2 };
      await tx.insert(videoNotes).values({ id: 'seen-1', ...seen, kind: 'gait', words: 'running-walk' });
      await tx.insert(filmStills).values({ id: 'still-1', ...seen, mime: 'image/jpeg', bytes });
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
  }, demoAt(NOW_MS));
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
      await restoreArchive(empty, await readBytes(archive), other);
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
      [await changed(good, 'roan-archive.json', text => text.replace('"version": 8', '"version": 9')), 'of version 9'],
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
        const restored = readBytes(bytes).then(archive => restoreArchive(empty, archive, path.join(folder, 'none')));
        await expect(restored).rejects.toThrow(words);
        await expect(restored).rejects.toThrow('Nothing was changed');
        expect(await allRows(empty)).toEqual(before);
      });
  });
});

test('what is asked what it says, and is no archive, is refused with the same sentence', async () => {
  const file = path.join(folder, 'no-archive.zip');
  writeFileSync(file, 'no zip at all');
  await expect(archiveManifest(file)).rejects.toThrow('no archive of Roan');
});

test('an archive is never mixed into a yard with things in it', async () => {
  await withDemo(async database => {
    const before = await allRows(database);
    const archive = await readBytes(await archiveOf(database));
    await expect(restoreArchive(database, archive, folder)).rejects.toThrow('into an empty one');
    expect(await allRows(database)).toEqual(before);
  });
});

test('what an archive says is read of it, whatever was read under the same names before', async () => {
  await withDemo(async database => {
    const good = await archiveOf(database);
    const plan = async ({ db }: OpenDatabase) =>
      (await listLayouts(db, (await currentYard(database)).id)).map(layout => layout.plan);
    const before = await plan(database);
    const other = await changed(
      good,
      'tables/layouts.json',
      text => text.replaceAll(/\\"heightM\\":0\.\d+/g, '\\"heightM\\":0.35'),
      true,
    );
    for (const [bytes, isOther] of [
      [other, true],
      [good, false],
    ] as const)
      await withTestDatabase(async empty => {
        await restoreArchive(empty, await readBytes(bytes), folder);
        if (isOther) expect(await plan(empty)).not.toEqual(before);
        else expect(await plan(empty)).toEqual(before);
      });
  });
});

test('what is forged is refused with nothing changed, in the database and beside it', async () => {
  await withDemo(async database => {
    const good = await archiveOf(database);
    const inTable = (table: string, change: (text: string) => string) =>
      changed(good, `tables/${table}.json`, change, true);
    const film = (await archiveRows(database.db, videos))[0]!;
    const cases: [Buffer, string][] = [
      [await inTable('videos', text => text.replace('film-1', '../../test')), '“id” is no'],
      [await inTable('videos', text => text.replace('video/mp4', 'text/html')), '“mime” is no kind of film'],
      [await inTable('videos', text => text.replace(String(film.sha256), '../x')), 'SHA-256'],
      [await inTable('yards', text => text.replace(/"time_zone":"[^"]+"/, '"time_zone":"Mars/Olympus"')), 'time zone'],
      [await inTable('arenas', text => text.replace('"walls"', '"lava"')), '“lava”'],
      [await inTable('horses', text => text.replace(/"created_at":\d+/, '"created_at":9e99')), 'is no time'],
      [await inTable('layouts', text => text.replaceAll('\\"version\\":', '\\"version_\\":')), ''],
      [await inTable('marks', text => text.replace(/"fraction":0\.\d+/, '"fraction":7')), 'is none that this Roan'],
      [await inTable('lessons', text => text.replaceAll('\\"stages\\":', '\\"stages_\\":')), 'lesson'],
    ];
    const beside = readdirSync(folder);
    for (const [bytes, words] of cases)
      await withTestDatabase(async empty => {
        await currentYard(empty);
        const before = await allRows(empty);
        const target = path.join(folder, 'films-of-forged');
        const restored = readBytes(bytes).then(archive => restoreArchive(empty, archive, target));
        await expect(restored).rejects.toThrow(words);
        await expect(restored).rejects.toThrow('Nothing was changed');
        expect(await allRows(empty)).toEqual(before);
        expect(existsSync(target) ? readdirSync(target) : []).toEqual([]);
      });
    expect(readdirSync(folder).filter(name => !name.endsWith('.zip') && name !== 'films-of-forged')).toEqual(beside);
  });
});

test('what unpacks to more than it announced, or to more than a yard can be, is refused before it is unpacked', async () => {
  await withDemo(async database => {
    const good = await archiveOf(database);
    await expect(readBytes(good, [], { tablesBytes: 1000, manifestBytes: 1e6 })).rejects.toThrow('more than');
    await expect(readBytes(good, [], { tablesBytes: 1e9, manifestBytes: 10 })).rejects.toThrow('longer than');
    const zip = await JSZip.loadAsync(good);
    zip.file('tables/marks.json', Buffer.alloc(20 * 1024 ** 2, 32));
    const bomb = await zip.generateAsync({ type: 'nodebuffer', compression: 'DEFLATE' });
    expect(bomb.length).toBeLessThan(1024 ** 2);
    const limits = { tablesBytes: 16 * 1024 ** 2, manifestBytes: 1e6 };
    await expect(readBytes(bomb, [], limits)).rejects.toThrow('more than a yard');
    // Within the limit it is looked at, and is not what its hash says.
    await expect(readBytes(bomb)).rejects.toThrow('is not what it was');
  });
}, 60_000);

test('a film is in an archive by its hash, and one that is damaged on the way is refused', async () => {
  await withDemo(async database => {
    const zip = await JSZip.loadAsync(await archiveOf(database));
    const hash = sha256('not really a film');
    expect(await zip.file(`films/${hash}`)!.async('string')).toBe('not really a film');
    zip.file(`films/${hash}`, 'not really a Film');
    const damaged = await zip.generateAsync({ type: 'nodebuffer' });
    await withTestDatabase(async empty => {
      await currentYard(empty);
      const target = path.join(folder, 'target');
      await expect(restoreArchive(empty, await readBytes(damaged), target)).rejects.toThrow('is damaged');
      expect(readdirSync(target)).toEqual([]);
      expect(await isEmptyYard(empty)).toBe(true);
    });
  });
});

test('a film that was taken away, is gone, or is not as long as it was is in no archive, and the archive is made', async () => {
  await withDemo(async database => {
    const filmsIn = async () =>
      Object.keys((await JSZip.loadAsync(await archiveOf(database))).files).filter(name => name.startsWith('films/'));
    const removed = (removedAt: Date | null) => database.write(tx => tx.update(videos).set({ removedAt }));
    const write = (text: string) => {
      for (const name of ['film-1', 'film-2']) writeFileSync(path.join(folder, name), text);
    };
    expect(await filmsIn()).toHaveLength(1);
    await removed(new Date(NOW_MS));
    expect(await filmsIn()).toEqual([]);
    await removed(null);
    write('not really a film, and longer');
    expect(await filmsIn()).toEqual([]);
    for (const name of ['film-1', 'film-2']) rmSync(path.join(folder, name));
    expect(await filmsIn()).toEqual([]);
    write('not really a film');
    expect(await filmsIn()).toHaveLength(1);
  });
});

test('a table that is not in an archive, is not in its list, or cannot be unpacked is named', async () => {
  await withDemo(async database => {
    const good = await archiveOf(database);
    const named = 'tables/horses.json';
    const refused = (bytes: Buffer) =>
      readBytes(bytes)
        .then(archive => archive.close?.() ?? 'read')
        .catch(String);
    const without = await JSZip.loadAsync(good);
    without.remove(named);
    expect(await refused(await without.generateAsync({ type: 'nodebuffer' }))).toContain(
      `has no ${named}: it is damaged`,
    );
    const unlisted = await JSZip.loadAsync(good);
    const manifest = JSON.parse(await unlisted.file('roan-archive.json')!.async('string')) as { files: object };
    unlisted.file(
      'roan-archive.json',
      JSON.stringify({
        ...manifest,
        files: Object.fromEntries(Object.entries(manifest.files).filter(([name]) => name !== named)),
      }),
    );
    expect(await refused(await unlisted.generateAsync({ type: 'nodebuffer' }))).toContain(
      `has no ${named}: it is damaged`,
    );
    // PKWARE, APPNOTE.TXT 4.3.7: a file's bytes follow its header of 30 bytes, its name, and what more the header says.
    const zip = await (await JSZip.loadAsync(good)).generateAsync({ type: 'nodebuffer', compression: 'DEFLATE' });
    const header = zip.indexOf(Buffer.concat([Buffer.from(named), Buffer.alloc(0)])) - 30;
    const from = header + 30 + zip.readUInt16LE(header + 26) + zip.readUInt16LE(header + 28);
    zip.fill(0xff, from, from + 40);
    expect(await refused(zip)).toContain(`${named} cannot be unpacked: the archive is damaged`);
  });
});

const HOUR_MS = 3600 * 1000;

test('a backup a day is kept, with its films beside all of them once, and a half-written one is none', async () => {
  await withDemo(async database => {
    const folders = { backups: path.join(folder, 'backups'), videos: folder, second: path.join(folder, 'elsewhere') };
    for (let day = 0; day < 3; day += 1) {
      const name = await backUpIfDue(database, folders, NOW_MS + day * 24 * HOUR_MS);
      expect(name).toMatch(new RegExp(`^roan-00000${day + 1}-2026060${day + 1}T120000Z.zip$`));
      expect(await backUpIfDue(database, folders, NOW_MS + day * 24 * HOUR_MS + HOUR_MS)).toBeNull();
    }
    const hash = sha256('not really a film');
    for (const at of [folders.backups, folders.second]) {
      expect(readdirSync(backupFilms(at))).toEqual([hash]);
      expect(listBackups(at)).toHaveLength(3);
      // It is restored from there, film and all.
      await withTestDatabase(async empty => {
        await currentYard(empty);
        const archive = await readArchive(path.join(at, listBackups(at)[0]!.name), [backupFilms(at)]);
        await restoreArchive(empty, archive, path.join(at, 'restored'));
        expect(await allRows(empty)).toEqual(await allRows(database));
        expect(readFileSync(path.join(at, 'restored', 'film-1'), 'utf8')).toBe('not really a film');
      });
    }
    writeFileSync(path.join(folders.backups, 'roan-000009-20260701T000000Z.zip.part'), 'half');
    expect(listBackups(folders.backups)).toHaveLength(3);
  });
});

test('a backup that is taken away has its films in it, and is restored with nothing beside it', async () => {
  await withDemo(async database => {
    const folders = { backups: path.join(folder, 'backups'), videos: folder };
    const name = await backUpIfDue(database, folders, NOW_MS);
    const file = path.join(folders.backups, name!);
    expect((await readArchive(file)).films.map(({ open }) => open)).toEqual([null]);
    const whole = await buffer(await withFilms(file, backupFilms(folders.backups)));
    await withTestDatabase(async empty => {
      await currentYard(empty);
      await restoreArchive(empty, await readBytes(whole), path.join(folder, 'elsewhere'));
      expect(await allRows(empty)).toEqual(await allRows(database));
      expect(readFileSync(path.join(folder, 'elsewhere', 'film-1'), 'utf8')).toBe('not really a film');
    });
  });
});

test('a backup that cannot be read back is none, and is told', async () => {
  await withDemo(async database => {
    const folders = { backups: path.join(folder, 'backups'), videos: folder };
    // The film on the disk is as long as it was, and another.
    for (const name of ['film-1', 'film-2']) writeFileSync(path.join(folder, name), 'not really A film');
    await expect(backUpIfDue(database, folders, NOW_MS)).rejects.toThrow('is damaged');
    expect(listBackups(folders.backups)).toEqual([]);
  });
});

test('a server whose clock was a year ahead keeps backups all the same, in their order', async () => {
  await withDemo(async database => {
    const folders = { backups: path.join(folder, 'backups'), videos: folder };
    const ahead = await backUpIfDue(database, folders, NOW_MS + 400 * 24 * HOUR_MS);
    const put = await backUpIfDue(database, folders, NOW_MS);
    expect(put).not.toBeNull();
    expect(await backUpIfDue(database, folders, NOW_MS + HOUR_MS)).toBeNull();
    expect(await backUpIfDue(database, folders, NOW_MS + 24 * HOUR_MS)).not.toBeNull();
    expect(
      listBackups(folders.backups)
        .map(({ name }) => name)
        .slice(1),
    ).toEqual([put, ahead]);
  });
});

test('a backup is due after a day, or where the clock has gone back', () => {
  expect(isBackupDue(undefined, 0)).toBe(true);
  expect(isBackupDue({ madeAtMs: NOW_MS }, NOW_MS + 12 * HOUR_MS)).toBe(false);
  expect(isBackupDue({ madeAtMs: NOW_MS }, NOW_MS + 21 * HOUR_MS)).toBe(true);
  expect(isBackupDue({ madeAtMs: NOW_MS }, NOW_MS - 60_000)).toBe(false);
  expect(isBackupDue({ madeAtMs: NOW_MS }, NOW_MS - HOUR_MS)).toBe(true);
});

test('backups of an older Roan are listed behind those that are counted', () => {
  writeFileSync(path.join(folder, 'roan-2026-05-30.zip'), '');
  writeFileSync(path.join(folder, 'roan-2026-05-31.zip'), '');
  writeFileSync(path.join(folder, 'roan-000001-20260501T000000Z.zip'), '');
  writeFileSync(path.join(folder, 'other.zip'), '');
  expect(listBackups(folder).map(({ name }) => name)).toEqual([
    'roan-000001-20260501T000000Z.zip',
    'roan-2026-05-31.zip',
    'roan-2026-05-30.zip',
  ]);
});

test('beside other yards one yard is restored in the place of one that is empty, and whoever restores it stays in it', async () => {
  const bytes = await new Promise<Buffer>((resolve, reject) => {
    withDemo(async database => resolve(await archiveOf(database))).catch(reject);
  });
  await withTestDatabase(async database => {
    const { db, write } = database;
    const first = await currentYard(database);
    await write(tx => savePerson(tx, first.id, { name: 'Somebody', role: 'instructor', stepLengthM: null }));
    const second = await write(tx => addYard(tx, 'Empty', 'UTC'));
    const personId = await write(tx =>
      savePerson(tx, second.id, { name: 'Wyn', role: 'instructor', stepLengthM: null }),
    );
    const sessionId = await write(async tx => {
      await setPassphrase(tx, second.id, personId, 'a hash');
      return beginSession(tx, second.id, personId, 'a desk', NOW_MS);
    });
    const into = { yardId: second.id, personId };
    const archive = await readBytes(bytes);
    await expect(restoreArchive(database, archive, folder, { yardId: first.id, personId: null })).rejects.toThrow(
      'into an empty one',
    );
    // An archive that somebody changed writes nothing into the yard beside it.
    const forged = await readBytes(
      await changed(
        bytes,
        'tables/people.json',
        text => text.replace(/"yard_id":"[^"]+"/g, `"yard_id":"${first.id}"`),
        true,
      ),
    );
    await expect(restoreArchive(database, forged, path.join(folder, 'beside'), into)).rejects.toThrow(
      'A row of people is of another yard',
    );
    expect((await listPeople(db, first.id)).map(({ name }) => name)).toEqual(['Somebody']);
    await restoreArchive(database, archive, path.join(folder, 'beside'), into);
    const yards = await listYards(db);
    expect(yards.map(({ id }) => id)).toContain(first.id);
    expect(yards.map(({ id }) => id)).not.toContain(second.id);
    const restored = yards.find(({ id }) => id !== first.id)!;
    expect((await listPeople(db, first.id)).map(({ name }) => name)).toEqual(['Somebody']);
    expect((await listPeople(db, restored.id)).map(({ name }) => name)).toContain('Wyn');
    expect(await sessionPeople(db, [sessionId], NOW_MS)).toMatchObject([{ name: 'Wyn', yardId: restored.id }]);
    expect((await passphrasesOf(db, 'Wyn')).map(({ yardId }) => yardId)).toEqual([restored.id]);
    // The same yard once more would be two of it.
    const third = await write(tx => addYard(tx, 'Empty too', 'UTC'));
    await expect(
      restoreArchive(database, archive, path.join(folder, 'beside'), { yardId: third.id, personId: null }),
    ).rejects.toThrow('is here already');
  });
});

test('while an archive is made ready others write as before, and what is entered into the yard meanwhile stays', async () => {
  await withDemo(async demo => {
    const archive = await readBytes(await archiveOf(demo));
    await withTestDatabase(async empty => {
      const { id: yardId } = await currentYard(empty);
      const target = path.join(folder, 'not-mixed');
      const meanwhile: Stage = async (file, staging) => {
        const staged = await stageArchive(file, staging);
        await empty.write(tx => savePerson(tx, yardId, { name: 'Wyn', role: 'rider', stepLengthM: null }));
        return staged;
      };
      const before = readdirSync(folder);
      await expect(restoreArchive(empty, archive, target, undefined, meanwhile)).rejects.toThrow('into an empty one');
      expect((await listPeople(empty.db, yardId)).map(({ name }) => name)).toEqual(['Wyn']);
      expect(existsSync(target) ? readdirSync(target) : []).toEqual([]);
      expect(readdirSync(folder).filter(name => name !== 'not-mixed')).toEqual(before);
    });
  });
});

test('a yard that is begun while an archive is made ready is left as it is', async () => {
  await withDemo(async demo => {
    const archive = await readBytes(await archiveOf(demo));
    await withTestDatabase(async database => {
      const { db, write } = database;
      const { id: yardId } = await currentYard(database);
      const meanwhile: Stage = async (file, staging) => {
        const staged = await stageArchive(file, staging);
        const other = await write(tx => addYard(tx, 'Begun meanwhile', 'UTC'));
        await write(tx => savePerson(tx, other.id, { name: 'Wyn', role: 'rider', stepLengthM: null }));
        return staged;
      };
      await restoreArchive(database, archive, path.join(folder, 'beside'), { yardId, personId: null }, meanwhile);
      const yards = await listYards(db);
      expect(yards).toHaveLength(2);
      const begun = yards.find(({ name }) => name === 'Begun meanwhile')!;
      expect((await listPeople(db, begun.id)).map(({ name }) => name)).toEqual(['Wyn']);
    });
  });
});

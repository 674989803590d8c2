import { hashPassphrase, isPassphrase, passphraseFault } from '../access/passphrase';
import { isToken, newToken, tokenHash } from '../access/tokens';
import { deviceLinks, people, passphrases, sessions, shareLinks } from '../schema';
import { withTestDatabase } from '../testDatabase';
import {
  addDeviceLink,
  beginSession,
  deviceLinkPerson,
  endSessions,
  hasPassphrases,
  passphraseHash,
  passphrasesOf,
  runningSessions,
  sessionPeople,
  setPassphrase,
  useDeviceLink,
} from './access';
import { savePerson } from './people';
import { addShareLink, findShareLink, listShareLinks, revokeShareLink, SHARE_DAYS } from './shareLinks';
import { currentYard } from './yards';
import type { OpenDatabase } from '../database';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');
const MIN_MS = 60_000;
const DAY_MS = 24 * 60 * MIN_MS;

async function withYard(test: (yard: { database: OpenDatabase; yardId: string; joryId: string }) => Promise<void>) {
  await withTestDatabase(async database => {
    const yardId = (await currentYard(database)).id;
    const person = { name: 'Jory Pell', role: 'helper' as const, stepLengthM: null };
    const joryId = await database.write(tx => savePerson(tx, yardId, person));
    await test({ database, yardId, joryId });
  });
}

test('a token has 128 bits and more, is never the same, and is kept as a hash that does not say it', async () => {
  const tokens = Array.from({ length: 200 }, newToken);
  expect(new Set(tokens).size).toBe(200);
  for (const token of tokens) {
    expect(isToken(token)).toBe(true);
    expect(Buffer.from(token, 'base64url').length * 8).toBeGreaterThanOrEqual(128);
  }
  for (const none of ['', 'short', '../../../etc/passwd', `${tokens[0]}x`, null, 7]) expect(isToken(none)).toBe(false);
  await withYard(async ({ database: { db, write }, yardId, joryId }) => {
    const link = (await write(tx => addDeviceLink(tx, yardId, joryId, NOW_MS)))!;
    const share = await write(tx => addShareLink(tx, yardId, 'rider', joryId, NOW_MS));
    const kept = JSON.stringify([await db.select().from(deviceLinks), await db.select().from(shareLinks)]);
    for (const token of [link.token, share.token]) {
      expect(kept).not.toContain(token);
      expect(kept).toContain(tokenHash(token));
    }
  });
});

test('a passphrase is kept as Argon2id with a salt of its own, and fits only itself', async () => {
  const [one, two] = await Promise.all([hashPassphrase('four words by heart'), hashPassphrase('four words by heart')]);
  expect(one).toMatch(/^\$argon2id\$/);
  expect(one).not.toBe(two);
  expect(await isPassphrase(one, 'four words by heart')).toBe(true);
  expect(await isPassphrase(one, 'four words by heart ')).toBe(false);
  expect(await isPassphrase(null, 'nobody has this passphrase')).toBe(false);
  expect(await isPassphrase('not a hash', 'anything')).toBe(false);
  // One letter written in two ways (Unicode, canonical equivalence) is one letter.
  expect(await isPassphrase(await hashPassphrase('caf\u00e9 au soleil'), 'cafe\u0301 au soleil')).toBe(true);
  expect([passphraseFault('short'), passphraseFault('aaaaaaaaaaaa'), passphraseFault('x'.repeat(300))]).not.toContain(
    null,
  );
  expect(passphraseFault('four words by heart')).toBeNull();
});

test('a device link lets one device in, once, for ten minutes', async () => {
  await withYard(async ({ database: { db, write }, yardId, joryId }) => {
    const { token } = (await write(tx => addDeviceLink(tx, yardId, joryId, NOW_MS)))!;
    expect((await deviceLinkPerson(db, token, NOW_MS + 9 * MIN_MS))?.name).toBe('Jory Pell');
    expect((await deviceLinkPerson(db, token, NOW_MS))?.yardId).toBe(yardId);
    expect(await write(tx => useDeviceLink(tx, token, 'a phone', NOW_MS + 10 * MIN_MS))).toBeNull();
    const sessionId = (await write(tx => useDeviceLink(tx, token, 'a phone', NOW_MS + MIN_MS)))!;
    expect(await sessionPeople(db, [sessionId], NOW_MS + 2 * MIN_MS)).toMatchObject([
      { id: joryId, role: 'helper', yardId },
    ]);
    expect(await write(tx => useDeviceLink(tx, token, 'a thief', NOW_MS + 2 * MIN_MS))).toBeNull();
    expect(await write(tx => addDeviceLink(tx, yardId, 'nobody', NOW_MS))).toBeNull();
  });
});

test('a session is over when it is ended, when nobody was seen for long, and when the person leaves the yard', async () => {
  await withYard(async ({ database: { db, write }, yardId, joryId }) => {
    const begin = () => write(tx => beginSession(tx, yardId, joryId, 'a phone', NOW_MS));
    const [one, two, three] = [await begin(), await begin(), await begin()];
    const isRunning = async (id: string, atMs = NOW_MS) => (await sessionPeople(db, [id], atMs)).length > 0;
    expect(await sessionPeople(db, [], NOW_MS)).toEqual([]);
    await write(tx => endSessions(tx, 'another yard', { sessionId: one }, NOW_MS));
    expect(await isRunning(one)).toBe(true);
    await write(tx => endSessions(tx, yardId, { sessionId: one }, NOW_MS));
    expect(await Promise.all([one, two, three].map(id => isRunning(id)))).toEqual([false, true, true]);
    // A new passphrase ends all but the one it was set on.
    await write(tx => endSessions(tx, yardId, { personId: joryId, butId: three }, NOW_MS));
    expect((await runningSessions(db, yardId, NOW_MS)).map(({ id }) => id)).toEqual([three]);
    expect(await isRunning(three, NOW_MS + 59 * DAY_MS)).toBe(true);
    expect(await isRunning(three, NOW_MS + 61 * DAY_MS)).toBe(false);
    await db.update(people).set({ archivedAt: new Date(NOW_MS) });
    expect(await isRunning(three)).toBe(false);
    expect(await db.select().from(sessions)).toHaveLength(3);
  });
});

test('who has a passphrase is found by a name, however it is written; one that left has none', async () => {
  await withYard(async ({ database: { db, write }, yardId, joryId }) => {
    expect(await hasPassphrases(db)).toBe(false);
    await write(tx => setPassphrase(tx, yardId, joryId, 'first'));
    await write(tx => setPassphrase(tx, yardId, joryId, 'second'));
    expect(await db.select().from(passphrases)).toHaveLength(1);
    expect((await passphrasesOf(db, '  jory PELL ')).map(({ hash }) => hash)).toEqual(['second']);
    expect(await passphrasesOf(db, 'Jory')).toEqual([]);
    expect(await passphraseHash(db, yardId, joryId)).toBe('second');
    expect(await passphraseHash(db, 'another yard', joryId)).toBeNull();
    await db.update(people).set({ archivedAt: new Date(NOW_MS) });
    expect(await hasPassphrases(db)).toBe(false);
  });
});

test('a link to read by is good until it is taken back or its days are over; a feed is read on', async () => {
  await withYard(async ({ database: { db, write }, yardId, joryId }) => {
    const rider = await write(tx => addShareLink(tx, yardId, 'rider', joryId, NOW_MS));
    const feed = await write(tx => addShareLink(tx, yardId, 'calendar', yardId, NOW_MS));
    const late = NOW_MS + (SHARE_DAYS + 1) * DAY_MS;
    expect(await findShareLink(db, rider.token, NOW_MS)).toMatchObject({ kind: 'rider', subjectId: joryId });
    expect(await findShareLink(db, rider.token, late)).toBeNull();
    expect(await findShareLink(db, feed.token, late)).toMatchObject({ kind: 'calendar' });
    expect(await findShareLink(db, newToken(), NOW_MS)).toBeNull();
    await write(tx => revokeShareLink(tx, 'another yard', rider.id, NOW_MS));
    expect(await listShareLinks(db, yardId, NOW_MS)).toHaveLength(2);
    await write(tx => revokeShareLink(tx, yardId, rider.id, NOW_MS));
    expect(await findShareLink(db, rider.token, NOW_MS)).toBeNull();
    expect((await listShareLinks(db, yardId, NOW_MS)).map(({ kind }) => kind)).toEqual(['calendar']);
  });
});

test('a session that was not seen for sixty days is over, on that day and not before', async () => {
  await withYard(async ({ database: { db, write }, yardId, joryId }) => {
    const id = await write(tx => beginSession(tx, yardId, joryId, 'a phone', NOW_MS));
    const after = (ms: number) => sessionPeople(db, [id], NOW_MS + ms);
    expect(await after(60 * DAY_MS - 1)).toMatchObject([{ name: 'Jory Pell', sessionId: id }]);
    expect(await after(60 * DAY_MS)).toEqual([]);
    expect(await runningSessions(db, yardId, NOW_MS + 60 * DAY_MS - 1)).toHaveLength(1);
    expect(await runningSessions(db, yardId, NOW_MS + 60 * DAY_MS)).toEqual([]);
  });
});

import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** What a device carries, as the framework hands it over. */
const jar = new Map<string, { value: string; options: object }>();
jest.mock('next/headers', () => ({
  cookies: async () => ({
    get: (name: string) => (jar.has(name) ? { name, value: jar.get(name)!.value } : undefined),
    set: (name: string, value: string, options: object) => void jar.set(name, { value, options }),
  }),
}));
jest.mock('./asking', () => ({ carriedCookie: async (name: string) => jar.get(name)?.value || null }));
jest.mock('@/data/roan', () => ({ roan: async () => ({}) }));

const folder = mkdtempSync(path.join(tmpdir(), 'roan-sealed-'));
/** A Roan of its own: what it seals with is read once. */
async function started(environment: Record<string, string> = {}) {
  jest.resetModules();
  for (const name of ['ROAN_NETWORK', 'ROAN_TRUST_PROXY']) delete process.env[name];
  Object.assign(process.env, { ROAN_DATABASE_URL: `file:${folder}/roan.db`, ROAN_DATA_FOLDER: folder, ...environment });
  return import('./sessionCookie');
}
beforeEach(() => jar.clear());
afterAll(() => rmSync(folder, { recursive: true, force: true }));

test('a device carries its sessions sealed, the one it is in first', async () => {
  const { carrySessions, carriedSessions, carryNone } = await started();
  expect(await carriedSessions()).toEqual({ active: null, all: [] });
  await carrySessions(['one']);
  await carrySessions(['two']);
  expect(await carriedSessions()).toEqual({ active: 'two', all: ['two', 'one'] });
  await carrySessions(['one']);
  expect(await carriedSessions()).toEqual({ active: 'one', all: ['one', 'two'] });
  expect(jar.get('roan-session')!.value).not.toMatch(/one|two/);
  await carryNone();
  expect((await carriedSessions()).all).toEqual([]);
});

test('of more than twelve yards the first is forgotten', async () => {
  const { carrySessions, carriedSessions } = await started();
  for (let at = 0; at < 14; at += 1) await carrySessions([`s${at}`]);
  const { all } = await carriedSessions();
  expect([all.length, all[0], all.at(-1)]).toEqual([12, 's13', 's2']);
});

test('what was changed on the way, or sealed elsewhere, is nothing', async () => {
  const { carrySessions, carriedSessions } = await started();
  await carrySessions(['one']);
  const { value, options } = jar.get('roan-session')!;
  jar.set('roan-session', { value: `${value.slice(0, -6)}AAAAAA`, options });
  expect((await carriedSessions()).all).toEqual([]);
  jar.set('roan-session', { value: 'Fe26.2*nonsense', options });
  expect((await carriedSessions()).all).toEqual([]);
});

test('no script reads it, no other site sends it; over HTTPS its name is taken from here alone', async () => {
  const plain = await started();
  await plain.carrySessions(['one']);
  expect(jar.get('roan-session')!.options).toMatchObject({ httpOnly: true, sameSite: 'lax', secure: false, path: '/' });
  jar.clear();
  const secure = await started({ ROAN_NETWORK: '1' });
  await secure.carrySessions(['one']);
  expect([...jar.keys()]).toEqual(['__Host-roan']);
  expect(jar.get('__Host-roan')!.options).toMatchObject({ secure: true, httpOnly: true, path: '/' });
});

test('what it is sealed with outlives a start, and only this account reads it', async () => {
  const first = await started();
  await first.carrySessions(['one']);
  const file = path.join(folder, 'session-secret');
  const before = readFileSync(file, 'utf8');
  expect(statSync(file).mode & 0o077).toBe(0);
  expect(before.length).toBeGreaterThanOrEqual(43);
  const again = await started();
  expect((await again.carriedSessions()).active).toBe('one');
  expect(readFileSync(file, 'utf8')).toBe(before);
});

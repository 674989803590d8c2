import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { claimFile } from './claimFile';
import { DatabaseRefused } from './databaseRefused';

let folder: string;
beforeEach(() => void (folder = mkdtempSync(path.join(tmpdir(), 'roan-claim-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const file = () => path.join(folder, 'yard.db');

test('a file that is claimed is refused to another, at once and with a sentence, until it is given back', async () => {
  const claim = await claimFile(file());
  const asked = performance.now();
  await expect(claimFile(file())).rejects.toThrow(DatabaseRefused);
  await expect(claimFile(file())).rejects.toThrow(/already running on .*yard\.db/);
  // It waits for nobody: a server that cannot serve says so.
  expect(performance.now() - asked).toBeLessThan(2000);
  await claim.release();
  expect(existsSync(`${file()}.claim`)).toBe(false);
  await (await claimFile(file())).release();
});

test('a claim whose file somebody took away meanwhile is given back all the same', async () => {
  const claim = await claimFile(file());
  rmSync(`${file()}.claim`);
  await expect(claim.release()).resolves.toBeUndefined();
});

test('what is no place for a file is told as it is, not as another Roan', async () => {
  await expect(claimFile(path.join(folder, 'nowhere', 'yard.db'))).rejects.not.toBeInstanceOf(DatabaseRefused);
});

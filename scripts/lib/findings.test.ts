import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { backupFindings, clockFindings, databaseFindings, diskFindings, versionFindings } from './findings.mjs';

const NOW_MS = Date.parse('2026-06-10T12:00:00Z');

test('a backup of today is good, one that is a week old is not, and none is none yet', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-findings-'));
  expect(backupFindings([folder], NOW_MS)).toMatchObject([{ ok: true, says: expect.stringContaining('No backup') }]);
  writeFileSync(path.join(folder, 'roan-000001-20260603T110000Z.zip'), '');
  writeFileSync(path.join(folder, 'something.zip'), '');
  const [old] = backupFindings([folder], NOW_MS);
  expect(old!.ok).toBe(false);
  expect(old!.says).toContain('1 backup lies');
  expect(old!.says).toContain('7 days old');
  writeFileSync(path.join(folder, 'roan-000002-20260610T060000Z.zip'), '');
  expect(backupFindings([folder], NOW_MS)).toMatchObject([{ ok: true, says: expect.stringContaining('2 backups') }]);
  rmSync(folder, { recursive: true });
});

test('a clock that went back, or that is before any Roan, is wrong', () => {
  expect(clockFindings(NOW_MS, NOW_MS - 1000)[0]!.ok).toBe(true);
  expect(clockFindings(NOW_MS, null)[0]!.ok).toBe(true);
  expect(clockFindings(NOW_MS, NOW_MS + 3_600_000)).toMatchObject([
    { ok: false, says: expect.stringContaining('before') },
  ]);
  expect(clockFindings(0, null)[0]!.ok).toBe(false);
});

test('a database of a newer Roan is wrong, one of an older is brought up to date', () => {
  const versions = { node: '20.20.2', roan: '0.1.0', newestKnownMs: 10 };
  const ok = (appliedMs: number | null) => versionFindings({ ...versions, appliedMs }).map(one => one.ok);
  expect([ok(null), ok(10), ok(9), ok(11)]).toEqual([[true], [true, true], [true, true], [true, false]]);
  expect(versionFindings({ ...versions, node: '18.0.0', appliedMs: null })[0]!.ok).toBe(false);
});

test('what a database says of itself is told, and what is broken in it', () => {
  const looked = { check: ['ok'], broken: 0, asked: 'server', ms: 4 } as const;
  expect(databaseFindings({ ...looked, check: ['ok'] }).map(({ ok }) => ok)).toEqual([true, true]);
  const damaged = databaseFindings({ ...looked, check: ['row 7 missing from index passes_by_pair'], broken: 2 });
  expect(damaged.map(({ ok }) => ok)).toEqual([false, false]);
  expect(damaged[0]!.says).toContain('row 7 missing');
});

test('room is told where the data lies, also where the folder is not there yet', () => {
  const [room] = diskFindings(path.join(tmpdir(), 'roan-nowhere', 'data'));
  expect(room!.says).toMatch(/^\d+\.\d GB of \d+\.\d GB are free at /);
});

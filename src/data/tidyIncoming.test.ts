import { mkdirSync, mkdtempSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { tidyIncoming } from './tidyIncoming';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');
const HOUR_MS = 3600 * 1000;

let folder: string;
beforeEach(() => void (folder = mkdtempSync(path.join(tmpdir(), 'roan-tidy-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

test('what a server that was ended left is taken away after a day; films and what is on its way stay', () => {
  const [incoming, videos] = [path.join(folder, 'incoming'), path.join(folder, 'videos')];
  mkdirSync(path.join(incoming, 'restore-old'), { recursive: true });
  mkdirSync(videos);
  const left = (file: string, hoursAgo: number) => {
    const at = new Date(NOW_MS - hoursAgo * HOUR_MS);
    utimesSync(file, at, at);
  };
  writeFileSync(path.join(incoming, 'restore-old', 'staged.db'), 'x');
  left(path.join(incoming, 'restore-old'), 30);
  for (const [file, hoursAgo] of [
    [path.join(incoming, 'old.part'), 30],
    [path.join(incoming, 'now.part'), 1],
    [path.join(videos, 'film-1'), 300],
    [path.join(videos, 'film-2.ab12.part'), 30],
    [path.join(videos, 'film-3.ab12.part'), 1],
  ] as const) {
    writeFileSync(file, 'x');
    left(file, hoursAgo);
  }
  tidyIncoming({ incoming, videos }, NOW_MS);
  expect(readdirSync(incoming)).toEqual(['now.part']);
  expect(readdirSync(videos).sort()).toEqual(['film-1', 'film-3.ab12.part']);
});

test('where nothing came in yet there is nothing to do', () => {
  expect(() =>
    tidyIncoming({ incoming: path.join(folder, 'none'), videos: path.join(folder, 'none either') }, NOW_MS),
  ).not.toThrow();
});

import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { DAY_READINGS, unpackDay } from './dayReadings';
import type { DayPass } from './reviewPass';

test('every reading of a day that there is in the core is kept, each under a name of its own', () => {
  const core = path.join(__dirname, '..');
  const files = readdirSync(core, { recursive: true, encoding: 'utf8' }).filter(
    name => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.endsWith('byDay.ts'),
  );
  const written = files.flatMap(name =>
    [...readFileSync(path.join(core, name), 'utf8').matchAll(/readDays\(\s*'([a-z]+)'/g)].map(found => found[1]),
  );
  expect(written.length).toBeGreaterThan(5);
  expect(DAY_READINGS.map(({ kept }) => kept).sort()).toEqual(written.sort());
});

test('a day that was kept without something is not taken', () => {
  const pass = { id: 'a', day: '2026-03-01' } as DayPass;
  expect(() => unpackDay([pass], { work: {} })).toThrow(RangeError);
});

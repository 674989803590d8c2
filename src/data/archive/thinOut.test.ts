import { backupsToDrop, KEPT } from './thinOut';

const DAY_MS = 24 * 3600 * 1000;
const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

/** One a day for so many days, the latest today. */
const daily = (days: number) =>
  Array.from({ length: days }, (_, age) => ({
    ...{ name: `age ${age}`, sequence: days - age, madeAtMs: NOW_MS - age * DAY_MS },
  }));
const keptAges = (days: number) => {
  const dropped = new Set(backupsToDrop(daily(days)));
  return daily(days).flatMap(({ name }, age) => (dropped.has(name) ? [] : [age]));
};

test('two weeks of days are kept, then a week each, then a month each', () => {
  const ages = keptAges(800);
  expect(ages.slice(0, KEPT.days)).toEqual(Array.from({ length: KEPT.days }, (_, age) => age));
  // Fewer than a backup a week for a year and a bit, and some of each month back to a year.
  expect(ages.length).toBeLessThanOrEqual(KEPT.days + KEPT.weeks + KEPT.months);
  expect(Math.max(...ages)).toBeGreaterThan(300);
  expect(Math.max(...ages)).toBeLessThan(366 + 31);
  const gaps = ages.slice(1).map((age, i) => age - ages[i]!);
  expect(Math.max(...gaps)).toBeLessThanOrEqual(31);
});

test('nothing goes while there are few, and letting go twice lets nothing more go', () => {
  expect(backupsToDrop(daily(7))).toEqual([]);
  expect(backupsToDrop([])).toEqual([]);
  const left = daily(100).filter(({ name }) => !backupsToDrop(daily(100)).includes(name));
  expect(backupsToDrop(left)).toEqual([]);
});

test('the latest by their sequence are kept whatever a wrong clock said of them', () => {
  const wrong = daily(40).map((backup, age) => (age < 7 ? { ...backup, madeAtMs: NOW_MS - 900 * DAY_MS } : backup));
  const dropped = backupsToDrop(wrong);
  for (let age = 0; age < 7; age += 1) expect(dropped).not.toContain(`age ${age}`);
});

import { aboutMinutes, minutesRidden } from './minutesRidden';

const MIN = 60_000;

it('lets a pass last until the next, and the last as long as the others', () => {
  expect(minutesRidden([])).toBe(0);
  expect(minutesRidden([7 * MIN])).toBe(1);
  // 2, 1 and 3 minutes, and 2 for the last.
  expect(minutesRidden([0, 2 * MIN, 3 * MIN, 6 * MIN])).toBeCloseTo(8, 9);
  expect(minutesRidden([6 * MIN, 0, 3 * MIN, 2 * MIN])).toBeCloseTo(8, 9);
});

it('takes no pass to last longer than five minutes: then one stood', () => {
  // 1 minute, a quarter of an hour of talk, 1 minute, and the mean of 1, 5 and 1.
  expect(minutesRidden([0, MIN, 16 * MIN, 17 * MIN])).toBeCloseTo(7 + 7 / 3, 9);
});

it('is said in whole minutes, never in none', () => {
  expect([0.2, 1.4, 8.6].map(aboutMinutes)).toEqual(['about 1\u00a0min', 'about 1\u00a0min', 'about 9\u00a0min']);
});

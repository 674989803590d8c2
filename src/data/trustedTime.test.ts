import { clockOff, trustedTime } from './trustedTime';

const DAY_MS = 24 * 3600 * 1000;
const NOW_MS = 1_800_000_000_000;

test('a clock that is days off is taken out of what it says; a slow line is not', () => {
  expect(clockOff(NOW_MS - 3 * DAY_MS, NOW_MS)).toBe(-3 * DAY_MS);
  expect(clockOff(NOW_MS + 3_600_000, NOW_MS)).toBe(3_600_000);
  expect(clockOff(NOW_MS - 45_000, NOW_MS)).toBe(0);
  expect(clockOff(undefined, NOW_MS)).toBe(0);
  // Tapped ten minutes before it was sent, by a clock three days behind.
  const saidMs = NOW_MS - 3 * DAY_MS - 600_000;
  const at = trustedTime(saidMs - clockOff(NOW_MS - 3 * DAY_MS, NOW_MS), NOW_MS);
  expect(at.getTime()).toBe(NOW_MS - 600_000);
});

test('what no clock can be believed to say happened now', () => {
  expect(trustedTime(NOW_MS - 30 * DAY_MS, NOW_MS).getTime()).toBe(NOW_MS);
  expect(trustedTime(NOW_MS + DAY_MS, NOW_MS).getTime()).toBe(NOW_MS);
  expect(trustedTime(NOW_MS - DAY_MS, NOW_MS).getTime()).toBe(NOW_MS - DAY_MS);
});

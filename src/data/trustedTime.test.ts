import { clockOff, trustedTime, trustedTimes } from './trustedTime';

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

test('what a clock that is not believed said one after the other stays one after the other, up to now', () => {
  for (const offMs of [30 * DAY_MS, -30 * DAY_MS, 400 * DAY_MS]) {
    const said = [0, 60_000, 300_000, 1_200_000].map(ms => NOW_MS + offMs + ms);
    const at = said.map(trustedTimes(NOW_MS, said)).map(date => date.getTime());
    expect(at).toEqual([NOW_MS - 1_200_000, NOW_MS - 1_140_000, NOW_MS - 900_000, NOW_MS]);
  }
});

test('a server that is a month behind keeps what a right device says in its order too', () => {
  const slowMs = NOW_MS - 30 * DAY_MS;
  const said = [NOW_MS - 240_000, NOW_MS - 120_000, NOW_MS];
  const at = said.map(trustedTimes(slowMs, said, NOW_MS)).map(date => date.getTime());
  expect(at).toEqual([slowMs - 240_000, slowMs - 120_000, slowMs]);
});

test('what can be believed is left as it is beside what cannot', () => {
  const said = [NOW_MS - 1000, NOW_MS + 10 * DAY_MS];
  expect(said.map(trustedTimes(NOW_MS, said)).map(date => date.getTime())).toEqual([NOW_MS - 1000, NOW_MS]);
});

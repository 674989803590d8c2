import { withTestDatabase } from '@/data/testDatabase';
import { clockBehindMs, lookAtClock, trustClock } from './serverClock';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');
const DAY_MS = 24 * 3600 * 1000;

test('a clock that goes on is believed; one that went back is told until somebody says that it is right', async () => {
  await withTestDatabase(async database => {
    const look = async (atMs: number) => {
      const behindMs = await clockBehindMs(database, atMs);
      await lookAtClock(database, atMs);
      return behindMs;
    };
    expect(await look(NOW_MS)).toBe(0);
    expect(await look(NOW_MS + DAY_MS)).toBe(0);
    // Put right by a minute: that is no going back.
    expect(await look(NOW_MS + DAY_MS - 60_000)).toBe(0);
    expect(await look(NOW_MS - 29 * DAY_MS)).toBeGreaterThan(29 * DAY_MS);
    expect(await look(NOW_MS - 28 * DAY_MS)).toBeGreaterThan(28 * DAY_MS);
    await trustClock(database, NOW_MS - 28 * DAY_MS);
    expect(await look(NOW_MS - 28 * DAY_MS)).toBe(0);
    expect(await look(NOW_MS - 27 * DAY_MS)).toBe(0);
  });
});

test('a server that was once a year ahead is told of it when its clock is right again', async () => {
  await withTestDatabase(async database => {
    await lookAtClock(database, NOW_MS + 400 * DAY_MS);
    expect(await clockBehindMs(database, NOW_MS)).toBe(400 * DAY_MS);
  });
});

import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';
import fc from 'fast-check';
import { dayInZone, timeInZone } from './inZone';

dayjs.extend(utc);
dayjs.extend(timezone);

const ZONES = ['Europe/London', 'Asia/Kathmandu', 'America/St_Johns', 'Australia/Lord_Howe', 'Pacific/Apia', 'UTC'];

// Checked against dayjs, which reckons its own way.
test('time and day in any zone, in any year that a yard has', () => {
  const zone = fc.constantFrom(...ZONES);
  const atMs = fc.integer({ min: Date.UTC(2020, 0), max: Date.UTC(2040, 0) });
  fc.assert(
    fc.property(zone, atMs, (timeZone, ms) => {
      const there = dayjs(ms).tz(timeZone);
      expect(timeInZone(ms, timeZone)).toBe(there.format('HH:mm'));
      expect(dayInZone(ms, timeZone)).toBe(there.format('dddd D MMMM YYYY'));
    }),
  );
});

test('midnight is the first minute of its day', () => {
  const midnight = Date.UTC(2026, 4, 4);
  expect([timeInZone(midnight, 'UTC'), dayInZone(midnight, 'UTC')]).toEqual(['00:00', 'Monday 4 May 2026']);
});

import { monthDays, monthsOn } from './monthDays';

// Facts of the calendar: 1 November 2026 is a Sunday, 1 February 2027 a Monday and that month has 28 days.
test('a month lies in weeks from Monday', () => {
  const november = monthDays(2026, 11);
  expect(november[0]).toEqual([null, null, null, null, null, null, 1]);
  expect(november).toHaveLength(6);
  expect(november.at(-1)).toEqual([30, null, null, null, null, null, null]);
  expect(monthDays(2027, 2)).toEqual([1, 8, 15, 22].map(monday => Array.from({ length: 7 }, (_, day) => monday + day)));
  expect(monthDays(2028, 2).flat().filter(Boolean)).toHaveLength(29);
  expect(() => monthDays(2026, 13)).toThrow(RangeError);
});

test('months go on over the turn of the year, forwards and back', () => {
  expect(monthsOn('2026-11', 2)).toBe('2027-01');
  expect(monthsOn('2026-01', -1)).toBe('2025-12');
  expect(monthsOn('2026-06', 0)).toBe('2026-06');
});

test('every month of thirty years lies as the calendar of the machine has it', () => {
  for (let year = 2010; year < 2040; year += 1)
    for (let month = 1; month <= 12; month += 1) {
      const first = new Date(Date.UTC(year, month - 1, 1)).getUTCDay();
      const days = new Date(Date.UTC(year, month, 0)).getUTCDate();
      const weeks = monthDays(year, month);
      expect(weeks[0]!.indexOf(1)).toBe((first + 6) % 7);
      expect(weeks.flat().filter(day => day !== null)).toHaveLength(days);
    }
});

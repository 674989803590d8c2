import { monthsOn, monthWeeks } from './monthDays';

// Facts of the calendar: 1 November 2026 is a Sunday, 1 February 2027 a Monday and that month has 28 days.
test('a month lies in whole weeks from Monday', () => {
  const november = monthWeeks('2026-11');
  expect(november[0]).toEqual([26, 27, 28, 29, 30, 31].map(day => `2026-10-${day}`).concat('2026-11-01'));
  expect(november).toHaveLength(6);
  expect(november.at(-1)!.slice(0, 2)).toEqual(['2026-11-30', '2026-12-01']);
  expect(monthWeeks('2027-02').map(([monday]) => monday)).toEqual(
    [1, 8, 15, 22].map(day => `2027-02-${String(day).padStart(2, '0')}`),
  );
  expect(
    monthWeeks('2028-02')
      .flat()
      .filter(day => day.startsWith('2028-02')),
  ).toHaveLength(29);
  for (const none of ['2026-13', '2026-00', '2026-1', 'May']) expect(() => monthWeeks(none)).toThrow(RangeError);
});

test('the week before a month is shown where it is asked for, over the turn of the year too', () => {
  // 1 January 2027 is a Friday.
  const january = monthWeeks('2027-01', 1);
  expect(january[0]![0]).toBe('2026-12-21');
  expect(january[1]).toEqual(monthWeeks('2027-01')[0]);
  expect(january[1]![4]).toBe('2027-01-01');
});

test('months go on over the turn of the year, forwards and back', () => {
  expect(monthsOn('2026-11', 2)).toBe('2027-01');
  expect(monthsOn('2026-01', -1)).toBe('2025-12');
  expect(monthsOn('2026-06', 0)).toBe('2026-06');
});

test('every month of thirty years lies as the calendar of the machine has it', () => {
  const DAY_MS = 24 * 3600 * 1000;
  for (let year = 2010; year < 2040; year += 1)
    for (let of = 1; of <= 12; of += 1) {
      const firstMs = Date.UTC(year, of - 1, 1);
      const mondayMs = firstMs - ((new Date(firstMs).getUTCDay() + 6) % 7) * DAY_MS;
      const days = monthWeeks(`${year}-${String(of).padStart(2, '0')}`).flat();
      expect(days).toEqual(days.map((_, day) => new Date(mondayMs + day * DAY_MS).toISOString().slice(0, 10)));
      const lastMs = Date.UTC(year, of, 0);
      expect(mondayMs + (days.length - 1) * DAY_MS - lastMs).toBeLessThan(7 * DAY_MS);
      expect(days).toContain(new Date(lastMs).toISOString().slice(0, 10));
    }
});

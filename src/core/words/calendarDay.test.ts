import { dayInWords, dayNumber, dayOfNumber, weekdayOf } from './calendarDay';

test('every day of four hundred years is the one that the language’s own calendar has', () => {
  const first = Date.UTC(1900, 0, 1) / 86_400_000;
  for (let number = first; number < first + 146_097; number += 13) {
    const day = new Date(number * 86_400_000);
    expect(dayOfNumber(number)).toBe(day.toISOString().slice(0, 10));
    expect(dayNumber(dayOfNumber(number))).toBe(number);
    expect(weekdayOf(number)).toBe((day.getUTCDay() + 6) % 7);
  }
});

test('a day is said as a reader says it', () => expect(dayInWords(dayNumber('2026-05-04'))).toBe('4 May'));

test.each(['2026-13-01', '2026-1-1', 'today', '2026-00-10'])('%s is no day', day =>
  expect(() => dayNumber(day)).toThrow(RangeError),
);
test('half a day is none', () => expect(() => dayOfNumber(0.5)).toThrow(RangeError));

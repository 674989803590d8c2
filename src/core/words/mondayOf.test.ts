import { mondayOf } from './calendarDay';

// From any calendar: the first of May 2026 is a Friday; weeks go over the ends of months and years.
test.each([
  ['2026-05-01', '2026-04-27'],
  ['2026-05-04', '2026-05-04'],
  ['2026-05-10', '2026-05-04'],
  ['2027-01-01', '2026-12-28'],
])('%s is in the week of %s', (day, monday) => expect(mondayOf(day)).toBe(monday));

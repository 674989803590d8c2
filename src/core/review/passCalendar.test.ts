import { CALENDAR_WEEKS, passCalendar } from './passCalendar';

const ridden = (day: string, passes = 4, clean = 3) => ({ day, passes, clean });

test('days lie under their day of the week, in the order of their weeks', () => {
  // 4 May 2026 is a Monday, 10 May 2026 a Sunday (a calendar).
  const [sheet] = passCalendar([ridden('2026-05-10', 2, 0), ridden('2026-05-04'), ridden('2026-04-29')]);
  expect(sheet).toHaveLength(CALENDAR_WEEKS);
  const [before, last] = sheet!.slice(-2);
  expect(last!.monday).toBe('2026-05-04');
  expect(last!.days.map(day => day?.passes ?? 0)).toEqual([4, 0, 0, 0, 0, 0, 2]);
  expect(before!.monday).toBe('2026-04-27');
  expect(before!.days[2]).toEqual(ridden('2026-04-29'));
});

test('every day is on one sheet, and empty half-years are none', () => {
  const days = ['2017-02-28', '2017-03-01', '2020-02-29', '2026-11-28', '2026-11-29', '2026-05-31'].map(day =>
    ridden(day),
  );
  const sheets = passCalendar(days);
  const found = sheets.flat().flatMap(week => week.days.flatMap(day => (day ? [day.day] : [])));
  expect(found.sort()).toEqual(days.map(({ day }) => day).sort());
  for (const sheet of sheets) expect(sheet.some(week => week.days.some(Boolean))).toBe(true);
  // Mondays by the calendar of the machine, which reckons for itself.
  for (const { monday } of sheets.flat()) expect(new Date(`${monday}T12:00:00Z`).getUTCDay()).toBe(1);
});

test('nothing ridden is no sheet', () => {
  expect(passCalendar([])).toEqual([]);
  expect(passCalendar([ridden('2026-05-10', 0, 0)])).toEqual([]);
});

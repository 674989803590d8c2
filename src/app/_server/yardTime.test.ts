import { daysLater, instantOf, yardTime } from './yardTime';

// The same instant on both sides of a change of clocks (London: GMT in January, one hour ahead in July).
test.each([
  { iso: '2026-01-15T23:30:00Z', zone: 'Europe/London', text: '15 Jan, 23:30' },
  { iso: '2026-07-15T23:30:00Z', zone: 'Europe/London', text: '16 Jul, 00:30' },
  { iso: '2026-07-15T23:30:00Z', zone: 'America/New_York', text: '15 Jul, 19:30' },
])('$iso in $zone is $text', ({ iso, zone, text }) => {
  expect(yardTime(Date.parse(iso), zone, 'D MMM, HH:mm')).toBe(text);
});

test('a day and time on the yard’s clock is an instant, and there and back it is the same', () => {
  expect(instantOf('2026-07-15T18:00', 'Europe/London')).toBe(Date.parse('2026-07-15T17:00:00Z'));
  expect(instantOf('2026-01-15T18:00', 'Europe/London')).toBe(Date.parse('2026-01-15T18:00:00Z'));
  expect(instantOf('never', 'Europe/London')).toBeNull();
});

test('a week later at the same time of day, over a change of clocks too', () => {
  // London put its clocks forward on 29 March 2026.
  expect(daysLater(Date.parse('2026-03-25T18:00:00Z'), 7, 'Europe/London')).toBe(Date.parse('2026-04-01T17:00:00Z'));
});

// The platform's own calendar, in every zone it knows, at the hours around the changes of clocks of a year.
test('in every zone and around every change of clocks it is the time that the platform says', () => {
  const zones = Intl.supportedValuesOf('timeZone').filter((_, index) => index % 12 === 0);
  for (const zone of [...zones, 'Asia/Kathmandu', 'Australia/Lord_Howe', 'America/St_Johns', 'Pacific/Apia']) {
    const platform = new Intl.DateTimeFormat('sv-SE', {
      ...{ timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit', hour: '2-digit', minute: '2-digit' },
    });
    for (let month = 0; month < 12; month += 1)
      for (const minute of [0, 14, 15, 89, 120, 181]) {
        const atMs = Date.UTC(2026, month, 29, 0, minute);
        expect([zone, yardTime(atMs, zone, 'YYYY-MM-DD HH:mm')]).toEqual([zone, platform.format(atMs)]);
      }
  }
});

import { yardTime } from './yardTime';

// The same instant on both sides of a change of clocks (London: GMT in January, one hour ahead in July).
test.each([
  { iso: '2026-01-15T23:30:00Z', zone: 'Europe/London', text: '15 Jan, 23:30' },
  { iso: '2026-07-15T23:30:00Z', zone: 'Europe/London', text: '16 Jul, 00:30' },
  { iso: '2026-07-15T23:30:00Z', zone: 'America/New_York', text: '15 Jul, 19:30' },
])('$iso in $zone is $text', ({ iso, zone, text }) => {
  expect(yardTime(Date.parse(iso), zone, 'D MMM, HH:mm')).toBe(text);
});

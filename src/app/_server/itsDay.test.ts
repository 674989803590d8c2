import { isItsDay } from './itsDay';

const at = (text: string) => Date.parse(text);
const START_MS = at('2026-06-01T19:30:00Z');

test.each([
  ['in the morning of its day', '2026-06-01T05:00:00Z', true],
  ['in the evening', '2026-06-01T21:00:00Z', true],
  ['past midnight, while it is still ridden', '2026-06-02T00:30:00Z', true],
  ['the day before', '2026-05-31T19:30:00Z', false],
  ['the next morning', '2026-06-02T08:00:00Z', false],
])('%s', (_, now, is) => expect(isItsDay(START_MS, at(now), 'Europe/London')).toBe(is));

test('the day is that of the yard, not of the server', () => {
  // Half past nine in the evening in London is the next day in Auckland.
  expect(isItsDay(at('2026-06-01T20:30:00Z'), at('2026-06-01T06:00:00Z'), 'Pacific/Auckland')).toBe(false);
});

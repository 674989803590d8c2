import { keptTicks, placeOf, placeOfPoint, type SettingTick } from './settingTick';
import { SettingTicks } from './settingTicksSent';

const TICK: SettingTick = { piece: 'ash', place: '10.000 5.000', ticked: true, tappedAtMs: 1_780_000_000_000 };
/** Sent ticks are refused where kept ones are left: the two readers say the same. */
function isRead(ticks: unknown): boolean {
  const [sent, kept] = [SettingTicks.safeParse({ ticks }).success, keptTicks(ticks)];
  expect(kept).toEqual(sent ? ticks : []);
  return sent;
}

test('ticks are read as they are sent', () => {
  expect(SettingTicks.safeParse({ ticks: [TICK] })).toMatchObject({ success: true, data: { ticks: [TICK] } });
  expect(isRead([])).toBe(true);
});

test.each<[string, object]>([
  ['without a piece', { piece: '' }],
  ['with a name longer than any', { piece: 'x'.repeat(91) }],
  ['with a place longer than any', { place: '1'.repeat(121) }],
  ['that is neither here nor there', { ticked: 'yes' }],
  ['at half a millisecond', { tappedAtMs: 1.5 }],
  ['before all time', { tappedAtMs: -1 }],
  ['after all time', { tappedAtMs: 9e15 }],
  ['with something else in it', { colour: 'red' }],
])('a tick %s is refused', (_, changes) => {
  expect(isRead([{ ...TICK, ...changes }])).toBe(false);
});

test.each([0, 8.64e15])('a tick at %d, the first and the last that a clock can tell, is read', tappedAtMs => {
  // ECMA-262, 21.4.1.1: a time value is at most 8.64e15 ms from the epoch.
  expect(isRead([{ ...TICK, tappedAtMs }])).toBe(true);
});

test('more ticks than a sheet has are refused, and so is what is no list', () => {
  expect(isRead(Array.from({ length: 500 }, () => TICK))).toBe(true);
  expect(isRead(Array.from({ length: 501 }, () => TICK))).toBe(false);
  expect(isRead(null)).toBe(false);
  expect(SettingTicks.safeParse({ ticks: [TICK], more: 1 }).success).toBe(false);
});

test('a place is told to the millimetre, with its facing where it has one', () => {
  expect(placeOfPoint({ xM: 10, yM: 5.0004 })).toBe('10.000 5.000');
  expect(placeOf({ at: { xM: 10, yM: 5 } })).toBe('10.000 5.000');
  // Towards C is 0, and headings grow to the left: a quarter turn to the right of C is 90.
  expect(placeOf({ at: { xM: 10, yM: 5 }, headingRad: 0 })).toBe('10.000 5.000 90.0');
});

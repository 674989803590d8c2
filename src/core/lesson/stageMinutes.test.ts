import { stageMinutes, type RideTime } from './stageMinutes';

const LINE: RideTime = { rideMin: 0.5, hasReins: true, together: false };

test('one pair after the other over fences: two on each rein for three pairs are twelve passes of a minute, and the telling', () => {
  expect(stageMinutes([LINE], 2, 3)).toBe(2 * 2 * 3 + 2);
  expect(stageMinutes([{ ...LINE, hasReins: false }], 2, 3)).toBe(2 * 3 + 2);
});

test('figures are ridden all together, and a course once', () => {
  expect(stageMinutes([{ rideMin: 1.5, hasReins: true, together: true }], 2, 8)).toBe(2 * 2 * 2 + 2);
});

test('what it took last time is believed', () => {
  expect(stageMinutes([LINE], 1, 2, 2)).toBe(1 * 2 * 2 * 2 + 2);
  // Neither a talk of nine minutes nor two taps at once are how long a pass takes.
  expect(stageMinutes([LINE], 1, 2, 9)).toBe(1 * 2 * 2 * 2 + 2);
  expect(stageMinutes([LINE], 1, 2, 0.1)).toBe(1 * 2 * 2 * 0.5 + 2);
});

test('a stage is neither shorter than three minutes nor longer than twenty-five', () => {
  expect(stageMinutes([], 0, 0)).toBe(3);
  expect(stageMinutes([LINE], 6, 8)).toBe(25);
});

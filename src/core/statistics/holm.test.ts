import { holm } from './holm';

// Worked by hand: 0.01 against 0.05 / 4, 0.02 against 0.05 / 3, and there it stops.
test('the least is held against the level over all, the next against one fewer, until one does not hold', () => {
  expect(holm([0.2, 0.01, 0.03, 0.02])).toEqual([false, true, false, false]);
  expect(holm([0.2, 0.01, 0.024, 0.015])).toEqual([false, true, true, true]);
  expect(holm([0.05])).toEqual([true]);
  expect(holm([])).toEqual([]);
});
test.each([0, 1, NaN])('%p is no level', level => expect(() => holm([0.1], level)).toThrow(RangeError));

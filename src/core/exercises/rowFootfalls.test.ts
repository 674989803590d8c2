import { rowFootfalls } from './rowFootfalls';

test('a horse whose step is the spacing falls in the middle of every gap', () => {
  expect(rowFootfalls(3, 1.4, 1.4)).toEqual([-0.7, 0.7, 2.1, 3.5, 4.9].map(m => expect.closeTo(m, 9)));
});

test('a horse that steps short falls back a little more in every gap', () => {
  // By hand: from −0.70 in steps of 1.30: 0.60, 1.90, 3.20, 4.50.
  expect(rowFootfalls(3, 1.4, 1.3)).toEqual([-0.7, 0.6, 1.9, 3.2, 4.5].map(m => expect.closeTo(m, 9)));
});

test('over a single pole: one foot before and one behind', () => {
  expect(rowFootfalls(0, 1.4, 1.4)).toEqual([expect.closeTo(-0.7, 9), expect.closeTo(0.7, 9)]);
});

test('refuses a step of nothing', () => expect(() => rowFootfalls(3, 1.4, 0)).toThrow(RangeError));

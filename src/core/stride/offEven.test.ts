import { nearestToEven, offEven } from './offEven';

test('a stride longer by a share is as far from even as one shorter by it', () => {
  expect(offEven({ q: 1 })).toBe(0);
  expect(offEven({ q: 1.25 })).toBeCloseTo(offEven({ q: 0.8 }), 12);
  expect(offEven({ q: 0 })).toBe(Infinity);
});

test('the option nearest to even, whatever their order', () => {
  expect(nearestToEven([{ q: 1.2 }, { q: 0.98 }, { q: 0.7 }])).toEqual({ q: 0.98 });
  expect(nearestToEven([])).toBeUndefined();
});

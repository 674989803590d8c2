import fc from 'fast-check';
import { sameParts } from './sameParts';

test('what came again as it was is the object that was there', () => {
  fc.assert(
    fc.property(fc.object({ maxDepth: 3 }), value => {
      expect(sameParts(value, structuredClone(value))).toBe(value);
    }),
  );
});

test('of what changed the rest stays: other fences are the same objects, their list is not', () => {
  const before = {
    items: [
      { id: 'ash', at: { xM: 1, yM: 2 } },
      { id: 'elm', at: { xM: 3, yM: 4 } },
    ],
    name: 'a',
  };
  const came = structuredClone(before);
  came.items[1]!.at.yM = 5;
  const made = sameParts(before, came);
  expect(made).toEqual(came);
  expect(made.items).not.toBe(before.items);
  expect(made.items[0]).toBe(before.items[0]);
  expect(made.items[1]).not.toBe(before.items[1]);
});

test('what is more or less than it was is told from it', () => {
  expect(sameParts({ a: 1, b: undefined }, { a: 1 })).toEqual({ a: 1 });
  expect(sameParts([1, 2], [1])).toEqual([1]);
  expect(sameParts({ 0: 1 }, [1])).toEqual([1]);
  expect(sameParts({ a: null }, { a: {} })).toEqual({ a: {} });
  const made = new Date(0);
  expect(sameParts(new Date(0), made)).toBe(made);
});

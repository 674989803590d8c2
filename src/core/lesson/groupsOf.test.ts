import { groupsFor, groupsOf } from './groupsOf';

const pair = (id: string, strideM: number) => ({ id, strideM });

test('ponies ride with ponies: groups of like strides, even in size', () => {
  const pairs = [pair('warmblood', 3.7), pair('pony', 2.6), pair('cob', 3.2), pair('blood', 3.6), pair('small', 2.8)];
  expect(groupsOf(pairs, 2)).toEqual([
    ['pony', 'small', 'cob'],
    ['blood', 'warmblood'],
  ]);
  expect(groupsOf(pairs, 1)[0]).toHaveLength(5);
});

test('more groups than pairs leave some empty; eight pairs are two groups', () => {
  expect(groupsOf([pair('a', 3)], 2).flat()).toEqual(['a']);
  expect([1, 4, 5, 8, 9].map(groupsFor)).toEqual([1, 1, 2, 2, 3]);
  expect(() => groupsOf([], 0)).toThrow(RangeError);
  expect(() => groupsOf([pair('a', NaN)], 1)).toThrow(RangeError);
});

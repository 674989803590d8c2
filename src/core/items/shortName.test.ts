import { shortName } from './shortName';

test('an item of an exercise is called by its last word, one laid by hand by its own', () => {
  expect(shortName('sorrel p3')).toBe('p3');
  expect(shortName('willow')).toBe('willow');
  expect(shortName('the tall one')).toBe('one');
});

import { reckonedOnce } from './reckonedOnce';

test('the same passes are reckoned once for each way of looking at them, the latest six ways', () => {
  const passes: never[] = [];
  let times = 0;
  const look = (key: string) => reckonedOnce(passes, key, () => (times += 1));
  expect([look('a'), look('b'), look('a'), look('b')]).toEqual([1, 2, 1, 2]);
  for (const key of ['c', 'd', 'e', 'f', 'a', 'g']) look(key);
  // Of seven ways “b” was asked for longest ago.
  expect(look('a')).toBe(1);
  expect(look('b')).toBe(8);
  expect(reckonedOnce([], 'a', () => 'other passes')).toBe('other passes');
});

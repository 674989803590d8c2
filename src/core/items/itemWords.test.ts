import { newItem } from '../plan/newItem';
import { itemWords, nameWords } from './itemWords';

const metres = (lengthM: number) => `${lengthM.toFixed(2)} m`;
const at = { xM: 1, yM: 1 };

test('what it is, what it is called and how it is built', () => {
  expect(itemWords(newItem('oxer', 'a', at, 0), 'willow', metres)).toBe('oxer willow, 0.60 m high, 0.60 m wide');
  expect(itemWords(newItem('raised pole', 'b', at, 0), '1', metres)).toBe('raised pole 1, up 0.15 m both ends');
  expect(itemWords(newItem('triple-bar', 'c', at, 0), null, metres)).toMatch(/^triple bar, 0.60 m high/);
});

test('what is called after its kind says so once', () => {
  expect(nameWords(newItem('cone', 'a', at, 0), 'cone 2')).toBe('cone 2');
  expect(nameWords(newItem('raised pole', 'b', at, 0), 'pole 2')).toBe('raised pole pole 2');
  expect(nameWords(newItem('wall', 'c', at, 0), null)).toBe('wall');
});

import { newItem } from '../plan/newItem';
import { itemWords, nameWords } from './itemWords';

const metres = (lengthM: number) => `${lengthM.toFixed(2)} m`;
const at = { xM: 1, yM: 1 };

test('what it is, what it is called and how it is built', () => {
  expect(itemWords(newItem('oxer', 'willow', at, 0), metres)).toBe('oxer willow, 0.60 m high, 0.60 m wide');
  expect(itemWords(newItem('raised pole', 'p1', at, 0), metres)).toBe('raised pole p1, up 0.15 m both ends');
  expect(itemWords(newItem('triple-bar', 'heron', at, 0), metres)).toMatch(/^triple bar heron/);
});

test('what is called after its kind says so once', () => {
  expect(nameWords(newItem('cone', 'cone 2', at, 0))).toBe('cone 2');
  expect(nameWords(newItem('raised pole', 'pole 2', at, 0))).toBe('raised pole pole 2');
});

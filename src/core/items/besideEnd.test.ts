import { besideEnd } from './besideEnd';
import { newItem } from '../plan/newItem';
import type { RiddenItem } from './item';

const ARENA = { widthM: 20, lengthM: 40 };
const fence = (xM: number) => ({ ...newItem('vertical', 'f', { xM, yM: 20 }, Math.PI / 2), widthM: 3 }) as RiddenItem;

test('a number stands beyond the right end, beyond the left one where a wall is near', () => {
  // Ridden up the arena its right is where x grows: half of 3 m, a stand of half a metre, and half a metre more.
  expect(besideEnd(fence(10), 0.5, ARENA).xM).toBeCloseTo(12.5);
  expect(besideEnd(fence(10), 0.5, ARENA).yM).toBeCloseTo(20);
  expect(besideEnd(fence(18.3), 0.5, ARENA).xM).toBeCloseTo(16.3 - 0.5);
});

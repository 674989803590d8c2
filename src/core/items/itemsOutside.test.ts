import type { Item } from './item';
import { itemsOutside } from './itemsOutside';

const ARENA = { widthM: 20, lengthM: 40, letters: 'none' as const };
/** A pole of 3 m that is ridden up the arena: it lies across it. */
const pole = (id: string, xM: number, yM: number) =>
  ({
    kind: 'pole',
    id,
    name: null,
    at: { xM, yM },
    headingRad: Math.PI / 2,
    lengthM: 3,
    raisedM: { leftM: 0, rightM: 0 },
  }) as unknown as Item;

test('a pole is outside as soon as an end of it is', () => {
  const items = [pole('in', 10, 20), pole('at the wall', 1.5, 20), pole('through it', 1.2, 20), pole('beyond', 10, 44)];
  expect(itemsOutside(ARENA, items).map(({ id }) => id)).toEqual(['through it', 'beyond']);
  expect(itemsOutside({ ...ARENA, lengthM: 45 }, items).map(({ id }) => id)).toEqual(['through it']);
});

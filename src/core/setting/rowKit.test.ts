import type { Pole } from '../items/pole';
import { rowKit } from './rowKit';

const pole = (leftM: number, rightM: number, lengthM = 3): Pole => ({
  kind: 'pole',
  id: `${leftM}${rightM}`,
  at: { xM: 0, yM: 0 },
  headingRad: 0,
  lengthM,
  raised: { leftM, rightM },
});

test('one block under each raised end', () => {
  expect(rowKit([pole(0, 0), pole(0.15, 0), pole(0, 0.15), pole(0.2, 0.2)])).toEqual({
    poles: [{ count: 4, lengthM: 3 }],
    blocks: [
      { count: 2, heightM: 0.2 },
      { count: 2, heightM: 0.15 },
    ],
  });
});

test('poles of two lengths are counted apart, and a flat row wants no blocks', () => {
  expect(rowKit([pole(0, 0), pole(0, 0, 3.5), pole(0, 0)])).toEqual({
    poles: [
      { count: 1, lengthM: 3.5 },
      { count: 2, lengthM: 3 },
    ],
    blocks: [],
  });
});

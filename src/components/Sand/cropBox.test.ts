import { newItem } from '@/core';
import { cropBox } from './cropBox';
import { sandView } from './sandView';

const VIEW = sandView({ widthM: 20, lengthM: 60, letters: 'none' }, 'along');
const pole = (id: string, xM: number, yM: number) => newItem('pole', id, { xM, yM }, Math.PI / 2);

test('a picture holds everything that lies there with a little room, in the shape of a picture', () => {
  // Poles of 3 m across the way, 20 m apart: along, A is at the left.
  const box = cropBox(VIEW, [pole('a', 10, 20), pole('b', 10, 40)], []);
  expect(box.x).toBeLessThan(19.5);
  expect(box.x + box.width).toBeGreaterThan(40.5);
  expect(box.width).toBeLessThan(24);
  expect(box.width / box.height).toBeCloseTo(1.7, 3);
  expect(box.y + box.height / 2).toBeCloseTo(10, 3);
});

test('one thing alone is not blown up over the whole picture, and nothing at all shows the sand', () => {
  expect(cropBox(VIEW, [pole('a', 10, 20)], []).height).toBeCloseTo(7, 3);
  expect(cropBox(VIEW, [], [])).toEqual({ x: 0, y: 0, width: 60, height: 20 });
  expect(cropBox(VIEW, [], [], [{ xM: 3, yM: 50 }]).x).toBeCloseTo(50 - (7 * 1.7) / 2, 3);
});

import { sandView } from '@/components/Sand/sandView';
import fc from 'fast-check';
import { atEdge, bestOrientation, croppedBox, fromPixels, isInRoom, keyPlaces, keySize, toPixels } from './padMap';

const ARENA = { widthM: 20, lengthM: 60, letters: 'none' as const };
const ROOM = { width: 360, height: 190 };

test('keys never lie over each other nor out of the room, wherever they belong', () => {
  const place = fc.record({
    x: fc.double({ min: 0, max: 360, noNaN: true }),
    y: fc.double({ min: 0, max: 190, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(place, { minLength: 1, maxLength: 9 }), places => {
      const size = keySize(places.length, ROOM);
      const keys = keyPlaces(places, size, ROOM);
      for (const [i, a] of keys.entries()) {
        expect(a.x).toBeGreaterThanOrEqual(size / 2 - 1e-6);
        expect(a.y).toBeLessThanOrEqual(ROOM.height - size / 2 + 1e-6);
        for (const b of keys.slice(i + 1))
          expect(Math.max(Math.abs(a.x - b.x), Math.abs(a.y - b.y))).toBeGreaterThan(size - 1);
      }
    }),
    { numRuns: 300, seed: 4 },
  );
});

test('a key with room about it lies just beside its place, off the way', () => {
  const way = Array.from({ length: 36 }, (_, i) => ({ x: i * 10, y: 95 }));
  const places = [
    { x: 80, y: 95 },
    { x: 240, y: 95 },
  ];
  keyPlaces(places, 56, ROOM, way).forEach((key, i) => {
    const away = Math.hypot(key.x - places[i]!.x, key.y - places[i]!.y);
    expect(away).toBeGreaterThan(30);
    expect(away).toBeLessThan(80);
    expect(Math.abs(key.y - 95)).toBeGreaterThan(28);
  });
});

test('what lies beyond the room is marked at its edge', () => {
  expect(isInRoom({ x: 20, y: 20 }, ROOM)).toBe(true);
  expect(isInRoom({ x: 20, y: 400 }, ROOM)).toBe(false);
  expect(atEdge({ x: 180, y: 90 }, ROOM)).toEqual({ x: 180, y: 90 });
  expect(atEdge({ x: 180, y: 400 }, ROOM)).toEqual({ x: 180, y: 144 });
  expect(atEdge({ x: -900, y: 90 }, ROOM)).toEqual({ x: 46, y: 90 });
});

test('a line along the sand lies along a wide room, and upright in a high one', () => {
  const line = [10, 30, 50].map(yM => ({ xM: 10, yM }));
  expect(bestOrientation(line, ROOM)).toBe('along');
  expect(bestOrientation(line, { width: 190, height: 360 })).toBe('up');
});

test.each(['along', 'up'] as const)(
  'what is shown fills the room, %s, and a tap finds the sand under it',
  orientation => {
    const view = sandView(ARENA, orientation);
    const line = [22, 38].map(yM => ({ xM: 12, yM }));
    const box = croppedBox(view, ARENA, line, ROOM);
    expect(box.width / box.height).toBeCloseTo(ROOM.width / ROOM.height, 4);
    for (const at of line) {
      const pixel = toPixels(box, ROOM, view.toPaper(at));
      expect(pixel.x).toBeGreaterThan(0);
      expect(pixel.x).toBeLessThan(ROOM.width);
      expect(pixel.y).toBeGreaterThan(0);
      expect(pixel.y).toBeLessThan(ROOM.height);
      const back = view.toSand(fromPixels(box, ROOM, pixel));
      expect(back.xM).toBeCloseTo(at.xM, 4);
      expect(back.yM).toBeCloseTo(at.yM, 4);
    }
  },
);

import { createCanvas, Path2D } from '@napi-rs/canvas';
import { newItem } from '@/core';
import { itemShapes } from './itemShapes';
import { LOOKS } from './looks';
import { fitted, paintShapes, type Look, type Looks, type Paper } from './paintShapes';
import { sandView } from './sandView';
import { circlePath, linePath, type Shape } from './shape';

const ARENA = { widthM: 20, lengthM: 40, letters: 'none' } as const;
const VIEW = sandView(ARENA, 'along');
/** 10 pixels a metre, with the sand's corner at 20, 10. */
const ON = { scale: 10, x: 20, y: 10 };

const PLAIN: Look = {
  ...{ fill: null, stroke: '#ff0000', strokeM: 0.2, dash: [], cap: 'butt', join: 'miter', strokeFirst: false },
  ...{ font: ['normal 400', 'sans-serif'], anchor: 'middle' },
};

beforeAll(() => {
  (globalThis as Record<string, unknown>).Path2D = Path2D;
});

/** Where a drawing has ink, in pixels: the least and the most of x and y. */
function inkOf(shapes: readonly Shape[], look: Look = PLAIN) {
  const canvas = createCanvas(440, 220);
  const context = canvas.getContext('2d');
  paintShapes(context as unknown as Paper, shapes, ON, Object.fromEntries(LOOKS.map(name => [name, look])) as Looks);
  const { data } = context.getImageData(0, 0, 440, 220);
  const ink: [number, number][] = [];
  for (let y = 0; y < 220; y += 1)
    for (let x = 0; x < 440; x += 1) if (data[(y * 440 + x) * 4 + 3]! > 127) ink.push([x, y]);
  const [xs, ys] = [ink.map(([x]) => x), ink.map(([, y]) => y)];
  return {
    count: ink.length,
    left: Math.min(...xs),
    right: Math.max(...xs) + 1,
    top: Math.min(...ys),
    bottom: Math.max(...ys) + 1,
  };
}

test('a line is drawn to scale, as wide as it is', () => {
  const ink = inkOf([{ kind: 'path', d: linePath({ x: 5, y: 8 }, { x: 15, y: 8 }), look: 'way', strokeM: 0.4 }]);
  expect(ink).toMatchObject({ left: 70, right: 170, top: 88, bottom: 92 });
});

test('a circle lies about its middle', () => {
  const ink = inkOf([{ kind: 'path', d: circlePath({ x: 20, y: 10 }, 3), look: 'way' }], {
    ...PLAIN,
    fill: '#ff0000',
  });
  // A radius of 3 m and half of a line of 0.2 m.
  expect(ink.left).toBe(220 - 31);
  expect(ink.right).toBe(220 + 31);
  expect(ink.top).toBe(110 - 31);
  expect(ink.bottom).toBe(110 + 31);
});

test('dashes leave gaps as long as themselves', () => {
  const d = linePath({ x: 0, y: 5 }, { x: 8, y: 5 });
  const whole = inkOf([{ kind: 'path', d, look: 'way' }]).count;
  expect(inkOf([{ kind: 'path', d, look: 'way', dashM: 1 }]).count).toBe(whole / 2);
});

test('words stand about their place, in their size, with parts in their order', () => {
  const text = (words: string[]): Shape => ({
    ...{ kind: 'text', x: 20, y: 10, sizeM: 2, look: 'way' },
    runs: words.map(one => ({ words: one })),
  });
  const filled: Look = { ...PLAIN, stroke: null, fill: '#000000' };
  const whole = inkOf([text(['HHHH'])], filled);
  expect((whole.left + whole.right) / 2).toBeCloseTo(220, -0.5);
  expect((whole.top + whole.bottom) / 2).toBeCloseTo(110, -0.5);
  // Capitals are about seven tenths of the size of their letters.
  expect(whole.bottom - whole.top).toBeGreaterThan(12);
  expect(whole.bottom - whole.top).toBeLessThan(17);
  const parted = inkOf([text(['HH', 'HH'])], filled);
  expect(Math.abs(parted.left - whole.left)).toBeLessThanOrEqual(1);
  expect(Math.abs(parted.right - whole.right)).toBeLessThanOrEqual(1);
});

test('an item is drawn where it lies: the rails of a fence, as wide as they are', () => {
  const fence = newItem('vertical', 'ash', { xM: 8, yM: 25 }, Math.PI / 2);
  const rails = itemShapes(fence, VIEW).filter(shape => shape.kind === 'path' && shape.rail);
  // Along the sand x is the distance from A: ridden towards C, the rail lies across, 3.5 m wide about 8 m from the side.
  const ink = inkOf(rails);
  expect((ink.left + ink.right) / 2).toBeCloseTo(20 + 250, 0);
  expect((ink.top + ink.bottom) / 2).toBeCloseTo(10 + 80, 0);
  expect((ink.bottom - ink.top) / 10).toBeCloseTo('widthM' in fence ? fence.widthM : NaN, 0);
});

test('a box is fitted into a canvas about its middle', () => {
  expect(fitted({ x: -2, y: -1, width: 44, height: 22 }, 880, 880)).toEqual({ scale: 20, x: 40, y: 240 });
});

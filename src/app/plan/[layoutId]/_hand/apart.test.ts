import type { TextShape } from '@/components/Sand/shape';
import { apart } from './apart';

const text = (x: number, y: number, words: string): TextShape => ({
  ...{ kind: 'text', x, y, sizeM: 1, look: 'measureText' },
  runs: [{ words }],
});

const linesMoved = (taken: TextShape[], texts: TextShape[]) =>
  apart(taken, texts).map(({ y }, index) => Math.round((y - texts[index]!.y) / 1.1));

test('words that have room stay where they are', () => {
  expect(linesMoved([], [text(0, 0, 'eight letters'), text(20, 0, 'eight letters'), text(0, 2, 'below')])).toEqual([
    0, 0, 0,
  ]);
});

test('words that would lie on others go up a line, or down where that is taken too', () => {
  const name = text(0, 0, 'willow');
  expect(linesMoved([name], [text(1, 0, '10.24 m to hazel')])).toEqual([-1]);
  expect(linesMoved([name, text(0, -1.1, 'heron')], [text(1, 0, '10.24 m to hazel')])).toEqual([1]);
  // Each gives way to those before it.
  const here = text(0, 5, 'the same place');
  expect(linesMoved([], [here, here, here])).toEqual([0, -1, 1]);
});

test('where there is no room at all they stay', () => {
  const wall = Array.from({ length: 12 }, (_, line) => text(0, line - 6, 'as wide as can be'));
  expect(linesMoved(wall, [text(0, 0, 'words')])).toEqual([0]);
});

import { headingFromFacing, type Arena } from '@/core';
import { boxPath, paperFrame } from './paperFrame';
import { sandView } from './sandView';

const ARENA: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };

test('ahead is the way it faces and right is to the right of it, on both papers', () => {
  // Facing C at 5 m in and 10 m up: ahead is up the arena, right is towards the other long side.
  const pose = { at: { xM: 5, yM: 10 }, headingRad: headingFromFacing(0) };
  const along = paperFrame(sandView(ARENA, 'along'), pose);
  expect([along.at(0, 0), along.at(2, 0), along.at(0, 1)]).toEqual(['10 5', '12 5', '10 6']);
  const up = paperFrame(sandView(ARENA, 'up'), pose);
  expect([up.at(0, 0), up.at(2, 0), up.at(0, 1)]).toEqual(['5 30', '5 28', '6 30']);
});

test('a box lies about its place', () => {
  const frame = paperFrame(sandView(ARENA, 'along'), { at: { xM: 5, yM: 10 }, headingRad: headingFromFacing(0) });
  expect(boxPath(frame, 0, 0, 2, 4)).toBe('M9 3L11 3L11 7L9 7Z');
});

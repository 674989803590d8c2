import { headingFromFacing, pointAlong, type Arena } from '@/core';
import fc from 'fast-check';
import { sandView } from './sandView';

const ARENA: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };
const ORIENTATIONS = ['along', 'up'] as const;

test('there and back again', () => {
  const metres = fc.double({ min: -5, max: 60, noNaN: true });
  fc.assert(
    fc.property(metres, metres, fc.constantFrom(...ORIENTATIONS), (xM, yM, orientation) => {
      const view = sandView(ARENA, orientation);
      const back = view.toSand(view.toPaper({ xM, yM }));
      expect(back.xM).toBeCloseTo(xM, 5);
      expect(back.yM).toBeCloseTo(yM, 5);
    }),
  );
});

test.each(ORIENTATIONS)('a right turn on the sand is a right turn on paper (%s)', orientation => {
  const view = sandView(ARENA, orientation);
  const from = { xM: 10, yM: 20 };
  const ahead = view.toPaper(pointAlong(from, headingFromFacing(0), 1));
  const right = view.toPaper(pointAlong(from, headingFromFacing(90), 1));
  const at = view.toPaper(from);
  // y runs down on paper, so a positive cross product is a turn to the right.
  const cross = (ahead.x - at.x) * (right.y - at.y) - (ahead.y - at.y) * (right.x - at.x);
  expect(cross).toBeCloseTo(1, 9);
});

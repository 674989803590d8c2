import { readWalls } from './readWalls';

it('reads a wall to a line', () => {
  expect(readWalls('20 left\n\n 8.5 m Right\n12 45', 'm')).toEqual({
    ok: true,
    walls: [
      { lengthM: 20, turnLeftDeg: 90 },
      { lengthM: 8.5, turnLeftDeg: -90 },
      { lengthM: 12, turnLeftDeg: 45 },
    ],
  });
});

it.each([
  ['20 left\nnine', 'Line 2: a length, and left, right or degrees.'],
  ['20 left\nmuch left', 'Line 2: “much” is no length.'],
  ['20 left\n10 200', 'Line 2: a wall turns by less than 180°.'],
  ['20 left\n10 left', 'Three walls at least, one to a line.'],
])('says what is wrong and where: %j', (typed, reason) => expect(readWalls(typed, 'm')).toEqual({ ok: false, reason }));

import type { Arena } from '../arena/arena';
import { wallPose } from './figurePlaces';
import type { PlannedFigure } from './figure';
import { rideSession } from './rideSession';
import { sessionBands } from './sessionBands';

const ARENA: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };
const planned = (id: string, figure: PlannedFigure['figure'], more: Partial<PlannedFigure> = {}): PlannedFigure => ({
  ...{ id, name: null, gait: null, parts: [] },
  figure,
  ...more,
});
const circle = (rounds: number, more: Partial<PlannedFigure> = {}) =>
  planned(
    'c',
    { kind: 'circle', start: wallPose(ARENA, 'near', 10, 'left'), rein: 'left', diameterM: 20, rounds },
    more,
  );

function bandsOf(figures: PlannedFigure[]) {
  const session = rideSession(ARENA, figures, 'trot');
  if (!session.ok) throw new Error(session.reason);
  return sessionBands(session);
}

// Geometry: once round a circle of 20 m is 20π.
test('a circle in one gait on one rein is one band, however many pieces it has', () => {
  expect(bandsOf([circle(2)])).toMatchObject([
    {
      figure: 0,
      fromM: 0,
      toM: expect.closeTo(40 * Math.PI, 9),
      gait: 'trot',
      rein: 'left',
      pace: 'normal',
      asked: null,
    },
  ]);
});

test('another gait, another pace and what is asked of the body are bands of their own', () => {
  const parts = [
    { fromM: 0, toM: 20, pace: 'long' as const },
    { fromM: 20, toM: 30, gait: 'canter' as const },
    { fromM: 40, toM: 50, counterBend: true },
  ];
  const bands = bandsOf([circle(1, { parts })]);
  expect(bands.map(({ gait, pace, asked }) => [gait, pace, asked])).toEqual([
    ['trot', 'long', null],
    ['canter', 'normal', null],
    ['trot', 'normal', null],
    ['trot', 'normal', 'counter-bend'],
    ['trot', 'normal', null],
  ]);
  expect(bands.map(({ toM }) => toM).slice(0, 4)).toEqual([20, 30, 40, 50].map(at => expect.closeTo(at, 9)));
});

test('a serpentine changes its rein from loop to loop; the way to the next figure is none of a figure', () => {
  const start = wallPose(ARENA, 'near', 10, 'left');
  const loops = planned('s', { kind: 'serpentine', start, rein: 'left', loops: 3, lengthM: 40, widthM: 20 });
  const bands = bandsOf([loops, circle(1)]);
  expect(bands.slice(0, 3).map(({ rein, figure }) => [rein, figure])).toEqual([
    ['left', 0],
    ['right', 0],
    ['left', 0],
  ]);
  expect(bands.at(-1)!.figure).toBe(1);
  expect(bands.slice(3, -1).every(({ figure }) => figure === null)).toBe(true);
  expect(bands).toHaveLength(5);
});

test('what is done on the spot has no length, and stands between', () => {
  const at = { at: { xM: 15, yM: 20 }, headingRad: Math.PI / 2 };
  const [halt] = bandsOf([
    planned('h', { kind: 'station', start: at, rein: 'left', deed: { kind: 'halt', seconds: 4 } }),
  ]);
  expect(halt).toMatchObject({ figure: 0, gait: null, asked: 'halt', fromM: 0, toM: 0 });
});

// Common practice, no source: in on a bend, or yielding in with outside flexion (two schools); out from the inside leg in both.
test.each([
  ['bend', ['yielding out']],
  ['yield', ['yielding in', 'yielding out']],
] as const)('a spiral of the school “%s” is told by where it yields', (school, told) => {
  for (const rein of ['left', 'right'] as const) {
    const start = wallPose(ARENA, 'near', 10, rein);
    const bands = bandsOf([planned('s', { kind: 'spiral', start, rein, diametersM: [20, 15, 10], school, times: 1 })]);
    expect([...new Set(bands.flatMap(({ asked }) => asked ?? []))]).toEqual(told);
  }
});

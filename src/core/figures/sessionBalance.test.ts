import type { LayoutHorse } from '../layout/layout';
import type { Figure, PlannedFigure, Rest } from './figure';
import { horseSpeedMPerMin } from './horseSpeed';
import { measureSession } from './measureSession';
import { rideSession } from './rideSession';
import { eveningCircle, sessionBalance } from './sessionBalance';

const ARENA = { widthM: 20, lengthM: 60, letters: '20x60' } as const;
const circle = (rein: 'left' | 'right', rounds: number, diameterM = 20): Figure => ({
  ...{ kind: 'circle', start: { at: { xM: 10, yM: 0 }, headingRad: rein === 'left' ? 0 : Math.PI }, rein },
  ...{ diameterM, rounds },
});
const planned = (figure: Figure, gait: 'walk' | 'trot' | 'canter', rest?: Rest): PlannedFigure => ({
  ...{ id: JSON.stringify(figure), name: null, figure, gait },
  parts: rest && figure.kind === 'circle' ? [{ fromM: 0, toM: Math.PI * figure.diameterM * figure.rounds, rest }] : [],
});
function measured(figures: PlannedFigure[], speedOf?: Parameters<typeof measureSession>[2]) {
  // Each by itself: no way from one to the next is ridden.
  const pieces = figures.flatMap(figure => {
    const session = rideSession(ARENA, [figure], 'trot');
    if (!session.ok) throw new Error(session.reason);
    return session.pieces;
  });
  return measureSession(ARENA, pieces, speedOf);
}

test('three rounds left and two right in trot, by hand: 60π and 40π m at 220 m a minute, a third less on the right', () => {
  const measure = measured([planned(circle('left', 3), 'trot'), planned(circle('right', 2), 'trot')]);
  expect(measure.workMetres.trot!.left).toBeCloseTo(60 * Math.PI, 6);
  expect(measure.workMinutes.trot!.right).toBeCloseTo((40 * Math.PI) / 220, 6);
  const { lacks } = sessionBalance(measure);
  expect(lacks).toEqual([
    { gait: 'trot', rein: 'right', lessShare: expect.closeTo(1 / 3, 9), lessM: expect.closeTo(20 * Math.PI, 6) },
  ]);
  // One round of 20 m is what is missing.
  expect(eveningCircle(lacks[0]!, 20)).toEqual({ diameterM: 20, rounds: 1 });
});

test('each gait is even or not by itself, and rests are no work', () => {
  const measure = measured([
    planned(circle('left', 2), 'trot'),
    planned(circle('right', 2), 'canter'),
    planned(circle('left', 1), 'walk', 'loose-rein'),
  ]);
  expect(measure.workMetres.walk).toBeUndefined();
  expect(measure.restMinutes).toBeCloseTo((20 * Math.PI) / 100, 6);
  expect(sessionBalance(measure).lacks.map(({ gait, rein }) => [gait, rein])).toEqual(
    expect.arrayContaining([
      ['trot', 'right'],
      ['canter', 'left'],
    ]),
  );
});

test('as much on both reins lacks nothing, and little work is never uneven', () => {
  expect(
    sessionBalance(measured([planned(circle('left', 2), 'trot'), planned(circle('right', 2), 'trot')])).lacks,
  ).toEqual([]);
  // Half a round of 20 m is 31 m.
  expect(sessionBalance(measured([planned(circle('left', 0.5), 'trot')])).lacks).toEqual([]);
});

test('round and round on the rail is said', () => {
  const round: Figure = {
    ...{ kind: 'round-arena', start: { at: { xM: 20, yM: 30 }, headingRad: Math.PI / 2 }, rein: 'left' },
    ...{ cornerRadiusM: 5, rounds: 2 },
  };
  expect(sessionBalance(measured([planned(round, 'trot')])).onRailShare).toBeGreaterThan(0.9);
  expect(sessionBalance(measured([planned(circle('left', 2), 'trot')])).onRailShare).toBeNull();
});

test('a pony with half the stride takes twice as long', () => {
  const horse = (normalM: number): LayoutHorse => ({
    ...{ id: 'h', name: 'Fen', heightM: 1.6, type: 'all-round', level: 'novice' },
    strides: { trot: { shortM: normalM * 0.9, normalM, longM: normalM * 1.1 } },
  });
  const [large, small] = [2.6, 1.3].map(normalM => horseSpeedMPerMin(horse(normalM), 'trot')) as [number, number];
  expect(large / small).toBeCloseTo(2, 9);
  const figures = [planned(circle('left', 2), 'trot')];
  expect(measured(figures, () => small).minutes).toBeCloseTo(2 * measured(figures, () => large).minutes, 9);
});

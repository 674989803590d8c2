import type { Arena } from '../../arena/arena';
import type { HorseLevel } from '../../horse/horseLevel';
import { layOutExercise } from '../layOutExercise';
import type { ExerciseParams } from '../exercise';
import { findRecipe, SHELF } from '../shelf';
import { sandOf } from '../testFigures';

const LONG: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const SHORT: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };
const FIELD: Arena = { widthM: 35, lengthM: 60, letters: 'none' };

const groundOf = (arena: Arena, level: HorseLevel = 'novice') => ({
  ...{ arena, school: 'whole-stride' as const },
  horses: [{ id: 'h', name: 'Sorrel', heightM: 1.6, type: 'all-round' as const, level, strides: {} }],
});
const wishOf = (kind: string, arena: Arena, level?: HorseLevel) => findRecipe(kind)!.wishes(groundOf(arena, level))[0]!;
const usual = (kind: string, arena: Arena) => sandOf(arena, kind, wishOf(kind, arena));
const lay = (kind: string, arena: Arena, params?: ExerciseParams) =>
  layOutExercise(findRecipe(kind)!, groundOf(arena), { rein: 'left', ...(params ? { params } : {}) }).exercise;
const round = 2 * Math.PI;
const near = (...values: number[]) => values.map(value => expect.closeTo(value, 1));

// Where each lies and how large it is, worked by hand from the plan of the arena (FEI Dressage Rules, from memory): A is the middle of
// the near short side, B that of the right long side; on the left rein one comes from A to the right and up by B.
describe('where a figure is ridden on 20 × 60 m', () => {
  test.each([
    ['a circle of 20 m at A, twice round', 'circle', {}, [0, 20], [0, 20], 2 * 10 * round],
    ['one of 15 m', 'circle', { diameterM: 15 }, [2.5, 17.5], [0, 15], 2 * 7.5 * round],
    ['one of 10 m, once', 'circle', { diameterM: 10, rounds: 1 }, [5, 15], [0, 10], 5 * round],
    ['a volte of 8 m at B', 'volte', {}, [12, 20], [26, 34], 4 * round],
    ['one of 6 m', 'volte', { diameterM: 6 }, [14, 20], [27, 33], 3 * round],
    ['a figure of eight of 20 m about X, twice', 'figure-of-eight', {}, [0, 20], [10, 50], 4 * 10 * round],
    ['round the arena twice, corners of 5 m', 'corners', {}, [0, 20], [0, 60], 2 * (160 - 5 * (8 - round))],
    ['a shallow loop to 5 m, 6 m from either corner', 'shallow-loop', {}, [15, 20], [6, 54], null],
    ['a serpentine of three loops', 'serpentine', { loops: 3 }, [0, 20], [0, 60], null],
    ['once round on a loose rein', 'loose-rein', {}, [0, 20], [0, 60], 160 - 6 * (8 - round)],
  ] as const)('%s', (_, kind, changes, x, y, lengthM) => {
    const [sand, ...others] = sandOf(LONG, kind, { ...wishOf(kind, LONG), ...changes });
    expect(others).toEqual([]);
    expect([sand!.x, sand!.y]).toEqual([near(...x), near(...y)]);
    if (lengthM !== null) expect(sand!.lengthM).toBeCloseTo(lengthM, 1);
  });

  test('half a circle of 10 m and back to the wall, and the other way about', () => {
    const [sand] = usual('half-circle-return', LONG);
    // From 45 m up; the way back comes to the wall 20 m, twice its size, farther down, aslant: √(20² + 10²) at the least.
    expect([sand!.x, sand!.y]).toEqual([near(10, 20), near(25, 50)]);
    const [first] = sandOf(LONG, 'half-circle-return', { ...wishOf('half-circle-return', LONG), lineFirst: true });
    expect([first!.x, first!.y]).toEqual([near(10, 20), near(15, 40)]);
    for (const { lengthM } of [sand!, first!]) {
      expect(lengthM).toBeGreaterThan(5 * Math.PI + Math.hypot(20, 10) - 1.5);
      expect(lengthM).toBeLessThan(5 * Math.PI + 30);
    }
  });

  test('a large circle long in the stride, then a small one short in it, both at A', () => {
    const [large, small] = usual('large-and-small-circle', LONG);
    expect([large!.x, large!.y]).toEqual([near(0, 20), near(0, 20)]);
    expect([small!.x, small!.y]).toEqual([near(4, 16), near(0, 12)]);
    expect(large!.parts).toEqual([{ fromM: 0, toM: expect.closeTo(20 * Math.PI, 9) as number, pace: 'long' }]);
    expect(small!.parts).toEqual([{ fromM: 0, toM: expect.closeTo(12 * Math.PI, 9) as number, pace: 'short' }]);
  });

  test('round a row of cones ten metres apart, five metres to either side', () => {
    const [sand] = usual('round-cones', LONG);
    expect([sand!.x, sand!.y]).toEqual([near(5, 15), near(10, 50)]);
    const cones = lay('round-cones', LONG).items.map(item => ('at' in item ? [item.at.xM, item.at.yM] : []));
    expect(cones).toEqual([15, 25, 35, 45].map(yM => [10, yM]));
    // On a sand of 40 m there is room for three.
    expect(lay('round-cones', SHORT).items).toHaveLength(3);
  });

  test('from a small circle to a large one: canter on the large ones, from where they touch', () => {
    const [sand] = usual('canter-depart-on-eight', LONG);
    expect([sand!.x, sand!.y]).toEqual([near(0, 20), near(15, 45)]);
    expect(sand!.gait).toBe('trot');
    const [small, large] = [10 * Math.PI, 20 * Math.PI];
    expect(sand!.parts).toEqual(
      [0, 1, 2].map(time => ({
        fromM: expect.closeTo(time * (small + large) + small, 9) as number,
        toM: expect.closeTo((time + 1) * (small + large), 9) as number,
        gait: 'canter',
      })),
    );
  });

  test('yielded to the rail and cantered on from there on a circle', () => {
    const [before, yielded, circle] = usual('canter-depart-from-yield', LONG);
    // A quarter of the width aside over 1.6 times as much ahead: 5 and 8 m, from 20 m up.
    expect([before!.x, before!.y]).toEqual([near(15, 15), near(16, 20)]);
    expect([yielded!.x, yielded!.y]).toEqual([near(15, 20), near(20, 28)]);
    expect([circle!.x, circle!.y, circle!.gait]).toEqual([near(0, 20), near(18, 38), 'canter']);
  });

  test('long strides along the long side but for its corners', () => {
    const [sand] = usual('lengthen-and-shorten', LONG);
    const cornerM = (60 - sand!.lengthM) / 2;
    expect(cornerM).toBeGreaterThanOrEqual(6);
    expect([sand!.x, sand!.y]).toEqual([near(20, 20), near(cornerM, 60 - cornerM)]);
    const cones = lay('lengthen-and-shorten', LONG).items.map(item => ('at' in item ? item.at : null));
    expect(cones.map(at => at!.yM - cornerM)).toEqual(near(0, 0.6 * sand!.lengthM));
    expect(cones.map(at => at!.xM)).toEqual([18, 18]);
  });
});

test('a spiral goes from 20 m by 15 and 12 to 10 and back, three times, and no smaller than a horse carries', () => {
  const sizesOf = (arena: Arena, changes: ExerciseParams, level: HorseLevel = 'novice') => {
    const laid = layOutExercise(findRecipe('spiral')!, groundOf(arena, level), {
      ...{ rein: 'left', params: { ...wishOf('spiral', arena, level), ...changes } },
    });
    const [track] = laid.exercise.tracks;
    const figure = track?.kind === 'figures' ? track.figures[0]!.figure : null;
    if (figure?.kind !== 'spiral') throw new Error('no spiral');
    return figure;
  };
  expect(sizesOf(LONG, {})).toMatchObject({ diametersM: [20, 15, 12, 10], times: 3, school: 'bend' });
  expect(sizesOf(LONG, { smallestM: 12, school: 'yield' })).toMatchObject({
    diametersM: [20, 15, 12],
    school: 'yield',
  });
  expect(sizesOf(LONG, { eachSize: 'a whole round' }).diametersM).toEqual([20, 20, 15, 15, 12, 12, 10, 10]);
  expect(sizesOf({ widthM: 15, lengthM: 40, letters: 'none' }, {}).diametersM).toEqual([15, 12, 10]);
  // A green horse carries 6 m at a trot at the least (common practice, no source): nothing under 12 m.
  expect(sizesOf(LONG, {}, 'green').diametersM.at(-1)).toBeGreaterThanOrEqual(10);
});

test('cones stand a metre inside the four points of a circle', () => {
  const placed = (kind: string, arena: Arena) =>
    lay(kind, arena, { ...wishOf(kind, arena), withCones: true }).items.map(item =>
      'at' in item ? [Math.round(item.at.xM * 100) / 100, Math.round(item.at.yM * 100) / 100] : [],
    );
  const points = [
    [19, 10],
    [10, 19],
    [1, 10],
    [10, 1],
  ];
  expect(placed('circle', LONG)).toEqual(points);
  expect(placed('spiral', LONG)).toEqual(points);
  expect(lay('circle', LONG).items).toEqual([]);
});

test('figures are as wide as the sand lets them be', () => {
  const narrow: Arena = { widthM: 16, lengthM: 40, letters: 'none' };
  expect(usual('circle', narrow)[0]!.x).toEqual(near(0, 16));
  expect(usual('large-and-small-circle', narrow)[0]!.x).toEqual(near(0, 16));
  expect(usual('figure-of-eight', narrow)[0]!.y).toEqual(near(4, 36));
  expect(usual('shallow-loop', narrow)[0]!.x).toEqual(near(12, 16));
  expect(usual('circle', FIELD)[0]!.x).toEqual(near(7.5, 27.5));
});

test('corners are as round as the level wants (common practice, no source: green 6 m, novice 5 m, advanced 3 m)', () => {
  const radii = (['green', 'novice', 'advanced'] as const).map(level => wishOf('corners', LONG, level).radiusM);
  expect(radii).toEqual([6, 5, 3]);
  // Of a group the one that carries least.
  const [green, advanced] = [groundOf(LONG, 'green').horses[0]!, groundOf(LONG, 'advanced').horses[0]!];
  const [wish] = findRecipe('corners')!.wishes({ ...groundOf(LONG), horses: [advanced, { ...green, id: 'g' }] });
  expect(wish!.radiusM).toBe(6);
});

describe('what is done on the spot', () => {
  const deeds = (kind: string, changes: ExerciseParams = {}) => {
    const [track] = lay(kind, LONG, { ...wishOf(kind, LONG), ...changes }).tracks;
    if (track?.kind !== 'figures') throw new Error('on the flat');
    return track.figures.map(({ figure }) =>
      figure.kind === 'station'
        ? figure.deed
        : figure.kind === 'straight'
          ? [figure.lengthM, figure.start.at, figure.rein]
          : figure.kind,
    );
  };
  // The quarter line on the side of B lies 15 m from the left wall.
  test.each([
    [
      'halt-and-rein-back',
      8,
      [
        { kind: 'halt', seconds: 4 },
        { kind: 'rein-back', steps: 4 },
      ],
      'left',
    ],
    [
      'turn-on-forehand',
      6,
      [
        { kind: 'halt', seconds: 4 },
        { kind: 'turn-on-forehand', turnRad: Math.PI },
      ],
      'right',
    ],
    ['turn-on-haunches', 6, [{ kind: 'turn-on-haunches', turnRad: Math.PI }], 'right'],
    [
      'side-pass',
      6,
      [
        { kind: 'halt', seconds: 4 },
        { kind: 'side-pass', steps: 3, towards: 'left' },
      ],
      'left',
    ],
    ['flexions', 2, [{ kind: 'flexions', eachSide: 3 }], 'left'],
  ] as const)(
    '%s: straight up the quarter line to the middle, then what is asked, then on',
    (kind, lengthM, asked, rein) => {
      const [before, ...rest] = deeds(kind);
      expect(before).toEqual([lengthM, { xM: 15, yM: 30 - lengthM }, 'left']);
      expect(rest.slice(0, -1)).toEqual(asked.map(deed => expect.objectContaining(deed) as object));
      expect(rest.at(-1)).toEqual([lengthM, expect.anything(), rein]);
    },
  );

  test('as many steps, as far round and as often as is asked', () => {
    expect(deeds('halt-and-rein-back', { steps: 6 })).toContainEqual({ kind: 'rein-back', steps: 6 });
    expect(deeds('turn-on-forehand', { turnDeg: 90 })).toContainEqual({
      ...{ kind: 'turn-on-forehand', turnRad: expect.closeTo(Math.PI / 2, 9) as number },
    });
    expect(deeds('side-pass', { steps: 5 })).toContainEqual({ kind: 'side-pass', steps: 5, towards: 'left' });
    expect(deeds('halt-and-pat', { seconds: 20 })).toEqual([{ kind: 'halt', seconds: 20 }]);
  });
});

test('rests are in walk all the way, and are told as rests', () => {
  for (const [kind, rest] of [
    ['free-walk', 'free-walk'],
    ['loose-rein', 'loose-rein'],
  ] as const)
    for (const { gait, parts, lengthM } of usual(kind, LONG)) {
      expect(gait).toBe('walk');
      expect(parts).toEqual([{ fromM: 0, toM: expect.closeTo(lengthM, 1) as number, rest }]);
    }
});

test('every figure is asked from slow to fast, and what is ridden fast only in what it says', () => {
  const gaitsOf = (kind: string) => lay(kind, LONG).stages.map(({ gait }) => gait);
  expect(gaitsOf('circle')).toEqual(['walk', null, 'canter']);
  expect(gaitsOf('spiral')).toEqual(['walk', null, 'canter']);
  for (const kind of ['serpentine', 'volte', 'figure-of-eight', 'corners', 'round-cones'])
    expect([kind, gaitsOf(kind)]).toEqual([kind, ['walk', null]]);
  expect(gaitsOf('shallow-loop')).toEqual([null, 'canter']);
  expect(gaitsOf('lengthen-and-shorten')).toEqual(['trot', null]);
  for (const recipe of SHELF) {
    const pace = lay(recipe.kind, FIELD).stages.map(({ gait }) => ['walk', 'trot', null, 'canter'].indexOf(gait));
    if (!pace.includes(-1)) expect([recipe.kind, pace]).toEqual([recipe.kind, [...pace].sort((a, b) => a - b)]);
  }
});

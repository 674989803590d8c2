import type { Arena } from '../arena/arena';
import { arenaLetters } from '../arena/arenaLetters';
import { chainEnd, poseAt, totalTurnRad } from '../geometry/chain';
import { isChainInside } from '../geometry/insideArena';
import { segmentLengthM } from '../geometry/segment';
import type { TrackGait } from '../layout/trackGait';
import type { Figure, FigurePart } from './figure';
import { changeOfRein, CHANGES_OF_REIN, letterPose, wallPose } from './figurePlaces';
import { rideFigure } from './rideFigure';
import { leavesPose } from './rideSession';
import type { RidePiece, Stretch } from './stretch';

const SMALL: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };
const LONG: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const FIELD: Arena = { widthM: 35, lengthM: 60, letters: 'none' };
const ARENAS = [SMALL, LONG, FIELD];

function pieces(figure: Figure, arena = LONG, parts: FigurePart[] = [], gait: TrackGait = 'trot'): RidePiece[] {
  const ride = rideFigure({ id: 'f1', name: null, figure, gait: null, parts }, gait, arena);
  if (!ride.ok) throw new Error(ride.reason);
  return ride.pieces;
}

const stretches = (ride: RidePiece[]) => ride.filter((piece): piece is Stretch => piece.kind === 'stretch');
const lengthM = (ride: RidePiece[]) => stretches(ride).reduce((sum, { chain }) => sum + chain.lengthM, 0);

/** Whether a ride comes by a point, to a micron. */
function passes(ride: RidePiece[], xM: number, yM: number): boolean {
  return stretches(ride).some(({ chain }) =>
    chain.segments.some(segment => {
      for (let i = 0; i <= 400; i += 1) {
        const { at } = poseAt(
          { start: segment.start, segments: [segment], lengthM: segmentLengthM(segment) },
          (segmentLengthM(segment) * i) / 400,
        );
        if (Math.hypot(at.xM - xM, at.yM - yM) < 1e-6) return true;
      }
      return false;
    }),
  );
}

const at = (arena: Arena, letter: string, rein: 'left' | 'right' = 'left') => {
  const pose = letterPose(arena, letter, rein);
  if (!pose) throw new Error(`no ${letter}`);
  return pose;
};

// Published places (FEI Dressage Rules, arena plan and manual of figures; from memory): the 20 m circle at A touches the
// long sides 10 m from the corner and crosses the centre line 20 m from A.
test.each(['left', 'right'] as const)('a 20 m circle at A on the %s rein touches its four points', rein => {
  const circle = pieces({ kind: 'circle', start: at(LONG, 'A', rein), rein, diameterM: 20, rounds: 1 });
  for (const [xM, yM] of [
    [10, 0],
    [20, 10],
    [10, 20],
    [0, 10],
  ])
    expect(passes(circle, xM!, yM!)).toBe(true);
  expect(lengthM(circle)).toBeCloseTo(20 * Math.PI, 9);
});

test('a 20 m circle at B in the long arena runs through E', () => {
  const circle = pieces({ kind: 'circle', start: at(LONG, 'B'), rein: 'left', diameterM: 20, rounds: 1 });
  expect(passes(circle, 0, 30)).toBe(true);
  expect(passes(circle, 10, 20) && passes(circle, 10, 40)).toBe(true);
});

test.each([6, 8, 10])('a volte of %i m at E reaches so far in from the wall', diameterM => {
  const volte = pieces({ kind: 'circle', start: at(LONG, 'E'), rein: 'left', diameterM, rounds: 1 });
  expect(passes(volte, diameterM, 30)).toBe(true);
  expect(lengthM(volte)).toBeCloseTo(Math.PI * diameterM, 9);
});

// Three loops in 20 × 60: three half circles of 20 m that cross the centre line at 20 and 40 m and end at C.
// In 20 × 40: loops of 13.33 m, joined by straights across the centre line (common practice, no source).
test('three loops in the long arena are half circles of 20 m', () => {
  const ride = pieces({ kind: 'serpentine', start: at(LONG, 'A'), rein: 'left', loops: 3, lengthM: 60, widthM: 20 });
  expect(lengthM(ride)).toBeCloseTo(30 * Math.PI, 9);
  for (const [xM, yM] of [
    [20, 10],
    [10, 20],
    [0, 30],
    [10, 40],
    [20, 50],
    [10, 60],
  ])
    expect(passes(ride, xM!, yM!)).toBe(true);
  expect(ride.map(({ rein }) => rein)).toEqual(['left', 'right', 'left']);
});

test.each([
  { arena: SMALL, loops: 3 },
  { arena: SMALL, loops: 4 },
  { arena: LONG, loops: 4 },
  { arena: LONG, loops: 5 },
  { arena: FIELD, loops: 3 },
  { arena: FIELD, loops: 7 },
])('$loops loops over $arena.lengthM m cross the centre line at equal distances, square to it', ({ arena, loops }) => {
  const ride = pieces(
    {
      kind: 'serpentine',
      start: wallPose(arena, 'near', arena.widthM / 2, 'left'),
      rein: 'left',
      loops,
      lengthM: arena.lengthM,
      widthM: arena.widthM,
    },
    arena,
  );
  stretches(ride).forEach(({ chain }, loop) => {
    const end = chainEnd(chain);
    expect(end.at.xM).toBeCloseTo(arena.widthM / 2, 9);
    expect(end.at.yM).toBeCloseTo(((loop + 1) * arena.lengthM) / loops, 9);
    expect(Math.abs(Math.cos(end.headingRad))).toBeCloseTo(1, 9);
    expect(totalTurnRad(chain)).toBeCloseTo(Math.PI, 9);
  });
});

test('two loops are too long for one arc: quarter turns with the long side between', () => {
  // Loops of 30 m in a 20 m arena: two quarters of 10 m and 10 m of wall each.
  const ride = pieces({ kind: 'serpentine', start: at(LONG, 'A'), rein: 'left', loops: 2, lengthM: 60, widthM: 20 });
  expect(lengthM(ride)).toBeCloseTo(2 * (10 * Math.PI + 10), 9);
});

test('an eight of two sizes changes the rein where its circles touch', () => {
  const start = { at: { xM: 10, yM: 20 }, headingRad: 0 };
  const eight = pieces({ kind: 'eight', start, rein: 'right', firstDiameterM: 10, secondDiameterM: 20, times: 1 });
  expect(passes(eight, 10, 10) && passes(eight, 10, 40)).toBe(true);
  expect(eight.map(({ rein }) => rein)).toEqual(['right', 'left']);
  expect(lengthM(eight)).toBeCloseTo(30 * Math.PI, 9);
});

test.each(['bend', 'yield'] as const)(
  'a spiral in school %s closes where it began, and its sizes are ridden both ways',
  school => {
    const start = at(LONG, 'A');
    const ride = pieces({ kind: 'spiral', start, rein: 'left', diametersM: [20, 15, 12, 10], school, times: 1 });
    const end = chainEnd(stretches(ride)[7]!.chain);
    expect(end.at.xM).toBeCloseTo(10, 9);
    expect(end.at.yM).toBeCloseTo(0, 9);
    expect(lengthM(ride)).toBeCloseTo(Math.PI * (20 + 15 + 12 + 10), 9);
    const yields = stretches(ride).map(({ sideways }) => Math.sign(sideways?.bodyRad ?? 0) + 0);
    expect(yields).toEqual(school === 'bend' ? [0, 0, 0, 0, 0, 1, 1, 1] : [0, -1, -1, -1, 0, 1, 1, 1]);
  },
);

test('half a circle of 10 m and back to the rail: 10 m in, then slanting back, on the other rein', () => {
  const figure: Figure = {
    kind: 'half-circle-return',
    ...{ start: at(LONG, 'M'), rein: 'left', diameterM: 10, returnM: 20, lineFirst: false },
  };
  const ride = pieces(figure);
  const end = leavesPose(ride[1]!);
  expect([end.at.xM, end.at.yM]).toEqual([expect.closeTo(20, 9), expect.closeTo(34, 9)]);
  expect(Math.sin(end.headingRad)).toBeCloseTo(-1, 9);
  // The two circles lie 20 m apart, so the tangent between them is √(20² − 10²).
  const straight = stretches(ride)[1]!.chain.segments[0]!;
  expect(straight).toMatchObject({ kind: 'line', lengthM: expect.closeTo(Math.sqrt(300), 9) });
  expect(ride.map(({ rein }) => rein)).toEqual(['left', 'right']);
  const other = leavesPose(pieces({ ...figure, start: at(LONG, 'F'), lineFirst: true } as Figure)[1]!);
  expect([other.at.xM, other.at.yM]).toEqual([expect.closeTo(20, 9), expect.closeTo(26, 9)]);
});

test.each(CHANGES_OF_REIN)('a change of rein, %s: from wall to wall on the sand, the rein changes once', way => {
  for (const arena of ARENAS)
    for (const rein of ['left', 'right'] as const) {
      const ride = pieces(changeOfRein(arena, way, rein, 5), arena);
      expect(ride.map(piece => piece.rein)).toEqual([rein, rein === 'left' ? 'right' : 'left']);
      for (const { chain } of stretches(ride)) expect(isChainInside(arena, chain)).toBe(true);
    }
});

test('the diagonal from F to H crosses X; the centre line runs from A to C', () => {
  const diagonal = pieces(changeOfRein(LONG, 'diagonal', 'left', 6));
  expect(passes(diagonal, 10, 30)).toBe(true);
  const centre = pieces(changeOfRein(LONG, 'centre-line', 'left', 5));
  // Two quarters of 5 m and the straight between.
  expect(lengthM(centre)).toBeCloseTo(5 * Math.PI + 50, 9);
  const across = pieces(changeOfRein(LONG, 'across', 'left', 5));
  expect(lengthM(across)).toBeCloseTo(5 * Math.PI + 10, 9);
  expect(lengthM(pieces(changeOfRein(LONG, 'through-circle', 'left', 5)))).toBeCloseTo(10 * Math.PI, 9);
});

// Corners by radius (common practice, no source): 3 m collected, 5 m working, 6 m and more for a green horse.
test.each([3, 5, 6])('round the arena with corners of %i m: the walls less what the corners save', cornerRadiusM => {
  const ride = pieces({ kind: 'round-arena', start: at(LONG, 'B'), rein: 'left', cornerRadiusM, rounds: 1 });
  expect(lengthM(ride)).toBeCloseTo(160 - cornerRadiusM * (8 - 2 * Math.PI), 9);
  const end = leavesPose(ride[0]!);
  expect([end.at.xM, end.at.yM]).toEqual([expect.closeTo(20, 9), expect.closeTo(30, 9)]);
});

test('a shallow loop of 5 m reaches the quarter line in its middle and comes back to the rail', () => {
  const loop = pieces({ kind: 'shallow-loop', start: at(LONG, 'F'), rein: 'left', lengthM: 48, depthM: 5 });
  expect(passes(loop, 15, 30)).toBe(true);
  const end = leavesPose(loop[0]!);
  expect([end.at.xM, end.at.yM, Math.sin(end.headingRad)]).toEqual([20, 54, 1].map(v => expect.closeTo(v, 9)));
});

test('a leg-yield from the quarter line to B: straight, sloping, the horse parallel to the wall', () => {
  // From (15, 18), 12 m up and 5 m aside: 13 m at atan(5 ÷ 12).
  const ride = pieces({
    kind: 'sideways',
    ...{ start: { at: { xM: 15, yM: 18 }, headingRad: Math.PI / 2 }, rein: 'left', movement: 'leg-yield' },
    ...{ towards: 'right', aheadM: 12, asideM: 5 },
  });
  expect(lengthM(ride)).toBeCloseTo(13, 9);
  const end = leavesPose(ride[0]!);
  expect([end.at.xM, end.at.yM]).toEqual([expect.closeTo(20, 9), expect.closeTo(30, 9)]);
  expect(end.headingRad).toBeCloseTo(Math.PI / 2, 9);
  expect(stretches(ride)[0]!.sideways?.bodyRad).toBeCloseTo(Math.atan2(5, 12), 9);
});

test('shoulder-in on part of a long side: the shoulders come in by 30°, before and behind it is plain', () => {
  for (const rein of ['left', 'right'] as const) {
    const straight: Figure = {
      kind: 'straight',
      start: at(LONG, rein === 'left' ? 'P' : 'V', rein),
      rein,
      lengthM: 24,
    };
    const ride = stretches(pieces(straight, LONG, [{ fromM: 6, toM: 18, sideways: 'shoulder-in' }]));
    expect(ride.map(({ chain }) => chain.lengthM)).toEqual([6, 12, 6].map(v => expect.closeTo(v, 9)));
    const inward = rein === 'left' ? 1 : -1;
    expect(ride.map(({ sideways }) => sideways?.bodyRad ?? 0)).toEqual([0, (inward * Math.PI) / 6, 0]);
  }
});

test('a circle with shoulder-in, then larger strides and a counter-bend, keeps its length', () => {
  const circle: Figure = { kind: 'circle', start: at(LONG, 'C'), rein: 'left', diameterM: 20, rounds: 1 };
  const ride = pieces(circle, LONG, [
    { fromM: 0, toM: 20, sideways: 'shoulder-in' },
    { fromM: 20, toM: 40, pace: 'long', gait: 'canter' },
    { fromM: 45, toM: 50, counterBend: true },
  ]);
  expect(lengthM(ride)).toBeCloseTo(20 * Math.PI, 9);
  expect(stretches(ride).map(({ gait, pace, counterBend }) => `${gait} ${pace} ${counterBend}`)).toEqual([
    'trot normal false',
    'canter long false',
    'trot normal false',
    'trot normal true',
    'trot normal false',
  ]);
});

test('a part that does not lie on the figure is refused with a sentence', () => {
  const circle: Figure = { kind: 'circle', start: at(LONG, 'C'), rein: 'left', diameterM: 10, rounds: 1 };
  const ride = rideFigure(
    { id: 'f1', name: null, figure: circle, gait: null, parts: [{ fromM: 20, toM: 40 }] },
    'trot',
    LONG,
  );
  expect(ride).toEqual({ ok: false, reason: expect.stringContaining('31.42 m long') });
});

test('the rail turnback: a triangle on the rail at each end, and out again where it began', () => {
  const ride = pieces(
    { kind: 'rail-turnback', start: at(LONG, 'P'), rein: 'left', alongM: 6, offM: 3, asideM: 2 },
    LONG,
    [],
    'walk',
  );
  expect(ride.map(({ kind, rein }) => `${kind} ${rein}`)).toEqual([
    ...['stretch left', 'stretch left', 'station right', 'stretch right'],
    ...['stretch right', 'stretch right', 'station left', 'stretch left'],
  ]);
  // P is at 18 m: along to 24, off to 27 and 2 m in, home past the corner to 21; back along to 18, off to 15, home to 21.
  const corners = ride.map(piece => leavesPose(piece).at);
  const expected = [
    ...[
      [20, 24],
      [18, 27],
      [18, 27],
      [20, 21],
    ],
    ...[
      [20, 18],
      [18, 15],
      [18, 15],
      [20, 21],
    ],
  ];
  corners.forEach(({ xM, yM }, index) => {
    expect(xM).toBeCloseTo(expected[index]![0]!, 9);
    expect(yM).toBeCloseTo(expected[index]![1]!, 9);
  });
  // What follows begins facing up the rail again (a sideways line leaves by its path, the horse faces along).
  expect(Math.sin(leavesPose(ride[6]!).headingRad)).toBeCloseTo(1, 9);
});

test('a serpentine yields out of each loop to the rail, and stays as long and as wide', () => {
  const ride = pieces(
    {
      ...{ kind: 'serpentine', start: at(LONG, 'A'), rein: 'left', loops: 3 },
      ...{ lengthM: 60, widthM: 20, yieldM: 2.5 },
    },
    LONG,
  );
  const yields = stretches(ride).filter(({ sideways }) => sideways);
  expect(yields).toHaveLength(3);
  yields.forEach(({ chain, sideways }, loop) => {
    expect(sideways!.movement).toBe('leg-yield');
    const end = leavesPose({ ...yields[loop]! }).at;
    // 2.5 m aside on 4 m ahead, arriving on the wall of its side, the middle of it in the middle of the loop.
    expect(end.xM).toBeCloseTo(loop % 2 === 0 ? 20 : 0, 9);
    expect(end.yM).toBeCloseTo(loop * 20 + 12, 9);
    expect(chain.lengthM).toBeCloseTo(Math.hypot(2.5, 4), 9);
  });
  expect(leavesPose(ride.at(-1)!).at).toEqual({ xM: expect.closeTo(10, 9), yM: expect.closeTo(60, 9) });
  const tooSmall = rideFigure(
    {
      ...{ id: 'f', name: null, gait: null, parts: [] },
      figure: {
        ...{ kind: 'serpentine', start: at(LONG, 'A'), rein: 'left', loops: 8 },
        ...{ lengthM: 60, widthM: 20, yieldM: 5 },
      },
    },
    'trot',
    LONG,
  );
  expect(tooSmall).toEqual({ ok: false, reason: expect.stringContaining('too small to yield') });
});

test.each([
  { deed: { kind: 'halt', seconds: 4 } as const, leaves: [20, 30, 90] },
  { deed: { kind: 'turn-on-forehand', turnRad: Math.PI } as const, leaves: [20, 30, 270] },
  { deed: { kind: 'turn-on-haunches', turnRad: -Math.PI / 2 } as const, leaves: [20, 30, 0] },
  { deed: { kind: 'rein-back', steps: 4 } as const, leaves: [20, 27.6, 90] },
  { deed: { kind: 'side-pass', steps: 3, towards: 'left' } as const, leaves: [18.8, 30, 90] },
  { deed: { kind: 'flexions', eachSide: 3 } as const, leaves: [20, 30, 90] },
])('a station at B: $deed.kind leaves the horse at $leaves', ({ deed, leaves }) => {
  // Steps back of 0.6 m and aside of 0.4 m (common practice, no source).
  const [station] = pieces({ kind: 'station', start: at(LONG, 'B'), rein: 'left', deed });
  const pose = leavesPose(station!);
  const degrees = (pose.headingRad * 180) / Math.PI;
  expect([pose.at.xM, pose.at.yM, degrees]).toEqual(leaves.map(value => expect.closeTo(value, 9)));
});

test('every wall letter is found with the wall on the outside', () => {
  for (const arena of [SMALL, LONG]) {
    const onWall = arenaLetters(arena).filter(
      ({ at: { xM, yM } }) => xM === 0 || yM === 0 || xM === 20 || yM === arena.lengthM,
    );
    for (const { letter, at: place } of onWall) {
      const { at: found, headingRad } = letterPose(arena, letter, 'left')!;
      expect(found).toEqual(place);
      // On the left rein the wall is on the right: a step to the right leaves the sand.
      const asideXM = place.xM + Math.sin(headingRad);
      const asideYM = place.yM - Math.cos(headingRad);
      expect(asideXM < 0 || asideYM < 0 || asideXM > 20 || asideYM > arena.lengthM).toBe(true);
    }
  }
  expect(letterPose(LONG, 'X', 'left')).toBeNull();
});

test.each([
  [
    'a way back shorter than the half circle is wide',
    { kind: 'half-circle-return', start: at(LONG, 'M'), rein: 'left', diameterM: 10, returnM: 8, lineFirst: false },
  ],
  [
    'corners larger than the sand',
    { kind: 'round-arena', start: at(LONG, 'B'), rein: 'left', cornerRadiusM: 12, rounds: 1 },
  ],
  [
    'round the arena on the rein that faces the wrong way',
    { kind: 'round-arena', start: at(LONG, 'B', 'right'), rein: 'left', cornerRadiusM: 5, rounds: 1 },
  ],
  ['a loop deeper than long', { kind: 'shallow-loop', start: at(LONG, 'F'), rein: 'left', lengthM: 10, depthM: 9 }],
  [
    'turns that do not fit',
    { kind: 'change-rein', start: at(LONG, 'F'), end: at(LONG, 'P', 'right'), rein: 'left', radiusM: 9 },
  ],
] as [string, Figure][])('%s: a value that says why', (_, figure) => {
  const ride = rideFigure({ id: 'f1', name: null, figure, gait: null, parts: [] }, 'trot', LONG);
  expect(ride.ok).toBe(false);
  if (!ride.ok) expect(ride.reason).toMatch(/^[A-Z].*\.$/);
});

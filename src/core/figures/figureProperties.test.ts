import fc from 'fast-check';
import type { Arena } from '../arena/arena';
import { chainEnd } from '../geometry/chain';
import { mirroredPlace } from '../geometry/frame';
import { segmentEnd } from '../geometry/segment';
import { mirrorExercise } from '../exercises/mirrorExercise';
import type { TrackGait } from '../layout/trackGait';
import type { Figure, FigurePart, PlannedFigure } from './figure';
import { measureSession } from './measureSession';
import { rideFigure } from './rideFigure';
import { leavesPose, rideSession } from './rideSession';
import { strideMarks } from './strideMarks';
import type { RidePiece, Stretch } from './stretch';

const ARENA: Arena = { widthM: 40, lengthM: 80, letters: 'none' };
const dm = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map(value => value / 10);
const rein = fc.constantFrom('left' as const, 'right' as const);
/** Well inside, so that most figures stay on the sand. */
const start = fc.record({
  at: fc.record({ xM: dm(18, 22), yM: dm(35, 45) }),
  headingRad: fc.integer({ min: 0, max: 62 }).map(value => value / 10),
});
const times = fc.integer({ min: 1, max: 2 });
const size = dm(8, 16);

const anyFigure: fc.Arbitrary<Figure> = fc.oneof(
  fc.record({ kind: fc.constant('circle' as const), start, rein, diameterM: size, rounds: dm(0.5, 2) }),
  fc.record({
    kind: fc.constant('spiral' as const),
    ...{ start, rein, times },
    diametersM: fc.constantFrom<number[]>([16, 12, 10], [14, 10], [16, 14, 12, 10, 8]),
    school: fc.constantFrom('bend' as const, 'yield' as const),
  }),
  fc.record({
    kind: fc.constant('serpentine' as const),
    ...{ start, rein, loops: fc.integer({ min: 1, max: 4 }) },
    lengthM: dm(16, 30),
    widthM: dm(8, 16),
  }),
  fc.record({ kind: fc.constant('eight' as const), start, rein, times, firstDiameterM: size, secondDiameterM: size }),
  fc.record({
    kind: fc.constant('half-circle-return' as const),
    ...{ start, rein, lineFirst: fc.boolean() },
    diameterM: dm(6, 9),
    returnM: dm(10, 18),
  }),
  fc.record({ kind: fc.constant('shallow-loop' as const), start, rein, lengthM: dm(16, 24), depthM: dm(1, 4) }),
  fc.record({ kind: fc.constant('straight' as const), start, rein, lengthM: dm(2, 12) }),
  fc.record({
    kind: fc.constant('sideways' as const),
    ...{ start, rein, towards: rein, movement: fc.constantFrom('leg-yield' as const, 'half-pass' as const) },
    aheadM: dm(6, 12),
    asideM: dm(1, 5),
  }),
  fc.record({
    kind: fc.constant('rail-turnback' as const),
    ...{ start, rein },
    alongM: dm(2, 6),
    offM: dm(1, 3),
    asideM: dm(1, 3),
  }),
  fc.record({
    kind: fc.constant('station' as const),
    ...{ start, rein },
    deed: fc.constantFrom(
      { kind: 'halt' as const, seconds: 4 },
      { kind: 'turn-on-forehand' as const, turnRad: Math.PI },
      { kind: 'rein-back' as const, steps: 4 },
      { kind: 'side-pass' as const, steps: 3, towards: 'left' as const },
    ),
  }),
);
const anyParts = fc.constantFrom<FigurePart[]>(
  [],
  [{ fromM: 0.5, toM: 1.5, pace: 'short' as const }],
  [{ fromM: 1, toM: 2, gait: 'walk' as const }],
);
const planned: fc.Arbitrary<PlannedFigure> = fc.record({
  id: fc.constant('f1'),
  name: fc.constant(null),
  figure: anyFigure,
  gait: fc.option(fc.constantFrom<TrackGait>('walk', 'trot', 'canter')),
  parts: anyParts,
});

const stretches = (pieces: readonly RidePiece[]) =>
  pieces.filter((piece): piece is Stretch => piece.kind === 'stretch');

function expectContinuous(pieces: readonly RidePiece[]): void {
  for (const { chain } of stretches(pieces)) {
    let at = chain.start;
    for (const segment of chain.segments) {
      expect(Math.hypot(segment.start.at.xM - at.at.xM, segment.start.at.yM - at.at.yM)).toBeLessThan(1e-6);
      expect(Math.cos(segment.start.headingRad - at.headingRad)).toBeCloseTo(1, 9);
      at = segmentEnd(segment);
    }
  }
  for (let i = 1; i < pieces.length; i += 1) {
    const before = leavesPose(pieces[i - 1]!);
    const piece = pieces[i]!;
    const begins = piece.kind === 'stretch' ? piece.chain.start : piece.pose;
    expect(Math.hypot(begins.at.xM - before.at.xM, begins.at.yM - before.at.yM)).toBeLessThan(1e-6);
  }
}

test('every figure is continuous, and tangent-continuous within each of its stretches', () => {
  fc.assert(
    fc.property(anyFigure, figure => {
      const ride = rideFigure({ id: 'f1', name: null, figure, gait: null, parts: [] }, 'trot', ARENA);
      if (ride.ok) expectContinuous(ride.pieces);
    }),
  );
});

test('what is asked on a part changes no length and leaves no gap', () => {
  fc.assert(
    fc.property(anyFigure, figure => {
      const plain = rideFigure({ id: 'f1', name: null, figure, gait: null, parts: [] }, 'trot', ARENA);
      fc.pre(plain.ok);
      const lengthM = (pieces: readonly RidePiece[]) =>
        stretches(pieces).reduce((sum, { chain }) => sum + chain.lengthM, 0);
      const wholeM = plain.ok ? lengthM(plain.pieces) : 0;
      fc.pre(wholeM > 2);
      const parts = [{ fromM: wholeM * 0.2, toM: wholeM * 0.7, sideways: 'shoulder-in' as const }];
      const asked = rideFigure({ id: 'f1', name: null, figure, gait: null, parts }, 'trot', ARENA);
      if (!asked.ok || !plain.ok) throw new Error('a ride');
      expect(lengthM(asked.pieces)).toBeCloseTo(wholeM, 6);
      expectContinuous(asked.pieces.filter(piece => piece.kind === 'stretch' && piece.sideways === null).slice(0, 1));
      const askedM = stretches(asked.pieces)
        .filter(({ sideways }) => sideways?.movement === 'shoulder-in')
        .reduce((sum, { chain }) => sum + chain.lengthM, 0);
      expect(askedM).toBeCloseTo(wholeM * 0.5, 6);
    }),
  );
});

test('metres add up the same by gait, by rein and in all, and the shares lie within one', () => {
  fc.assert(
    fc.property(fc.array(planned, { minLength: 1, maxLength: 4 }), figures => {
      const session = rideSession(ARENA, figures, 'trot');
      fc.pre(session.ok);
      if (!session.ok) return;
      const measure = measureSession(ARENA, session.pieces);
      const sum = (record: object) => Object.values(record).reduce((total: number, value: number) => total + value, 0);
      expect(sum(measure.metresByGait)).toBeCloseTo(measure.lengthM, 6);
      expect(sum(measure.metresByRein)).toBeCloseTo(measure.lengthM, 6);
      expect(sum(measure.minutesByGait)).toBeCloseTo(measure.minutes, 9);
      expect(measure.onRailShare).toBeGreaterThanOrEqual(0);
      expect(measure.onRailShare).toBeLessThanOrEqual(1 + 1e-9);
      for (const on of ['left', 'right'] as const)
        expect(measure.smallCircleMinutes[on]).toBeLessThanOrEqual(measure.minutesByRein[on] + 1e-9);
    }),
  );
});

test('strides never lie farther apart than they are long', () => {
  fc.assert(
    fc.property(fc.array(planned, { minLength: 1, maxLength: 3 }), figures => {
      const session = rideSession(ARENA, figures, 'trot');
      fc.pre(session.ok);
      if (!session.ok) return;
      const marks = strideMarks(session.pieces, () => ({ shortM: 2, normalM: 2.5, longM: 3 }));
      marks.slice(1).forEach((mark, index) => {
        const before = marks[index]!;
        expect(mark.alongM).toBeGreaterThan(before.alongM - 1e-9);
        expect(mark.alongM - before.alongM).toBeLessThanOrEqual(before.strideM + 1e-6);
      });
    }),
  );
});

test('the mirror image of a figure is as long, on the other rein, and twice mirrored it is itself', () => {
  fc.assert(
    fc.property(planned, figure => {
      const exercise = {
        ...{ items: [], stages: [], facts: [], stand: { xM: 0, yM: 0 } },
        tracks: [
          { kind: 'figures' as const, id: 'f', name: null, gait: 'trot' as const, passes: 1, figures: [figure] },
        ],
      };
      const mirrored = mirrorExercise(exercise);
      const [track] = mirrored.tracks;
      if (track?.kind !== 'figures') throw new Error('figures');
      const image = track.figures[0]!;
      expect(image.figure.rein).not.toBe(figure.figure.rein);
      const [one, other] = [figure, image].map(plan => rideFigure(plan, 'trot', ARENA));
      expect(other!.ok).toBe(one!.ok);
      if (one!.ok && other!.ok) {
        const ends = [one!.pieces, other!.pieces].map(pieces => leavesPose(pieces[pieces.length - 1]!));
        expect(ends[1]!.at.xM).toBeCloseTo(ends[0]!.at.xM, 6);
        expect(ends[1]!.at.yM).toBeCloseTo(-ends[0]!.at.yM, 6);
      }
      expect(JSON.stringify(mirrorExercise(mirrored).tracks)).toBe(
        JSON.stringify(exercise.tracks).replaceAll('-0,', '0,'),
      );
    }),
  );
});

test('a place mirrored twice is the place', () => {
  const place = { at: { xM: 3, yM: 7 }, headingRad: 1 };
  const back = mirroredPlace(20, mirroredPlace(20, place));
  expect(back.at).toEqual(place.at);
  expect(back.headingRad).toBeCloseTo(1, 12);
});

test('a chain that is ridden once round ends where it began', () => {
  const ride = rideFigure(
    {
      ...{ id: 'f1', name: null },
      figure: {
        kind: 'circle',
        start: { at: { xM: 20, yM: 40 }, headingRad: 0.7 },
        rein: 'right',
        diameterM: 12,
        rounds: 1,
      },
      gait: null,
      parts: [],
    },
    'trot',
    ARENA,
  );
  if (!ride.ok || ride.pieces[0]?.kind !== 'stretch') throw new Error('a circle');
  const end = chainEnd(ride.pieces[0].chain);
  expect(end.at).toEqual({ xM: expect.closeTo(20, 9), yM: expect.closeTo(40, 9) });
});

import type { Arena } from '../arena/arena';
import { chainEnd } from '../geometry/chain';
import { isChainInside } from '../geometry/insideArena';
import type { Figure, PlannedFigure } from './figure';
import { letterPose } from './figurePlaces';
import { measureSession } from './measureSession';
import { leavesPose, rideSession } from './rideSession';
import { strideMarks } from './strideMarks';
import type { RidePiece } from './stretch';

const ARENA: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const at = (letter: string, rein: 'left' | 'right' = 'left') => letterPose(ARENA, letter, rein)!;
const plan = (figure: Figure, changes: Partial<PlannedFigure> = {}): PlannedFigure => ({
  ...{ id: 'f1', name: null },
  figure,
  gait: null,
  parts: [],
  ...changes,
});
const circleAt = (letter: string, diameterM = 20): Figure => ({
  kind: 'circle',
  start: at(letter),
  rein: 'left',
  diameterM,
  rounds: 1,
});

function ride(figures: PlannedFigure[], gait: 'walk' | 'trot' | 'canter' = 'trot'): RidePiece[] {
  const session = rideSession(ARENA, figures, gait);
  if (!session.ok) throw new Error(session.reason);
  return session.pieces;
}

test('between two figures one rides along the wall: A to C on the left rein is half the arena round', () => {
  const pieces = ride([plan(circleAt('A')), plan(circleAt('C'))]);
  expect(pieces).toHaveLength(3);
  // 10 + 60 + 10 m of wall, and two corners of 5 m that each save 10 − 2.5π.
  expect(pieces[1]).toMatchObject({ chain: { lengthM: expect.closeTo(80 - 2 * (10 - 2.5 * Math.PI), 9) } });
});

test('off the wall, or onto another rein, one rides the natural line', () => {
  const eight: Figure = {
    kind: 'eight',
    ...{ start: { at: { xM: 10, yM: 30 }, headingRad: Math.PI }, rein: 'left', times: 1 },
    ...{ firstDiameterM: 10, secondDiameterM: 10 },
  };
  const pieces = ride([plan(circleAt('B')), plan(eight)]);
  for (const piece of pieces) if (piece.kind === 'stretch') expect(isChainInside(ARENA, piece.chain)).toBe(true);
  for (let i = 1; i < pieces.length; i += 1) {
    const before = leavesPose(pieces[i - 1]!);
    const piece = pieces[i]!;
    const start = piece.kind === 'stretch' ? piece.chain.start : piece.pose;
    expect(Math.hypot(start.at.xM - before.at.xM, start.at.yM - before.at.yM)).toBeLessThan(1e-6);
    expect(Math.cos(start.headingRad - before.headingRad)).toBeCloseTo(1, 9);
  }
});

test('a figure that cannot be reached or ridden is named', () => {
  const facingTheWall: Figure = {
    kind: 'straight',
    start: { at: { xM: 19.9, yM: 30 }, headingRad: 0 },
    rein: 'left',
    lengthM: 1,
  };
  expect(rideSession(ARENA, [plan(circleAt('A')), plan(facingTheWall)], 'canter').ok).toBe(true);
  const offTheSand: Figure = { ...facingTheWall, start: { at: { xM: 30, yM: 30 }, headingRad: 0 } };
  expect(rideSession(ARENA, [plan(circleAt('A')), plan(offTheSand)], 'canter')).toMatchObject({ ok: false, figure: 1 });
});

test('metres and minutes by gait and rein, worked by hand', () => {
  // A 20 m circle in trot (220 m/min), a half of the next in canter (235 m/min; common practice, no source), a halt of 6 s.
  const pieces = ride([
    plan(circleAt('B')),
    plan({ ...circleAt('B'), rounds: 0.5 } as Figure, { gait: 'canter' }),
    plan({ kind: 'station', start: at('E'), rein: 'left', deed: { kind: 'halt', seconds: 6 } }),
  ]);
  const measure = measureSession(ARENA, pieces);
  expect(measure.metresByGait).toEqual({
    trot: expect.closeTo(20 * Math.PI, 9),
    canter: expect.closeTo(10 * Math.PI, 9),
  });
  expect(measure.minutesByGait.trot).toBeCloseTo((20 * Math.PI) / 220, 9);
  expect(measure.minutesByGait.canter).toBeCloseTo((10 * Math.PI) / 235, 9);
  expect(measure.minutesByGait.halt).toBeCloseTo(0.1, 9);
  expect(measure.metresByRein).toEqual({ left: expect.closeTo(30 * Math.PI, 9), right: 0 });
  expect(measure).toMatchObject({ changesOfRein: 0, transitions: 2, smallestRadiusM: 10, onRailShare: 0 });
});

test('a serpentine of three loops changes the rein twice; an eight once each time through', () => {
  const serpentine: Figure = { kind: 'serpentine', start: at('A'), rein: 'left', loops: 3, lengthM: 60, widthM: 20 };
  expect(measureSession(ARENA, ride([plan(serpentine)])).changesOfRein).toBe(2);
  const eight: Figure = {
    kind: 'eight',
    ...{ start: { at: { xM: 10, yM: 30 }, headingRad: 0 }, rein: 'left', times: 3 },
    ...{ firstDiameterM: 20, secondDiameterM: 20 },
  };
  expect(measureSession(ARENA, ride([plan(eight)])).changesOfRein).toBe(5);
});

test('round and round the rail is all rail, corners too; a circle is none', () => {
  const round: Figure = { kind: 'round-arena', start: at('B'), rein: 'left', cornerRadiusM: 5, rounds: 2 };
  expect(measureSession(ARENA, ride([plan(round)])).onRailShare).toBeCloseTo(1, 9);
  // Half of the metres each: the round is 160 − 5(8 − 2π) m.
  const both = measureSession(ARENA, ride([plan(circleAt('B')), plan({ ...round, rounds: 1 } as Figure)]));
  const roundM = 160 - 5 * (8 - 2 * Math.PI);
  expect(both.onRailShare).toBeCloseTo(roundM / (roundM + 20 * Math.PI), 9);
});

test('small circles count by rein, corners do not', () => {
  const volte = measureSession(ARENA, ride([plan({ ...circleAt('B', 10), rounds: 4 } as Figure)]));
  expect(volte.smallCircleMinutes).toEqual({ left: expect.closeTo((40 * Math.PI) / 220, 9), right: 0 });
  const round: Figure = { kind: 'round-arena', start: at('B'), rein: 'left', cornerRadiusM: 3, rounds: 2 };
  expect(measureSession(ARENA, ride([plan(round)])).smallCircleMinutes.left).toBe(0);
  expect(measureSession(ARENA, ride([plan(circleAt('B', 10.5))])).smallCircleMinutes.left).toBe(0);
});

const STRIDE = { shortM: 2, normalM: 2.5, longM: 3 };

test('strides fall one length apart along the track, and run on from piece to piece', () => {
  const straight = (letter: string, lengthM: number): Figure => ({
    kind: 'straight',
    start: at(letter),
    rein: 'left',
    lengthM,
  });
  // F to P is 12 m, P to B 12 m: strides at 0, 2.5 … 22.5 of 24 m.
  const marks = strideMarks(ride([plan(straight('F', 12)), plan(straight('P', 12))]), () => STRIDE);
  expect(marks.map(({ alongM }) => alongM)).toEqual(
    [0, 2.5, 5, 7.5, 10, 12.5, 15, 17.5, 20, 22.5].map(v => expect.closeTo(v, 9)),
  );
  expect(marks[5]!.pose.at).toEqual({ xM: expect.closeTo(20, 9), yM: expect.closeTo(18.5, 9) });
});

test('short strides where they are asked, a fresh start in another gait, and none where nobody knows the stride', () => {
  const line: Figure = { kind: 'straight', start: at('F'), rein: 'left', lengthM: 20 };
  const parts = [
    { fromM: 10, toM: 16, pace: 'short' as const },
    { fromM: 16, toM: 20, gait: 'canter' as const },
  ];
  const pieces = ride([plan(line, { parts })]);
  const marks = strideMarks(pieces, gait => (gait === 'trot' ? STRIDE : null));
  expect(marks.map(({ alongM }) => alongM)).toEqual([0, 2.5, 5, 7.5, 10, 12, 14].map(v => expect.closeTo(v, 9)));
});

test('a spiral and a turnback leave the horse where the next figure can begin', () => {
  const spiral: Figure = {
    kind: 'spiral',
    start: at('C'),
    rein: 'left',
    diametersM: [20, 12],
    school: 'bend',
    times: 2,
  };
  const end = leavesPose(ride([plan(spiral)]).at(-1)!);
  expect(end.at).toEqual({ xM: expect.closeTo(10, 9), yM: expect.closeTo(60, 9) });
  const turnback: Figure = { kind: 'rail-turnback', start: at('P'), rein: 'left', alongM: 6, offM: 3, asideM: 2 };
  const pieces = ride([plan(turnback), plan(circleAt('E'))], 'walk');
  expect(pieces.every(piece => piece.kind === 'station' || chainEnd(piece.chain).at.yM > -1e-9)).toBe(true);
});

test('a link between two figures turns no tighter than a green horse carries, where there is room', () => {
  const field: Arena = { widthM: 40, lengthM: 60, letters: 'none' };
  const circle = (xM: number, yM: number, headingRad: number): Figure => ({
    kind: 'circle',
    ...{ start: { at: { xM, yM }, headingRad }, rein: 'left' as const, diameterM: 16, rounds: 1 },
  });
  // Three metres beside each other and facing opposite ways: straight from one to the other would turn at 1.5 m.
  const session = rideSession(field, [plan(circle(20, 30, 0)), plan(circle(20, 33, Math.PI))], 'trot');
  if (!session.ok) throw new Error(session.reason);
  for (const piece of session.pieces)
    if (piece.kind === 'stretch')
      for (const segment of piece.chain.segments)
        if (segment.kind === 'arc') expect(segment.radiusM).toBeGreaterThanOrEqual(5 - 1e-6);
});

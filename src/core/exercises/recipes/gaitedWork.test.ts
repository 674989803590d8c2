import type { Arena } from '../../arena/arena';
import { distanceM } from '../../geometry/pointM';
import { isRidden } from '../../items/item';
import type { LayoutHorse } from '../../layout/layout';
import { reckonLayout } from '../../layout/reckonLayout';
import { layOutExercise } from '../layOutExercise';
import { findRecipe } from '../shelf';

const ARENA: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };
const stride = (normalM: number) => ({ shortM: normalM * 0.75, normalM, longM: normalM * 1.12 });
/** Two steps a stride: a running walk of 2.40 m has steps of 1.20 m. */
const AMBLER: LayoutHorse = {
  ...{ id: 'a', name: 'Ambler', heightM: 1.5, type: 'gaited', level: 'novice' },
  strides: { 'running-walk': stride(2.4), 'fox-trot': stride(2.2) },
};
const LONGER: LayoutHorse = { ...AMBLER, id: 'b', name: 'Longer', strides: { 'running-walk': stride(2.6) } };

const lay = (kind: string, horses: LayoutHorse[], params?: Record<string, number | string>) =>
  layOutExercise(
    findRecipe(kind)!,
    { arena: ARENA, school: 'whole-stride', horses },
    { rein: 'left', ...(params ? { params } : {}) },
  );
const gapOf = (laid: ReturnType<typeof lay>) => {
  const [first, second] = laid.exercise.items.filter(isRidden);
  return distanceM(first!.at, second!.at);
};

test('two poles lie two steps of the gait apart: one step falls free between them', () => {
  expect(gapOf(lay('gaited-poles', [AMBLER]))).toBeCloseTo(2.4, 6);
  expect(gapOf(lay('gaited-poles', [AMBLER], { gait: 'fox-trot' }))).toBeCloseTo(2.2, 6);
  // A group: the middle of the two, by ratio.
  expect(gapOf(lay('gaited-poles', [AMBLER, LONGER]))).toBeCloseTo(Math.sqrt(2.4 * 2.6), 2);
  expect(lay('gaited-poles', [AMBLER]).cautions).toEqual([]);
});

test('where nobody knows the stride they lie two trot steps apart, farther than for trot', () => {
  const untested: LayoutHorse = { ...AMBLER, strides: { 'trot-poles': stride(1.3) } };
  expect(gapOf(lay('gaited-poles', [untested]))).toBeCloseTo(2.6, 6);
});

test('whatever the stride, both poles are laid: no step of another gait is asked between them', () => {
  for (const normalM of [1.9, 2.1, 2.29, 2.36, 2.5, 2.7, 2.9]) {
    const laid = lay('gaited-poles', [{ ...AMBLER, strides: { 'running-walk': stride(normalM) } }]);
    expect(laid.cautions).toEqual([]);
    expect(gapOf(laid)).toBeCloseTo(normalM, 6);
  }
});

test('every horse that has the gait is read, in steps', () => {
  const { exercise } = lay('gaited-poles', [AMBLER]);
  const [row] = reckonLayout({
    ...{ name: 'x', arena: ARENA, fall: null, school: 'whole-stride', kit: null, horses: [AMBLER] },
    ...exercise,
  });
  if (row?.kind !== 'items') throw new Error('a row is ridden over poles');
  expect(row.legs[0]!.readings.map(({ call }) => call)).toEqual(['easy one']);
});

test('the way round passes beside the poles and is as long as the row and four metres at either end', () => {
  const { exercise } = lay('gaited-poles', [AMBLER]);
  const [, round] = reckonLayout({
    ...{ name: 'x', arena: ARENA, fall: null, school: 'whole-stride', kit: null, horses: [AMBLER] },
    ...exercise,
  });
  if (round?.kind !== 'figures' || !round.session.ok) throw new Error('a way round is ridden on the flat');
  const [piece] = round.session.pieces;
  if (piece?.kind !== 'stretch') throw new Error('it is straight');
  expect(piece.chain.lengthM).toBeCloseTo(2.4 + 8, 6);
  // Half a pole of 3 m and 1.25 m beside its end.
  expect(Math.abs(piece.chain.start.at.xM - 15)).toBeCloseTo(2.75, 6);
});

test('canter on a circle: the same ground from pole to pole on both halves, and a smaller circle that passes both', () => {
  const { exercise } = lay('gaited-canter', [AMBLER], { strides: 0, radiusM: 8 });
  const [circle, round] = reckonLayout({
    ...{ name: 'x', arena: ARENA, fall: null, school: 'whole-stride', kit: null, horses: [AMBLER] },
    ...exercise,
  });
  if (circle?.kind !== 'items' || round?.kind !== 'figures' || !round.session.ok) throw new Error('both are ridden');
  for (const { groundM } of circle.legs) expect(groundM).toBeCloseTo(8 * Math.PI, 6);
  // A pole of 2 m is passed a metre beside its end.
  expect(round.session.pieces[0]).toMatchObject({ chain: { lengthM: expect.closeTo(2 * Math.PI * 6, 6) } });
});

test('two gaits in turn: so many metres of each, whatever the faster one is', () => {
  const { exercise } = lay('gaited-gaits', [AMBLER], { gait: 'fox-trot', stretches: 3 });
  const [track] = exercise.tracks;
  if (track?.kind !== 'figures') throw new Error('it is ridden on the flat');
  expect(track.gait).toBe('fox-trot');
  const slow = track.figures[0]!.parts.filter(({ gait }) => gait === 'flat-walk');
  expect(slow.reduce((sum, { fromM, toM }) => sum + toM - fromM, 0)).toBe(60);
});

test('the figures of every horse may be ridden in a gaited horse’s gaits', () => {
  for (const kind of ['circle', 'serpentine', 'shallow-loop', 'figure-of-eight', 'leg-yield']) {
    const { exercise, cautions } = lay(kind, [AMBLER], { gait: 'running-walk' });
    expect([kind, exercise.tracks[0]!.gait]).toEqual([kind, 'running-walk']);
    expect([kind, cautions.filter(({ level }) => level !== 'note')]).toEqual([kind, []]);
  }
});

import fc from 'fast-check';
import { distanceM } from '../geometry/pointM';
import type { HorseProfile } from '../horse/strideProfile';
import { poleEnds, type RaisedEnds } from '../items/pole';
import { layOutPoleRow } from './layOutPoleRow';
import { POLE_GAITS, type PoleRow } from './poleRow';
import { rowSpacing } from './rowSpacing';

const FLAT: RaisedEnds = { leftM: 0, rightM: 0 };
const UP: RaisedEnds = { leftM: 0.15, rightM: 0 };
const MEDIUM: HorseProfile = { heightM: 1.6, type: 'all-round', strides: {} };

function row(changes: Partial<PoleRow> = {}): PoleRow {
  return {
    kind: 'pole-row',
    id: 'row',
    gait: 'trot',
    centre: { xM: 10, yM: 20 },
    headingRad: Math.PI / 2,
    poleLengthM: 3,
    raised: [FLAT, FLAT, FLAT, FLAT],
    spacing: { by: 'horse' },
    ...changes,
  };
}

test('spaced by the step at walk and trot and by the whole stride at canter (common practice, no source)', () => {
  const spacing = (gait: PoleRow['gait']) => rowSpacing(row({ gait }), MEDIUM).spacingM;
  expect(spacing('walk')).toBeCloseTo(0.86, 12);
  expect(spacing('trot')).toBeCloseTo(1.37, 12);
  expect(spacing('canter')).toBeCloseTo(3.05, 12);
});

test('raised poles are set 5 cm closer once half of them are raised (common practice, no source)', () => {
  const spacing = (...raised: RaisedEnds[]) => rowSpacing(row({ raised }), MEDIUM).spacingM;
  expect(spacing(UP, FLAT, FLAT, FLAT)).toBeCloseTo(1.37, 12);
  expect(spacing(UP, FLAT, UP, FLAT)).toBeCloseTo(1.32, 12);
  expect(spacing(UP, UP, UP, UP)).toBeCloseTo(1.32, 12);
});

test('a spacing set by hand wins over the horse', () => {
  const reading = rowSpacing(row({ spacing: { by: 'hand', spacingM: 1.3 }, raised: [UP, UP] }), MEDIUM);
  expect(reading).toMatchObject({ spacingM: 1.3, source: 'hand', raisedCloserM: 0 });
});

test('four trot poles towards C lie square across the centre line, evenly about the middle', () => {
  const poles = layOutPoleRow(row(), 1.37);
  expect(poles.map(pole => pole.at.yM)).toEqual([17.945, 19.315, 20.685, 22.055].map(y => expect.closeTo(y, 9)));
  const { left, right } = poleEnds(poles[0]!);
  expect(left).toEqual({ xM: expect.closeTo(8.5, 9), yM: expect.closeTo(17.945, 9) });
  expect(right).toEqual({ xM: expect.closeTo(11.5, 9), yM: expect.closeTo(17.945, 9) });
});

const anyRow = fc.record({
  centre: fc.record({
    xM: fc.double({ min: -50, max: 250, noNaN: true }),
    yM: fc.double({ min: -50, max: 250, noNaN: true }),
  }),
  headingRad: fc.double({ min: -7, max: 7, noNaN: true }),
  gait: fc.constantFrom(...POLE_GAITS),
  raised: fc.array(fc.constantFrom(FLAT, UP), { minLength: 1, maxLength: 12 }),
  poleLengthM: fc.double({ min: 1, max: 5, noNaN: true }),
});

test('every neighbouring pair of poles is one spacing apart, at any heading', () => {
  fc.assert(
    fc.property(anyRow, fc.double({ min: 0.4, max: 5, noNaN: true }), (changes, spacingM) => {
      const poles = layOutPoleRow(row(changes), spacingM);
      poles.slice(1).forEach((pole, i) => expect(distanceM(poles[i]!.at, pole.at)).toBeCloseTo(spacingM, 9));
    }),
  );
});

test('refuses a spacing of nothing', () => expect(() => layOutPoleRow(row(), 0)).toThrow(RangeError));

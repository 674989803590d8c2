import fc from 'fast-check';
import type { Arena } from '../arena/arena';
import { layOutPoleRow } from '../exercises/layOutPoleRow';
import type { PoleRow } from '../exercises/poleRow';
import { distanceM } from '../geometry/pointM';
import { setPoleEnds, type EndPlacing, type RowSetting } from './setPoleEnds';

const ARENA: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };
const FLAT = { leftM: 0, rightM: 0 };

const row = (changes: Partial<PoleRow> = {}): PoleRow => ({
  kind: 'pole-row',
  id: 'row',
  gait: 'trot',
  centre: { xM: 5, yM: 30 },
  headingRad: Math.PI / 2,
  poleLengthM: 3,
  raised: [FLAT, FLAT, FLAT],
  spacing: { by: 'horse' },
  ...changes,
});

test('a row on the left quarter line, near C: measured from the E long side and the C short side', () => {
  const setting = setPoleEnds(ARENA, layOutPoleRow(row(), 1.4));
  expect(setting).toMatchObject({ longSide: 'left', shortSide: 'far', overallM: expect.closeTo(2.8, 9) });
  // By hand: centre 5 m in, poles 3 m long, so ends 3.5 and 6.5 m from the wall; 11.4, 10 and 8.6 m from C.
  expect(setting.placings.map(p => p.left)).toEqual(
    [11.4, 10, 8.6].map(m => ({ fromLongM: expect.closeTo(3.5, 9), fromShortM: expect.closeTo(m, 9) })),
  );
  expect(setting.placings[0]!.right.fromLongM).toBeCloseTo(6.5, 9);
  expect(setting.placings.map(p => p.checkFromPreviousM)).toEqual([
    null,
    expect.closeTo(1.4, 9),
    expect.closeTo(1.4, 9),
  ]);
});

/** Walks from the walls as a person with a tape would, knowing only the sheet. */
function tape(setting: RowSetting, end: EndPlacing) {
  const xM = setting.longSide === 'left' ? end.fromLongM : ARENA.widthM - end.fromLongM;
  const yM = setting.shortSide === 'near' ? end.fromShortM : ARENA.lengthM - end.fromShortM;
  return { xM, yM };
}

test('taped from the sheet alone, every pole comes out where it was drawn', () => {
  const place = fc.record({
    xM: fc.double({ min: 4, max: 16, noNaN: true }),
    yM: fc.double({ min: 8, max: 32, noNaN: true }),
  });
  fc.assert(
    fc.property(place, fc.double({ min: 0, max: 6.28, noNaN: true }), (centre, headingRad) => {
      const poles = layOutPoleRow(row({ centre, headingRad }), 1.37);
      const setting = setPoleEnds(ARENA, poles);
      setting.placings.forEach((placing, index) => {
        const left = tape(setting, placing.left);
        const right = tape(setting, placing.right);
        expect(distanceM(left, right)).toBeCloseTo(3, 9);
        expect((left.xM + right.xM) / 2).toBeCloseTo(poles[index]!.at.xM, 9);
        expect((left.yM + right.yM) / 2).toBeCloseTo(poles[index]!.at.yM, 9);
      });
    }),
  );
});

test('refuses to set nothing', () => expect(() => setPoleEnds(ARENA, [])).toThrow(RangeError));

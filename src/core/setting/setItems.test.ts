import fc from 'fast-check';
import type { Arena } from '../arena/arena';
import { distanceM } from '../geometry/pointM';
import type { Pole } from '../items/pole';
import type { Item } from '../items/item';
import { setItems, type EndPlacing, type LayoutSetting } from './setItems';

const ARENA: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };
const FLAT = { leftM: 0, rightM: 0 };

const pole = (xM: number, yM: number, headingRad = Math.PI / 2): Pole => ({
  ...{ kind: 'pole', id: `${xM},${yM}`, at: { xM, yM }, headingRad, lengthM: 3, raised: FLAT },
});

test('poles on the left quarter line, near C: measured from the E long side and the C short side', () => {
  const setting = setItems(
    ARENA,
    [28.6, 30, 31.4].map(yM => pole(5, yM)),
  );
  expect(setting).toMatchObject({ longSide: 'left', shortSide: 'far' });
  // By hand: 5 m in, poles 3 m long, so ends 3.5 and 6.5 m from the wall; 11.4, 10 and 8.6 m from C.
  expect(setting.placings.map(p => p.left)).toEqual(
    [11.4, 10, 8.6].map(m => ({ fromLongM: expect.closeTo(3.5, 9), fromShortM: expect.closeTo(m, 9) })),
  );
  expect(setting.placings[0]!.right!.fromLongM).toBeCloseTo(6.5, 9);
  expect(setting.placings.map(p => p.checkFromPreviousM)).toEqual([
    null,
    expect.closeTo(1.4, 9),
    expect.closeTo(1.4, 9),
  ]);
});

test('a cone has no ends, and a guide rail ends ahead and behind', () => {
  const guide: Item = { kind: 'guide', id: 'g', at: { xM: 4, yM: 10 }, headingRad: Math.PI / 2, lengthM: 3 };
  const setting = setItems(ARENA, [{ kind: 'cone', id: 'c', at: { xM: 2, yM: 3 } }, guide]);
  expect(setting.placings[0]).toMatchObject({ left: { fromLongM: 2, fromShortM: 3 }, right: null });
  expect(setting.placings[1]!.left.fromShortM).toBeCloseTo(8.5, 9);
  expect(setting.placings[1]!.right!.fromShortM).toBeCloseTo(11.5, 9);
});

/** Walks from the walls as a person with a tape would, knowing only the sheet. */
function tape(setting: LayoutSetting, end: EndPlacing) {
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
    fc.property(place, fc.double({ min: 0, max: 6.28, noNaN: true }), ({ xM, yM }, headingRad) => {
      const poles = [pole(xM, yM, headingRad), pole(xM + 1, yM - 2, headingRad + 1)];
      const setting = setItems(ARENA, poles);
      setting.placings.forEach((placing, index) => {
        const left = tape(setting, placing.left);
        const right = tape(setting, placing.right!);
        expect(distanceM(left, right)).toBeCloseTo(3, 9);
        expect((left.xM + right.xM) / 2).toBeCloseTo(poles[index]!.at.xM, 9);
        expect((left.yM + right.yM) / 2).toBeCloseTo(poles[index]!.at.yM, 9);
      });
    }),
  );
});

test('refuses to set nothing', () => expect(() => setItems(ARENA, [])).toThrow(RangeError));

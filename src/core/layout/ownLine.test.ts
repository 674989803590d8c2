import type { Pole } from '../items/pole';
import { ownLine } from './ownLine';

/** A stick of a fan about the origin: so far from it to its middle, turned so far round it. */
const stick = (radiusM: number, turnedDeg: number, lengthM = 3) => {
  const turnedRad = (turnedDeg * Math.PI) / 180;
  const item: Pole = {
    ...{ kind: 'pole', id: `p${turnedDeg}`, name: null, lengthM, raised: { leftM: 0, rightM: 0 } },
    ...{
      at: { xM: radiusM * Math.cos(turnedRad), yM: radiusM * Math.sin(turnedRad) },
      headingRad: turnedRad + Math.PI / 2,
    },
  };
  return { item, reversed: false };
};
const RAD = Math.PI / 180;

// Poles of 3 m about a hub 6 m off: their ends lie at 4.5 and 7.5 m, and nobody rides nearer than 0.3 m to one.
test.each([
  ['its own step, where that fits', 1.2, 1.2 / (12 * RAD)],
  ['near the inside end, where its step is shorter', 0.5, 4.8],
  ['near the outside end, where it is longer', 2, 7.2],
])('a horse rides a fan at %s', (_, stepM, radiusM) => {
  const line = ownLine(stick(6, 0), stick(6, 12), stepM)!;
  expect(line.radiusM).toBeCloseTo(radiusM, 9);
  expect(line.groundM).toBeCloseTo(radiusM * 12 * RAD, 9);
});

test('it is the same ridden back, and over sticks turned far round', () => {
  const back = ownLine({ ...stick(6, 12), reversed: true }, { ...stick(6, 0), reversed: true }, 1.2)!;
  expect(back.groundM).toBeCloseTo(1.2, 9);
  expect(ownLine(stick(6, 174), stick(6, 186), 1.2)!.groundM).toBeCloseTo(1.2, 9);
});

test('sticks that reach differently leave what both reach', () => {
  // The second is 1 m long: 5.8 to 6.2 m of the hub are left.
  expect(ownLine(stick(6, 0), stick(6, 12, 1), 2)!.radiusM).toBeCloseTo(6.2, 9);
  expect(ownLine(stick(6, 0), stick(6, 12, 1), 0.5)!.radiusM).toBeCloseTo(5.8, 9);
});

test('where they do not spread from a hub, or no line is over both, there is none', () => {
  const straight = stick(6, 0);
  expect(ownLine(straight, { ...straight, item: { ...straight.item, at: { xM: 6, yM: 1.2 } } }, 1.2)).toBeNull();
  expect(ownLine(stick(6, 0, 1), stick(9, 12, 1), 1.2)).toBeNull();
  expect(ownLine(stick(1.2, 0), stick(1.2, 12), 1.2)).toBeNull();
});

import { chainOf } from '../geometry/chain';
import { whereToStand } from './whereToStand';

const ARENA = { widthM: 20, lengthM: 60 };

test('beside a line one stands at its middle, side-on and clear of it', () => {
  const start = { at: { xM: 15, yM: 10 }, headingRad: Math.PI / 2 };
  const chain = chainOf(start, [{ kind: 'straight', lengthM: 40 }]);
  const stops = [20, 30, 40].map(yM => ({ at: { xM: 15, yM }, headingRad: Math.PI / 2 }));
  const at = whereToStand(ARENA, [chain], stops)!;
  expect(at.yM).toBeCloseTo(30, 5);
  expect(Math.abs(at.xM - 15)).toBeGreaterThanOrEqual(3);
  expect(at.xM).toBeLessThan(15);
});

test('for a circle one stands about its middle', () => {
  const start = { at: { xM: 0, yM: 30 }, headingRad: -Math.PI / 2 };
  const chain = chainOf(start, [{ kind: 'turn', radiusM: 10, sweepRad: 2 * Math.PI }]);
  const at = whereToStand(ARENA, [chain], [])!;
  expect(Math.hypot(at.xM - 10, at.yM - 30)).toBeLessThan(1.5);
});

test('where every place is ridden over nobody stands', () => {
  const lanes = [1, 3, 5].map(xM =>
    chainOf({ at: { xM, yM: 0 }, headingRad: Math.PI / 2 }, [{ kind: 'straight', lengthM: 6 }]),
  );
  expect(whereToStand({ widthM: 6, lengthM: 6 }, lanes, [])).toBeNull();
  expect(whereToStand(ARENA, [], [])).toBeNull();
});

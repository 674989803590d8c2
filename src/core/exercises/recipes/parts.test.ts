import { ahead, fenceAt, onCircle, poleAt } from './parts';

test('a pole lies flat unless it is raised, and then at both ends', () => {
  expect(poleAt('p', ahead(3)).raised).toEqual({ leftM: 0, rightM: 0 });
  expect(poleAt('p', ahead(3), 3.5, 0.15)).toMatchObject({ lengthM: 3.5, raised: { leftM: 0.15, rightM: 0.15 } });
});

test('a fence has what is said of it, and is three metres wide and sixty centimetres high where nothing is', () => {
  expect(fenceAt('f', 'oxer', ahead(3, 1), { heightM: 0.8, spreadM: 0.9 })).toMatchObject({
    ...{ kind: 'fence', form: 'oxer', heightM: 0.8, spreadM: 0.9, at: { xM: 3, yM: 1 }, widthM: 3 },
  });
  expect(fenceAt('f', 'vertical', ahead(0), {}).heightM).toBe(0.6);
});

test('on a circle one looks along it: a quarter on, to the left', () => {
  const quarter = onCircle(10, Math.PI / 2);
  const start = onCircle(10, 0);
  expect(Math.hypot(quarter.at.xM - start.at.xM, quarter.at.yM - start.at.yM)).toBeCloseTo(10 * Math.SQRT2, 9);
  expect(quarter.headingRad - start.headingRad).toBeCloseTo(Math.PI / 2, 9);
});

import { earthFromSand, metresInDegree, sandFromEarth } from './earthPlace';

// Length of a degree on the WGS 84 ellipsoid, kilometres (the table of common geographic handbooks; from memory).
test.each([
  [0, 110.574, 111.32],
  [15, 110.649, 107.55],
  [30, 110.852, 96.486],
  [45, 111.132, 78.847],
  [60, 111.412, 55.8],
  [75, 111.618, 28.902],
])('a degree at %f° north', (latDeg, northKm, eastKm) => {
  const { northM, eastM } = metresInDegree(latDeg);
  expect(northM / 1000).toBeCloseTo(northKm, 2);
  expect(eastM / 1000).toBeCloseTo(eastKm, 2);
});

test('the long side runs along its bearing: to the north, to the east, and between', () => {
  const place = { latDeg: 52, lonDeg: -1.5, bearingDeg: 0 };
  const north = { latDeg: 52 + 60 / metresInDegree(52).northM, lonDeg: -1.5 };
  const east = { latDeg: 52, lonDeg: -1.5 + 60 / metresInDegree(52).eastM };
  const close = (xM: number, yM: number) => ({ xM: expect.closeTo(xM, 6), yM: expect.closeTo(yM, 6) });
  expect(sandFromEarth(place, north)).toEqual(close(0, 60));
  expect(sandFromEarth(place, east)).toEqual(close(60, 0));
  expect(sandFromEarth({ ...place, bearingDeg: 90 }, east)).toEqual(close(0, 60));
  expect(sandFromEarth({ ...place, bearingDeg: 90 }, north)).toEqual(close(-60, 0));
});

test('there and back again', () => {
  for (const bearingDeg of [0, 33, 90, 181, 359.5])
    for (const latDeg of [-35, 0.5, 61]) {
      const place = { latDeg, lonDeg: 12, bearingDeg };
      const back = sandFromEarth(place, earthFromSand(place, { xM: 13.37, yM: 41.5 }));
      expect(back.xM).toBeCloseTo(13.37, 5);
      expect(back.yM).toBeCloseTo(41.5, 5);
    }
});

test('there is no east at a pole', () => {
  expect(() => metresInDegree(90)).toThrow(RangeError);
  expect(() => metresInDegree(NaN)).toThrow(RangeError);
});

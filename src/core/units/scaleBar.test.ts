import { scaleBarOf } from './scaleBar';

test.each([
  ['a field, in metres', 35, 60, 'm', 10, '10 m'],
  ['one that is as wide', 30, 20, 'm', 10, '10 m'],
  ['a small sand', 20, 29, 'm', 5, '5 m'],
  ['in feet', 35, 60, 'ft', 9.144, '30 ft'],
  ['in yards', 35, 60, 'yd', 9.144, '10 yd'],
  ['a small one in feet', 20, 25, 'ft', 4.572, '15 ft'],
  ['and in yards', 20, 25, 'yd', 4.572, '5 yd'],
] as const)('%s', (_, widthM, lengthM, unit, barM, words) => {
  const bar = scaleBarOf({ widthM, lengthM }, unit);
  expect(bar).toEqual({ lengthM: expect.closeTo(barM, 9), words });
});

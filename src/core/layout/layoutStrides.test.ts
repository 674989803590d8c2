import type { LayoutHorse } from './layout';
import { laneStride, layoutStride, longestStrideM, settingAt } from './layoutStrides';

const tested = (normalM: number) => ({ shortM: normalM * 0.8, normalM, longM: normalM * 1.1 });
const horse = (strides: LayoutHorse['strides'], changes: Partial<LayoutHorse> = {}): LayoutHorse => ({
  ...{ id: 'h', name: 'Sorrel', heightM: 1.6, type: 'all-round', level: 'novice', strides },
  ...changes,
});
const ALL = horse({
  ...{ 'course-canter': tested(3.6), 'canter-poles': tested(3), 'trot-poles': tested(1.3), 'walk-poles': tested(0.8) },
  ...{ trot: tested(2.7), 'running-walk': tested(2.4) },
});

test.each([
  ['walk', 'course', 'canter', 'poles'],
  ['trot', 'grid', 'canter', 'poles'],
  ['running-walk', 'course', 'canter', 'poles'],
  ['canter', 'poles', 'trot', 'poles'],
  ['canter', 'course', 'canter', 'course'],
  ['course-canter', 'grid', 'canter', 'grid'],
  ['course-canter', 'course', 'trot', 'grid'],
] as const)('in %s a leg set as %s from a %s is read as %s', (gait, setting, approach, read) =>
  expect(settingAt(gait, { setting, approach })).toBe(read),
);

test('over poles each gait has its own step, on a course and in a grid the stride of the course', () => {
  const normal = (...[gait, setting]: [Parameters<typeof layoutStride>[1], Parameters<typeof layoutStride>[2]]) =>
    layoutStride(ALL, gait, setting)?.normalM;
  expect([normal('walk', 'poles'), normal('trot', 'poles')]).toEqual([0.8, 1.3]);
  expect([normal('canter', 'poles'), normal('course-canter', 'poles')]).toEqual([3, 3]);
  expect([normal('course-canter', 'course'), normal('canter', 'course'), normal('canter', 'grid')]).toEqual([
    3.6, 3.6, 3.6,
  ]);
});

test('a gaited gait has two steps a stride; where nobody entered it, it is not known', () => {
  const step = layoutStride(ALL, 'running-walk', 'poles')!;
  expect([step.shortM, step.normalM, step.longM]).toEqual([0.96, 1.2, 1.32].map(m => expect.closeTo(m, 9) as number));
  expect(layoutStride(ALL, 'fox-trot', 'poles')).toBeNull();
  expect(laneStride(ALL, 'fox-trot')).toBeNull();
});

test('in the lane a gait is what was tested there, else what is usual for the height', () => {
  expect(laneStride(ALL, 'trot')!.normalM).toBe(2.7);
  const [pony, large] = [1.2, 1.75].map(heightM => laneStride(horse({}, { heightM }), 'trot')!.normalM);
  expect(pony).toBeLessThan(large!);
  expect(laneStride(ALL, 'walk')).not.toBeNull();
});

test('a wide line is kept straight for the longest stride; for 12 ft where there is no horse', () => {
  expect(longestStrideM([ALL, horse({ 'course-canter': tested(3.9) })], 'course-canter')).toBe(3.9);
  expect(longestStrideM([], 'course-canter')).toBeCloseTo(12 * 0.3048, 2);
  expect(longestStrideM([ALL], 'fox-trot')).toBeCloseTo(12 * 0.3048, 2);
});

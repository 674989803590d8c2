import { breakTimes, overTheHour, stageTimes } from './lessonClock';

const stages = (...minutes: number[]) =>
  minutes.map((min, at) => ({ id: `s${at}`, name: `Stage ${at}`, minutes: min }));

test('stages lie one after the other on the clock', () => {
  expect(stageTimes(stages(10, 12, 8))).toEqual([
    { stageId: 's0', fromMin: 0, toMin: 10 },
    { stageId: 's1', fromMin: 10, toMin: 22 },
    { stageId: 's2', fromMin: 22, toMin: 30 },
  ]);
});

test('walk breaks lie between, never at the end', () => {
  const plan = (...minutes: number[]) => ({ stages: stages(...minutes) as never[], breakEveryMin: 10 });
  expect(breakTimes(plan(10, 12, 8))).toEqual([10, 20]);
  expect(breakTimes(plan(10, 12, 9))).toEqual([10, 20, 30]);
  expect(breakTimes(plan())).toEqual([]);
  expect(() => breakTimes({ ...plan(10), breakEveryMin: 0 })).toThrow(RangeError);
});

test('an hour is an hour', () => {
  expect(overTheHour(stages(10, 25, 25))).toBeNull();
  expect(overTheHour(stages(10, 31, 20))).toMatch(/^A minute over the hour: .*“Stage 1” \(31 min\)/);
  expect(overTheHour(stages(10, 30, 28))).toMatch(/^8 minutes over/);
  expect(overTheHour([])).toBeNull();
});

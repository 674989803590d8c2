import { seededRandom, simulateRide } from '@/core';
import { readFootfalls, writeFootfalls } from './footfallCsv';

test('what is written reads back, to the millimetre', () => {
  const ride = simulateRide({ gait: 'trot', strideM: 2.6, laneM: 20, spread: 0.02 }, seededRandom(5));
  const read = readFootfalls(writeFootfalls(ride));
  if (!read.ok) throw new Error(read.reason);
  expect(read.landings).toHaveLength(ride.length);
  read.landings.forEach(({ timeS, foot, xM, yM }, index) => {
    const source = ride[index]!;
    expect(foot).toBe(source.foot);
    expect(timeS).toBeCloseTo(source.timeS, 3);
    expect(xM).toBeCloseTo(source.xM!, 3);
    expect(yM).toBeCloseTo(source.yM!, 3);
  });
});

test('a sensor that knows no places, with columns of its own, another order, and a byte order mark', () => {
  const read = readFootfalls('\uFEFFfoot,Time_S,force\nlf,0.1,900\nRH,0.4,\n\n');
  expect(read).toEqual({
    ok: true,
    landings: [
      { timeS: 0.1, foot: 'LF', xM: null, yM: null },
      { timeS: 0.4, foot: 'RH', xM: null, yM: null },
    ],
  });
});

test.each([
  ['', 'time_s'],
  ['time_s,foot\n', 'no footfalls'],
  ['time_s\n1', '“foot”'],
  ['time_s,foot\n0.1,LF\nsoon,RF', 'Line 3: “time_s” is no time'],
  ['time_s,foot\n-1,LF', 'Line 2: “time_s”'],
  ['time_s,foot\n0.1,left', 'Line 2: “foot” is one of LF, RF, LH, RH'],
  ['time_s,foot,x_m\n0.1,LF,far', 'Line 2: “x_m” is no length'],
  ['time_s,foot,x_m\n0.1,LF,1e999', 'Line 2: “x_m”'],
])('%j is refused with a line', (text, words) => {
  const read = readFootfalls(text);
  expect(read.ok ? 'read' : read.reason).toContain(words);
});

import { seededRandom } from '../statistics/seededRandom';
import { countInLane, FEET, simulateRide, type SimulatedGait } from './simulateRide';

const ride = (gait: SimulatedGait, strideM: number, seed = 1, spread = 0.02) =>
  simulateRide({ gait, strideM, laneM: 20, spread }, seededRandom(seed));

test('the same seed gives the same ride, another seed another', () => {
  expect(ride('trot', 2.5)).toEqual(ride('trot', 2.5));
  expect(ride('trot', 2.5, 1)).not.toEqual(ride('trot', 2.5, 2));
});

test.each(['walk', 'trot', 'canter'] as const)(
  'at %s every foot lands once a stride, and the counts fit the stride',
  gait => {
    for (const foot of FEET) {
      const counts = Array.from({ length: 60 }, (_, seed) => countInLane(ride(gait, 2.5, seed), foot, 20));
      // Twenty metres hold eight strides of 2.5 m.
      expect(counts.every(count => count >= 7 && count <= 9)).toBe(true);
      expect(counts.reduce((a, b) => a + b, 0) / 60).toBeCloseTo(8, 0);
    }
  },
);

test('trot: the diagonal feet land together; walk: one after the other', () => {
  const times = (gait: SimulatedGait) => {
    const of = (foot: string) => ride(gait, 2.5).find(landing => landing.foot === foot)!.timeS;
    return { LH: of('LH'), RF: of('RF'), RH: of('RH'), LF: of('LF') };
  };
  const trot = times('trot');
  expect(trot.LH).toBe(trot.RF);
  expect(trot.RH).toBe(trot.LF);
  expect(new Set(Object.values(times('walk'))).size).toBe(4);
});

test('speed is length times rate (Clayton 1994, from memory): a working trot stride of 2.73 m at 1.33 a second is 218 m/min', () => {
  const landings = ride('trot', 2.73, 3, 0).filter(({ foot }) => foot === 'LF');
  const [first, last] = [landings[0]!, landings[landings.length - 1]!];
  const speedMPerMin = ((last.xM! - first.xM!) / (last.timeS - first.timeS)) * 60;
  expect(speedMPerMin).toBeCloseTo(217.9, 1);
});

test('where nobody knows the place, every landing counts', () => {
  const landings = [0, 1, 2].map(timeS => ({ timeS, foot: 'LF' as const, xM: null, yM: null }));
  expect(countInLane(landings, 'LF', 20)).toBe(3);
});

test('impossible rides are refused', () => {
  expect(() => ride('trot', 0)).toThrow(RangeError);
  expect(() => ride('trot', 2, 1, 0.9)).toThrow(RangeError);
});

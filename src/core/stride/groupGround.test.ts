import fc from 'fast-check';
import type { Pole } from '../items/pole';
import type { DistanceCase } from './distanceRule';
import { groupGround } from './groupGround';
import { readCount } from './readDistance';

const pole: Pole = {
  kind: 'pole',
  id: 'p',
  name: null,
  at: { xM: 0, yM: 0 },
  headingRad: 0,
  lengthM: 3,
  raised: { leftM: 0, rightM: 0 },
};
const poles: DistanceCase = { school: 'whole-stride', setting: 'poles', approach: 'canter', from: pole, to: pole };
const horse = (normalM: number) => ({ shortM: normalM * 0.75, normalM, longM: normalM * 1.12 });
const isServed = (word: string) => ['quiet', 'easy', 'forward'].includes(word);

test('one horse gets its own stride', () => {
  expect(groupGround(0, poles, [horse(1.37)])).toMatchObject({ groundM: expect.closeTo(1.37, 4), served: 1 });
});

test('two horses alike enough meet at the geometric mean, as far off for one as for the other', () => {
  const group = groupGround(0, poles, [horse(1.3), horse(1.4)])!;
  expect(group.groundM).toBeCloseTo(Math.sqrt(1.3 * 1.4), 3);
  expect(group.horses.map(({ word }) => word)).toEqual(['forward', 'quiet']);
});

test('as good as an exhaustive search, every two millimetres', () => {
  const normal = fc.integer({ min: 900, max: 1600 }).map(mm => mm / 1000);
  fc.assert(
    fc.property(fc.array(normal, { minLength: 1, maxLength: 6 }), normals => {
      const horses = normals.map(horse);
      let most = 0;
      let leastOff = Infinity;
      for (let groundM = 0.8; groundM < 1.9; groundM += 0.002) {
        const readings = horses.map(h => readCount(groundM, 0, poles, h)!);
        const served = readings.filter(({ word }) => isServed(word)).length;
        const off = Math.max(...readings.map(({ q }) => Math.abs(Math.log(q))));
        if (served > most || (served === most && off < leastOff)) [most, leastOff] = [served, off];
      }
      const group = groupGround(0, poles, horses)!;
      expect(group.served).toBeGreaterThanOrEqual(most);
      const off = Math.max(...group.horses.map(({ q }) => Math.abs(Math.log(q))));
      if (group.served === most) expect(off).toBeLessThan(leastOff + 0.002);
    }),
    { numRuns: 25, seed: 20261124, endOnFailure: true },
  );
});

test('refuses an empty group', () => expect(() => groupGround(0, poles, [])).toThrow(RangeError));

import fc from 'fast-check';
import { defaultStride } from './defaultStrides';
import { strideCertainty, profileStride, type HorseProfile } from './strideProfile';

// Common practice, no source: strides by height at the withers.
test.each([
  { heightM: 1.1, course: 2.6, canter: 2.2, trot: 0.95, walk: 0.65 },
  { heightM: 1.27, course: 3.05, canter: 2.55, trot: 1.1, walk: 0.72 },
  { heightM: 1.48, course: 3.5, canter: 2.9, trot: 1.28, walk: 0.82 },
  { heightM: 1.6, course: 3.66, canter: 3.05, trot: 1.37, walk: 0.86 },
  { heightM: 1.8, course: 3.85, canter: 3.35, trot: 1.5, walk: 0.94 },
])('a horse of $heightM m', ({ heightM, course, canter, trot, walk }) => {
  const normal = (entry: Parameters<typeof defaultStride>[0]) => defaultStride(entry, heightM, 'all-round')?.normalM;
  expect(normal('course-canter')).toBeCloseTo(course, 12);
  expect(normal('canter-poles')).toBeCloseTo(canter, 12);
  expect(normal('trot-poles')).toBeCloseTo(trot, 12);
  expect(normal('walk-poles')).toBeCloseTo(walk, 12);
});

const MEDIUM_M = 1.6;

test('a medium horse: the trot step is 4 ft 6 in, the course canter 12 ft, the canter over poles 10 ft', () => {
  // Common practice, no source; in exact feet, to the centimetre the trade works to.
  expect(defaultStride('trot-poles', MEDIUM_M, 'all-round')!.normalM).toBeCloseTo(4.5 * 0.3048, 2);
  expect(defaultStride('course-canter', MEDIUM_M, 'all-round')!.normalM).toBeCloseTo(12 * 0.3048, 2);
  expect(defaultStride('canter-poles', MEDIUM_M, 'all-round')!.normalM).toBeCloseTo(10 * 0.3048, 2);
});

test('half of the published working trot stride, 2.73 m, is that step (Clayton 1994, Equine Vet. J. 26, from memory)', () => {
  const stepM = defaultStride('trot-poles', MEDIUM_M, 'all-round')!.normalM;
  expect(Math.abs(stepM / (2.73 / 2) - 1)).toBeLessThan(0.005);
});

test('lane strides lie within the published collected to extended (Clayton 1994 and 1995, from memory)', () => {
  const lane = (entry: 'walk' | 'trot' | 'canter') => defaultStride(entry, MEDIUM_M, 'all-round')!.normalM;
  expect(lane('walk')).toBeGreaterThan(1.57);
  expect(lane('walk')).toBeLessThan(1.93);
  expect(lane('trot')).toBeGreaterThan(2.5);
  expect(lane('trot')).toBeLessThan(3.26);
  expect(lane('canter')).toBeGreaterThan(2.0);
  expect(lane('canter')).toBeLessThan(2.94);
});

test('a quiet lane canter: eight strides in 60 ft, to within one (common practice, no source)', () => {
  const strideM = defaultStride('canter', MEDIUM_M, 'all-round')!.normalM;
  expect(Math.abs((60 * 0.3048) / strideM - 8)).toBeLessThan(1);
});

test('one-stride in-and-outs of 20, 22 and 24 ft for small, medium and large show ponies, within 5 % (from memory)', () => {
  // Whole-stride school: one stride needs two strides of ground. Pony classes end at 12.2, 13.2 and 14.2 hands.
  for (const { heightM, feet } of [
    { heightM: 1.27, feet: 20 },
    { heightM: 1.37, feet: 22 },
    { heightM: 1.48, feet: 24 },
  ]) {
    const groundM = 2 * defaultStride('course-canter', heightM, 'pony')!.normalM;
    expect(Math.abs(groundM / (feet * 0.3048) - 1)).toBeLessThan(0.05);
  }
});

test.each([
  { type: 'cob' as const, factor: 0.94 },
  { type: 'blood' as const, factor: 1.03 },
  { type: 'warmblood' as const, factor: 1.05 },
])('a $type strides $factor of the table', ({ type, factor }) => {
  expect(defaultStride('canter-poles', MEDIUM_M, type)!.normalM).toBeCloseTo(3.05 * factor, 12);
});

test('a horse shortens by a quarter on the flat, by 15 % between fences, and lengthens by 12 %', () => {
  const flat = defaultStride('trot', MEDIUM_M, 'all-round')!;
  const course = defaultStride('course-canter', MEDIUM_M, 'all-round')!;
  expect(flat.shortM / flat.normalM).toBeCloseTo(0.75, 12);
  expect(course.shortM / course.normalM).toBeCloseTo(0.85, 12);
  expect(course.longM / course.normalM).toBeCloseTo(1.12, 12);
});

test('strides grow with height without a jump, and stay level beyond the ends of the table', () => {
  const height = fc.double({ min: 0.6, max: 2.19, noNaN: true });
  fc.assert(
    fc.property(height, fc.constantFrom('trot-poles' as const, 'course-canter' as const), (heightM, entry) => {
      const here = defaultStride(entry, heightM, 'all-round')!.normalM;
      const taller = defaultStride(entry, heightM + 0.01, 'all-round')!.normalM;
      expect(taller).toBeGreaterThanOrEqual(here - 1e-12);
      expect(taller - here).toBeLessThan(0.03);
    }),
  );
  expect(defaultStride('walk-poles', 0.8, 'pony')!.normalM).toBe(0.65);
  expect(defaultStride('walk-poles', 2.1, 'warmblood')!.normalM).toBeCloseTo(0.94 * 1.05, 12);
});

test('gaited gaits have no default, and impossible heights are refused', () => {
  expect(defaultStride('fox-trot', 1.5, 'gaited')).toBeNull();
  expect(() => defaultStride('walk', Number.NaN, 'pony')).toThrow(RangeError);
  expect(() => defaultStride('walk', 3, 'pony')).toThrow(RangeError);
});

test("a horse's own stride wins over the default, entry by entry", () => {
  const horse: HorseProfile = {
    heightM: 1.6,
    type: 'all-round',
    strides: { 'trot-poles': { shortM: 1, normalM: 1.25, longM: 1.4, source: 'typed' } },
  };
  expect(profileStride(horse, 'trot-poles')).toMatchObject({ normalM: 1.25, source: 'typed' });
  expect(profileStride(horse, 'trot')).toMatchObject({ normalM: 2.74, source: 'default' });
  expect(profileStride(horse, 'pace')).toBeNull();
});

// Speeds of practice, m/min (common practice, no source), against the default stride × the published stride rates
// (Clayton 1994 and 1995, from memory): walk 0.87 to 0.94, trot 1.28 to 1.39, canter 1.64 to 1.72 strides a second.
test.each([
  { entry: 'walk' as const, ratesHz: [0.87, 0.94], speed: 100 },
  { entry: 'trot' as const, ratesHz: [1.28, 1.39], speed: 220 },
  { entry: 'canter' as const, ratesHz: [1.64, 1.72], speed: 235 },
  { entry: 'canter-poles' as const, ratesHz: [1.64, 1.72], speed: 300 },
  { entry: 'course-canter' as const, ratesHz: [1.64, 1.72], speed: 350 },
])('$entry: stride × rate gives $speed m/min, within 4 %', ({ entry, ratesHz, speed }) => {
  const [slow, fast] = ratesHz.map(rateHz => defaultStride(entry, MEDIUM_M, 'all-round')!.normalM * rateHz * 60);
  expect(slow! * 0.96).toBeLessThan(speed);
  expect(fast! * 1.04).toBeGreaterThan(speed);
});

test('how sure a stride is: a guess within 10 %, typed within 5 %, tested by its own interval (common practice, no source)', () => {
  const stride = { shortM: 3, normalM: 4, longM: 4.4 };
  expect(strideCertainty({ ...stride, source: 'default' })).toEqual({ lowM: 3.6, highM: 4.4 });
  expect(strideCertainty({ ...stride, source: 'typed' })).toEqual({ lowM: 3.8, highM: 4.2 });
  const interval = { lowM: 3.95, highM: 4.06 };
  expect(strideCertainty({ ...stride, source: 'tested', interval })).toEqual(interval);
});

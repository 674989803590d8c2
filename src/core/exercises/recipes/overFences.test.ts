import type { Arena } from '../../arena/arena';
import { distanceM } from '../../geometry/pointM';
import { ridingDepthM } from '../../items/footprint';
import { isRidden } from '../../items/item';
import { reckonLayout } from '../../layout/reckonLayout';
import type { ExerciseParams } from '../exercise';
import { layOutExercise } from '../layOutExercise';
import { findRecipe } from '../shelf';
import { stageLayout } from '../stageLayout';
import { TWELVE_FT } from '../testHorse';

const FT = 0.3048;
const FIELD: Arena = { widthM: 35, lengthM: 70, letters: 'none' };
const GROUND = { arena: FIELD, school: 'whole-stride', horses: [TWELVE_FT] } as const;

const lay = (kind: string, changes: ExerciseParams = {}) => {
  const recipe = findRecipe(kind)!;
  return layOutExercise(recipe, GROUND, { rein: 'left', params: { ...recipe.wishes(GROUND)[0]!, ...changes } })
    .exercise;
};
type Laid = ReturnType<typeof lay>;
const ridden = ({ items }: Laid) => items.filter(isRidden);
/** From the back of each to the front of the next, in a straight line, metres. */
const gapsM = (laid: Laid) =>
  ridden(laid)
    .slice(1)
    .map((item, i) => {
      const before = ridden(laid)[i]!;
      return distanceM(item.at, before.at) - (ridingDepthM(item) + ridingDepthM(before)) / 2;
    });
/** What lies on each stage, and what is asked in its legs. */
const stagesOf = (laid: Laid) =>
  laid.stages.map(stage => {
    const layout = stageLayout('', laid, GROUND, stage);
    const track = layout.tracks.find(({ kind }) => kind === 'items');
    return {
      forms: layout.items.filter(isRidden).map(item => (item.kind === 'fence' ? item.form : item.kind)),
      asked: track?.kind === 'items' ? track.legs.map(({ asked }) => asked) : [],
      gait: track?.gait,
    };
  });
const feet = (...lengths: number[]) => lengths.map(ft => expect.closeTo(ft * FT, 6));
const lengthOf = ({ facts }: Laid, what: string) => facts.find(fact => fact.what === what)!.lengthM;

// Between fences n strides want n + 1 of the horse's own (common practice, no source): 24 ft for one, 36 ft for two.
test.each([
  ['a double of one', { first: 1, second: 0 }, [24]],
  ['a double of two', { first: 2, second: 0 }, [36]],
  ['a treble of one and two', { first: 1, second: 2 }, [24, 36]],
  ['a treble of one and one', { first: 1, second: 1 }, [24, 24]],
  ['where a gap is typed', { first: 1, second: 2, gapsM: [7, 0] }, [7 / FT, 36]],
] as const)('%s', (_, asked, gaps) => {
  const laid = lay('combination', asked as unknown as ExerciseParams);
  expect(gapsM(laid)).toEqual(feet(...gaps));
  expect(laid.facts.map(({ lengthM }) => lengthM)).toEqual(feet(...gaps));
  const last = ridden(laid).at(-1)!;
  expect(last).toMatchObject({ form: 'oxer', ridden: 'one-way', spreadM: 0.6, heightM: 0.6 });
  const counts = gaps.length === 1 ? [asked.first] : [asked.first, asked.second];
  expect(stagesOf(laid)).toEqual([
    { forms: ['vertical'], asked: [], gait: 'course-canter' },
    { forms: ridden(laid).map(() => 'cross-rail'), asked: counts, gait: 'course-canter' },
    { forms: [...counts.map(() => 'vertical'), 'oxer'], asked: counts, gait: 'course-canter' },
  ]);
  expect(laid.tracks[0]!.passes).toBe(3);
});

test('one stride more makes a double a treble, and leaves a treble as it is', () => {
  const { oneMore } = findRecipe('combination')!;
  expect(oneMore!({ first: 2, second: 0, gapsM: [], heightM: 0.6, heightsM: [] })).toMatchObject({
    first: 2,
    second: 1,
  });
  expect(oneMore!({ first: 1, second: 2, gapsM: [], heightM: 0.6, heightsM: [] })).toMatchObject({
    first: 1,
    second: 2,
  });
});

// A track needs a straight stride after landing and two before take-off (common practice, no source); five strides want 72 ft.
test('a bending line: straight for a stride, an arc, straight for two, as long as the count wants', () => {
  const laid = lay('bending-line', { strides: 5, turnDeg: 45, distanceM: 0 });
  const [first, second] = ridden(laid);
  const [layout] = [stageLayout('', laid, GROUND, laid.stages.at(-1)!)];
  const [track] = reckonLayout(layout);
  if (track?.kind !== 'items') throw new Error('ridden over fences');
  const [leg] = track.legs;
  expect(lengthOf(laid, 'along the wide track')).toBeCloseTo(72 * FT, 6);
  expect(leg!.trackM).toBeCloseTo(72 * FT, 3);
  expect(leg!.straightOutM).toBeCloseTo(12 * FT, 3);
  expect(leg!.straightInM).toBeCloseTo(24 * FT, 3);
  // An arc of 36 ft through 45°.
  expect(leg!.smallestRadiusM).toBeCloseTo((36 * FT) / (Math.PI / 4), 3);
  expect(second!.headingRad - first!.headingRad).toBeCloseTo(Math.PI / 4, 9);
  expect(lengthOf(laid, 'straight from one to the other')).toBeCloseTo(distanceM(first!.at, second!.at), 9);
  expect(stagesOf(laid)).toEqual([
    { forms: ['cross-rail', 'cross-rail'], asked: [5], gait: 'course-canter' },
    { forms: ['vertical', 'vertical'], asked: [5], gait: 'course-canter' },
  ]);
  // Typed, the arc takes what is over.
  expect(lengthOf(lay('bending-line', { distanceM: 25 }), 'along the wide track')).toBe(25);
});

test('two poles on a circle: half of it is the count and one more, and the same is asked on both halves', () => {
  // A circle of 20 m at the most has room for nine strides of 10 ft on each half: 100 ft.
  const laid = lay('two-poles-on-circle');
  expect(lengthOf(laid, 'round each half')).toBeCloseTo(100 * FT, 6);
  expect(lengthOf(laid, 'straight across from one to the other')).toBeCloseTo((200 * FT) / Math.PI, 6);
  const [first, second] = ridden(laid);
  expect(distanceM(first!.at, second!.at)).toBeCloseTo((200 * FT) / Math.PI, 6);
  expect([(first!.at.xM + second!.at.xM) / 2, (first!.at.yM + second!.at.yM) / 2]).toEqual([
    expect.closeTo(17.5, 6),
    expect.closeTo(35, 6),
  ]);
  expect(laid.stand).toEqual({ xM: expect.closeTo(17.5, 6) as number, yM: expect.closeTo(35, 6) as number });
  expect(stagesOf(laid)).toEqual([
    { forms: ['pole', 'pole'], asked: [null, null], gait: 'trot' },
    { forms: ['pole', 'pole'], asked: [9, 9], gait: 'canter' },
  ]);
  const counts = findRecipe('two-poles-on-circle')!
    .wishes(GROUND)
    .map(({ strides }) => strides);
  expect(counts).toEqual([9, 8, 7]);
});

test('two fences on a circle: as poles, as cross-rails, then as they are', () => {
  // Seven strides of 12 ft on half a circle of 20 m: 96 ft of 103.
  const laid = lay('two-fences-on-circle');
  expect(lengthOf(laid, 'round each half')).toBeCloseTo(96 * FT, 6);
  expect(stagesOf(laid)).toEqual([
    { forms: ['pole', 'pole'], asked: [null, null], gait: 'course-canter' },
    { forms: ['cross-rail', 'cross-rail'], asked: [7, 7], gait: 'course-canter' },
    { forms: ['vertical', 'vertical'], asked: [7, 7], gait: 'course-canter' },
  ]);
  expect(lengthOf(lay('two-fences-on-circle', { radiusM: 8 }), 'round each half')).toBeCloseTo(8 * Math.PI, 9);
});

test('one canter pole on a circle: its count, two more, then one fewer', () => {
  // A circle of 19 m at the most: 18 strides of 10 ft and the one over the pole are 190 ft of 196.
  const laid = lay('canter-pole-three-strides');
  expect(lengthOf(laid, 'radius of the circle')).toBeCloseTo((190 * FT) / (2 * Math.PI), 6);
  expect(stagesOf(laid).map(({ asked }) => asked)).toEqual([[18], [20], [17]]);
  expect(ridden(laid)).toHaveLength(1);
  const counts = findRecipe('canter-pole-three-strides')!
    .wishes(GROUND)
    .map(({ strides }) => strides);
  expect(counts).toEqual([18, 17, 16, 15]);
  expect(lengthOf(lay('canter-pole-three-strides', { radiusM: 7 }), 'radius of the circle')).toBe(7);
});

// Common practice, no source: the canter pole 9 ft before, the ground line 0.2 to 0.4 m out, the landing pole about 3 m behind.
test('a single fence with its placing pole, its ground line and its landing pole', () => {
  const laid = lay('single-fence');
  const [placing, landing] = gapsM(laid);
  expect(placing).toBeCloseTo(9 * FT, 6);
  expect(landing).toBeCloseTo(3, 1);
  const [, fence] = ridden(laid);
  if (fence?.kind !== 'fence') throw new Error('a fence in the middle');
  expect(fence.groundLineBeforeM).toBeGreaterThanOrEqual(0.2);
  expect(fence.groundLineBeforeM).toBeLessThanOrEqual(0.4);
  expect(laid.facts.map(({ lengthM }) => lengthM)).toEqual(
    [placing, fence.groundLineBeforeM, landing].map(lengthM => expect.closeTo(lengthM!, 9)),
  );
  expect(stagesOf(laid).map(({ forms }) => forms)).toEqual([
    ['pole'],
    ['pole', 'cross-rail', 'pole'],
    ['pole', 'vertical', 'pole'],
  ]);
  // Up the quarter line, the whole of it in the middle of the arena.
  expect(fence.at.xM).toBeCloseTo(26.25, 9);
  const ys = ridden(laid).map(({ at }) => at.yM);
  expect((ys[0]! + ys.at(-1)!) / 2).toBeCloseTo(35, 9);
});

test('poles that are not wanted are left out, and lengths that are typed are taken', () => {
  const without = (changes: ExerciseParams) => ridden(lay('single-fence', changes)).map(({ kind }) => kind);
  expect(without({ placingPole: false })).toEqual(['fence', 'pole']);
  expect(without({ landingPole: false })).toEqual(['pole', 'fence']);
  expect(gapsM(lay('single-fence', { placingM: 2.5, landingM: 3.4 }))).toEqual([
    expect.closeTo(2.5, 9),
    expect.closeTo(3.4, 9),
  ]);
  const { typed } = findRecipe('single-fence')!;
  const params = findRecipe('single-fence')!.wishes(GROUND)[0]!;
  expect(typed!(params, 0, 2.6)).toMatchObject({ placingM: 2.6, landingM: 0 });
  expect(typed!(params, 1, 3.2)).toMatchObject({ placingM: 0, landingM: 3.2 });
  expect(typed!({ ...params, placingPole: false }, 0, 3.2)).toMatchObject({ placingM: 0, landingM: 3.2 });
});

test('fences to learn on are low, and lower for ponies', () => {
  const heightOf = (heightM: number) =>
    findRecipe('single-fence')!.wishes({ ...GROUND, horses: [{ ...TWELVE_FT, heightM }] })[0]!.heightM;
  expect([heightOf(1.2), heightOf(1.29), heightOf(1.3), heightOf(1.7)]).toEqual([0.4, 0.4, 0.6, 0.6]);
});

test('what is taught is said: how often, from what, and when it fails', () => {
  const guidance = (kind: string) => findRecipe(kind)!.guidance;
  const { failure, knowFirst, level } = guidance('two-fences-on-circle');
  expect([failure, knowFirst, level]).toEqual(['a stage down', ['Two poles on a circle'], 'novice']);
  expect(guidance('two-poles-on-circle')).toMatchObject({
    level: 'green',
    cautions: [],
    failure: 'same question again',
  });
  for (const kind of ['combination', 'bending-line', 'two-fences-on-circle', 'single-fence'])
    expect([kind, lay(kind).tracks[0]!.passes]).toEqual([kind, guidance(kind).repetitions.eachRein]);
});

import { findRecipe } from '../exercises/shelf';
import { USUAL_GATE } from '../lesson/stageGate';
import type { PassMark, TappedMark } from '../record/passMark';
import { riddenGround } from '../review/ground';
import { reviewPass, type ReviewPass } from '../review/reviewPass';
import { testExercise, testPasses, testStep } from '../suggest/testPairs';
import { testFence, testLayout } from '../layout/testLayout';
import { dayNumber, dayOfNumber } from '../words/calendarDay';
import type { Rein } from '../track/rein';
import type { GoalMeasure } from './goal';
import { goalProgress, type GoalRecord } from './goalProgress';

const day = dayNumber('2026-11-20');
// Eighteen metres between the fences: four strides of 3.62 m and two of 1.83 m to land and take off (common practice).
const layout = testLayout([testFence('a', 15, 15, 0), testFence('b', 15, 33.1, 0)], { legs: [{ asked: 5 }] });
const track = layout.tracks[0]!;
const QUESTION = {
  ...{ id: 'q', name: null, what: { kind: 'track' as const, trackId: track.id }, gait: 'course-canter' as const },
  ...{ state: { out: [], asPole: [], raisedM: {}, heightM: {}, form: {} }, rein: null, asked: [5] },
};
let made = 0;

/** A pass of so many days ago with some marks. */
function pass(daysAgo: number, rein: Rein, ...marks: TappedMark[]): ReviewPass {
  const own = marks.map((mark, order) => ({ id: `m${(made += 1)}-${order}`, ...mark }) as PassMark);
  const record = {
    ...{ id: `p${made}`, pairId: 'p', layoutVersionId: 'v', lessonId: null, stageId: null, stage: '', rein },
    ...{ direction: 'as-drawn' as const, riddenAtMs: (day - daysAgo) * 86_400_000, marks: own, question: QUESTION },
  };
  return reviewPass(
    record,
    riddenGround(layout),
    { questionWords: 'the line', key: 'line' },
    dayOfNumber(day - daysAgo),
  );
}
const many = (times: number, one: () => ReviewPass) => Array.from({ length: times }, one);
const strides = (count: number): TappedMark => ({ kind: 'strides', place: 1, count });

function progress(measure: GoalMeasure | null, record: Partial<GoalRecord>) {
  return goalProgress(
    { measure },
    {
      ...{ day, passes: [], ridden: [], rule: USUAL_GATE, thoughtM: () => 3.62 },
      factsOf: exercise => (findRecipe(exercise) ? testExercise(exercise, 3) : null),
      ...record,
    },
  );
}

test('a goal that nothing tells of is the instructor’s to say', () =>
  expect(progress(null, {})).toMatchObject({ state: 'unmeasured', now: null }));

describe('one stride more when it is asked', () => {
  const measure: GoalMeasure = { kind: 'count', way: 'more', share: 0.7 };
  const rode = (five: number, four: number) => [
    ...many(five, () => pass(3, 'left', strides(5))),
    ...many(four, () => pass(3, 'right', strides(4))),
  ];
  // Wilson’s interval of 16 of 20 is 0.584 to 0.919, of 40 of 44 0.789 to 0.964 (by the formula, worked by hand).
  test('is on the way, looks reached, and is reached when even its lower end is as wanted', () => {
    expect(progress(measure, { passes: rode(7, 5) })).toMatchObject({ state: 'on the way' });
    const looks = progress(measure, { passes: rode(16, 4) });
    expect(looks).toMatchObject({ state: 'looks reached', now: 0.8 });
    expect(looks.low).toBeCloseTo(0.584, 3);
    expect(looks.words).toContain('16 of 20 asked counts of one more ridden');
    expect(progress(measure, { passes: rode(40, 4) })).toMatchObject({ state: 'reached' });
  });
  test('seven tell nothing, and nor does what lies six weeks back', () => {
    expect(progress(measure, { passes: rode(7, 0) })).toMatchObject({ state: 'too little', now: null });
    const old = many(20, () => pass(42, 'left', strides(5)));
    expect(progress(measure, { passes: old }).state).toBe('too little');
  });
});

describe('one rein as good as the other', () => {
  const measure: GoalMeasure = { kind: 'rein', measure: 'asked counts ridden', rein: 'left', gait: 'canter' };
  const rode = (left: [number, number], right: [number, number]) =>
    (
      [
        ['left', left],
        ['right', right],
      ] as const
    ).flatMap(([rein, [of, hits]]) => [
      ...many(hits, () => pass(3, rein, strides(5))),
      ...many(of - hits, () => pass(3, rein, strides(4))),
    ]);
  test('is reached when it is surely not worse by more than a fifth', () => {
    expect(progress(measure, { passes: rode([40, 36], [40, 37]) })).toMatchObject({ state: 'reached' });
    expect(progress(measure, { passes: rode([10, 9], [10, 9]) })).toMatchObject({ state: 'looks reached' });
    const worse = progress(measure, { passes: rode([20, 8], [20, 18]) });
    expect(worse).toMatchObject({ state: 'on the way', now: 0.5 });
    expect(worse.words).toMatch(/8 of 20 on the left rein, 18 of 20 on the right; .* \d+ % worse and \d+ % worse/);
  });
  test('each question with itself: what was asked harder on the left says nothing against it', () => {
    const asked = (key: string, left: [number, number], right: [number, number]) =>
      rode(left, right).map(one => ({ ...one, key }));
    // A quarter of the hard ones and three quarters of the easy ones on either rein; the hard ones mostly on the left.
    const passes = [...asked('hard', [40, 10], [4, 1]), ...asked('easy', [4, 3], [40, 30])];
    expect(progress(measure, { passes })).toMatchObject({ state: 'looks reached', now: 1 });
  });
  test('another gait says nothing of it', () =>
    expect(progress({ ...measure, gait: 'trot' }, { passes: rode([40, 36], [40, 37]) }).state).toBe('too little'));
});

describe('a stage to be earned', () => {
  const measure: GoalMeasure = { kind: 'stage', exercise: 'grid', stage: 1 };
  const at = (stage: number, left: [number, number]) =>
    progress(measure, { ridden: [testStep('grid', stage, day - 5, testPasses(left, [2, 2]))] });
  test('is half way when the first of two was earned, and reached at the gate of the second', () => {
    expect(at(0, [2, 2])).toMatchObject({ state: 'on the way', now: 0.5 });
    expect(at(1, [2, 1])).toMatchObject({ state: 'on the way', now: 0.5 });
    expect(at(1, [2, 2])).toMatchObject({ state: 'reached', now: 1 });
    expect(progress(measure, {}).state).toBe('too little');
  });
});

test('what is for a purpose, clean so often', () => {
  const ridden = [testStep('trot-poles', 0, day - 5, testPasses([20, 20], [20, 19]))];
  expect(progress({ kind: 'clean', purpose: 'rhythm', share: 0.8 }, { ridden }).state).toBe('reached');
  expect(progress({ kind: 'clean', purpose: 'confidence', share: 0.8 }, { ridden }).state).toBe('too little');
});

test('a head as wanted', () => {
  const passes = [
    ...many(30, () => pass(3, 'left', { kind: 'head', height: 'as wanted' })),
    ...many(2, () => pass(3, 'left', { kind: 'head', height: 'high' })),
  ];
  expect(progress({ kind: 'head', gait: null, share: 0.75 }, { passes })).toMatchObject({ state: 'reached' });
  expect(progress({ kind: 'head', gait: 'walk', share: 0.75 }, { passes })).toMatchObject({ state: 'too little' });
});

import { testHorse } from '../layout/testLayout';
import { riddenGround } from '../review/ground';
import { reviewPass, type ReviewPass } from '../review/reviewPass';
import { seededRandom } from '../statistics/seededRandom';
import { dayNumber, dayOfNumber } from '../words/calendarDay';
import { isLike, teachingMoves, type TaughtPair } from './teachingMoves';

const FIRST = dayNumber('2026-01-05');
const over = new Map([
  [
    'v',
    {
      layoutId: 'l',
      kinds: new Map([
        ['fan', 'fan'],
        ['circle', 'circle'],
        ['grid', 'grid'],
      ]),
    },
  ],
]);
const asked = (exercise: string) => ({
  kind: 'stage' as const,
  exerciseId: exercise,
  stage: 0,
  over: { kind: 'track' as const, trackId: 't' },
});
const STATE = { out: [], asPole: [], raisedM: {}, heightM: {}, form: {} };
let id = 0;

function pass(pairId: string, day: number, exercise: string, isClean: boolean): ReviewPass {
  id += 1;
  const question = {
    id: exercise,
    name: null,
    what: asked(exercise),
    state: STATE,
    gait: 'trot' as const,
    rein: null,
    asked: [],
  };
  const record = {
    ...{ id: `${id}`, pairId, layoutVersionId: 'v', lessonId: null, stageId: null, stage: '', rein: 'left' as const },
    ...{ direction: 'as-drawn' as const, riddenAtMs: id, question },
    marks: isClean ? [] : [{ id: `m${id}`, kind: 'fault' as const, place: null, fault: 'rush' }],
  };
  return reviewPass(record, riddenGround(null), { questionWords: exercise, key: exercise }, dayOfNumber(day));
}

/** A grid every week; a fan or a circle in between by chance. The fan makes the grid that much likelier clean, the circle nothing. */
function pairOf(name: string, seed: number, fanHelps: number, heightM = 1.63): TaughtPair {
  const random = seededRandom(seed);
  const passes: ReviewPass[] = [];
  let level = 0.5;
  for (let week = 0; week < 60; week += 1) {
    const monday = FIRST + 7 * week;
    for (let time = 0; time < 8; time += 1) passes.push(pass(name, monday, 'grid', random() < level));
    const isFan = random() < 0.5;
    for (let time = 0; time < 4; time += 1)
      passes.push(pass(name, monday + 3, isFan ? 'fan' : 'circle', random() < 0.7));
    // What it gained fades again, so that there is always something to gain.
    level = Math.max(0.15, Math.min(0.9, isFan ? level + fanHelps : level - fanHelps));
  }
  return { id: name, horse: testHorse(name, 3.5, heightM), passes };
}

test('an exercise after which others get better is found, with how much', () => {
  const { own } = teachingMoves([pairOf('a', 1, 0.15)], 'a', over);
  const fan = own.find(({ exercise }) => exercise === 'fan')!;
  expect(fan).toMatchObject({ holds: true, title: 'A fan of poles', pairs: 1 });
  // From a week with a fan to one with a circle it is at most twice 0.15, less where it comes to its bounds.
  expect(fan.difference).toBeGreaterThan(0.1);
  expect(fan.low).toBeGreaterThan(0);
  expect(fan.high).toBeLessThan(0.5);
});

test('where nothing moves anything, fewer than one season in twenty says so', () => {
  let alarms = 0;
  for (let seed = 1; seed <= 60; seed += 1)
    if (teachingMoves([pairOf('a', seed, 0)], 'a', over).own.some(({ holds }) => holds)) alarms += 1;
  expect(alarms).toBeLessThanOrEqual(3);
});

test('horses like it are looked at together, each compared with itself', () => {
  const pairs = [pairOf('a', 1, 0.06), pairOf('b', 2, 0.06), pairOf('c', 3, 0.06), pairOf('big', 4, 0.06, 1.9)];
  const big = { ...pairs[3]!, horse: { ...pairs[3]!.horse, level: 'advanced' as const } };
  const { own, alike, likePairs } = teachingMoves([...pairs.slice(0, 3), big], 'a', over);
  expect(likePairs).toBe(3);
  const width = (moves: typeof own) => {
    const fan = moves.find(({ exercise }) => exercise === 'fan')!;
    return fan.high - fan.low;
  };
  expect(width(alike)).toBeLessThan(width(own));
});

test('alike are horses of one level, and of like size or one type', () => {
  const horse = testHorse('a', 3.5, 1.6);
  expect(isLike(horse, { ...horse, heightM: 1.7, type: 'cob' })).toBe(true);
  expect(isLike(horse, { ...horse, heightM: 1.71, type: 'cob' })).toBe(false);
  expect(isLike(horse, { ...horse, heightM: 1.9 })).toBe(true);
  expect(isLike(horse, { ...horse, level: 'green' })).toBe(false);
});

test('too little says nothing, nor does a pair that is not there', () => {
  const few = pairOf('a', 1, 0.2);
  expect(teachingMoves([{ ...few, passes: few.passes.slice(0, 100) }], 'a', over).own).toEqual([]);
  expect(teachingMoves([few], 'nobody', over)).toEqual({ own: [], alike: [], likePairs: 0 });
});

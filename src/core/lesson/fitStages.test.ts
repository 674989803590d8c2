import { breakEvery, fitStages, lessonLevel, type StageToFit } from './fitStages';
import { warmUpStage } from './lesson';

const LINE = { rideMin: 0.5, hasReins: true, together: false };
const stage = (changes: Partial<StageToFit> = {}): StageToFit => ({
  stage: { ...warmUpStage('s'), eachRein: 2, policy: 'same question again', stop: { when: 'repetitions' } },
  ...{ rides: [LINE], level: 'novice', last: null, dayShare: 0 },
  ...changes,
});
const fitted = (changes: Partial<StageToFit>, ...levels: Parameters<typeof lessonLevel>[0]) =>
  fitStages([stage(changes)], levels)[0]!;

test('the horse that has learned least sets the level and the walk breaks', () => {
  expect(lessonLevel(['advanced', 'green', 'novice'])).toBe('green');
  expect(lessonLevel([])).toBe('novice');
  expect(breakEvery(['advanced', 'advanced'])).toBeGreaterThan(breakEvery(['advanced', 'green']));
});

test('an exercise above the horses is ridden once more and lowered where it fails; one far below them once less', () => {
  const hard = fitted({}, 'green');
  expect(hard.stage).toMatchObject({ eachRein: 3, policy: 'lower only what failed', minutes: 3 * 2 + 2 });
  expect(hard.why[0]).toContain('made for novice horses');
  expect(fitted({}, 'novice').stage).toMatchObject({ eachRein: 2, policy: 'same question again' });
  expect(fitted({ level: 'green' }, 'advanced').stage.eachRein).toBe(1);
});

test('what was earned last time comes once, what was not goes on, in the minutes it took', () => {
  expect(fitted({ last: { rode: 2, earned: 2, eachMin: null } }, 'novice', 'novice').stage.eachRein).toBe(1);
  const open = fitted({ last: { rode: 3, earned: 1, eachMin: 2 } }, 'novice', 'novice', 'novice');
  expect(open.why).toEqual(['Not earned last time by 2 of 3: here it goes on.']);
  expect(open.stage).toMatchObject({ eachRein: 2, minutes: 25 });
});

test('a warm-up stays as it is, and a stage that ends by the clock ends with its minutes', () => {
  const warmUp = warmUpStage('w');
  expect(fitStages([{ stage: warmUp, rides: [], level: null, last: null, dayShare: 0 }], ['green'])[0]!.stage).toEqual(
    warmUp,
  );
  const byClock = stage();
  byClock.stage.stop = { when: 'minutes', minutes: 10 };
  expect(fitStages([byClock], ['novice'])[0]!.stage).toMatchObject({
    minutes: 6,
    stop: { when: 'minutes', minutes: 6 },
  });
});

test('what is ridden most often is ridden less until the hour and the day hold, twice on each rein at least', () => {
  const five = () => {
    const one = stage({ dayShare: 0.1 });
    one.stage.eachRein = 5;
    return one;
  };
  const three = ['novice', 'novice', 'novice'] as const;
  const counts = (minutes: number, dayShare: number) =>
    fitStages([five(), five()], three, { minutes, dayShare }).map(({ stage: { eachRein } }) => eachRein);
  // Twenty minutes each would hold three pairs three times on each rein.
  expect(counts(40, Infinity)).toEqual([3, 3]);
  expect(counts(Infinity, 0.85)).toEqual([4, 4]);
  expect(counts(1, Infinity)).toEqual([2, 2]);
  expect(counts(Infinity, Infinity)).toEqual([5, 5]);
  const [first] = fitStages([five(), five()], three, { minutes: 40, dayShare: 1 });
  expect(first!.why.at(-1)).toMatch(/^3 instead of 5/);
});

test('what holds exactly holds: the hour to its last minute; of the day something is left over', () => {
  const one = () => {
    const made = stage({ dayShare: 0.25 });
    made.stage.eachRein = 4;
    return made;
  };
  const repetitions = (minutes: number, dayShare: number) =>
    fitStages([one()], ['novice'], { minutes, dayShare })[0]!.stage.eachRein;
  // Four times on each rein, a minute each with coming round, and two to say what comes: ten minutes.
  expect([repetitions(10, Infinity), repetitions(9, Infinity)]).toEqual([4, 3]);
  expect([repetitions(Infinity, 1), repetitions(Infinity, 1.01)]).toEqual([3, 4]);
});

test('an easier policy only where the horses are below what it is made for, and the question would be asked again', () => {
  const policyOf = (
    policy: 'same question again' | 'let it go',
    madeFor: 'green' | 'novice' | null,
    ...levels: Parameters<typeof lessonLevel>[0]
  ) => {
    const made = stage({ level: madeFor });
    made.stage.policy = policy;
    return fitStages([made], levels)[0]!.stage.policy;
  };
  expect(policyOf('same question again', 'novice', 'green')).toBe('lower only what failed');
  expect(policyOf('let it go', 'novice', 'green')).toBe('let it go');
  expect(policyOf('same question again', null, 'green')).toBe('same question again');
  expect(policyOf('same question again', 'green', 'novice')).toBe('same question again');
});

import { FAILURE_POLICIES } from '../exercises/exercise';
import type { TappedMark } from '../record/passMark';
import type { PassRecord } from '../record/passRecord';
import { testQuestion } from '../question/testQuestion';
import { afterFailure } from './afterFailure';
import { NO_GROUND } from './faultGround';
import { repeatedFaults } from './repeatedFault';
import { stageGate } from './stageGate';
import { firstImprovement, improvement } from './improvement';
import { stopHere } from './stopHere';
import { lessonPasses } from './testLesson';

const pass = lessonPasses(0);
const asked = (counts: number[], one: PassRecord): PassRecord => ({
  ...one,
  question: testQuestion('line', { asked: counts }),
});
const DOWN: TappedMark = { kind: 'fence', place: 2, outcome: 'down' };
const VOID: TappedMark = { kind: 'void' };
const nameOf = (place: number) => ['alder', 'heron', 'rowan'][place - 1] ?? '?';

describe('after a failure (common practice, no source: instructors differ, and the stage says which way)', () => {
  const told = (policy: (typeof FAILURE_POLICIES)[number], ...passes: PassRecord[]) =>
    afterFailure(policy, passes, nameOf);

  test('says nothing after a pass without a fault, and what was given up is no failure', () => {
    for (const policy of FAILURE_POLICIES) {
      expect(told(policy)).toBeNull();
      expect(told(policy, pass('left', DOWN), pass('left'))).toBeNull();
      expect(told(policy, pass('left'), pass('left', DOWN, VOID))).toBeNull();
      expect(told(policy, pass('left', DOWN))).not.toBeNull();
    }
  });

  test('the same question is asked three times, then an easier one', () => {
    const [first, second, third] = [1, 2, 3].map(tries =>
      told('same question again', ...Array.from({ length: tries }, () => pass('left', DOWN))),
    );
    expect(first!.words).toContain('try 2 of 3');
    expect(second!.words).toContain('try 3 of 3');
    expect(third!.words).toContain('easier');
    expect(third!.answers).toContainEqual({ kind: 'stage down' });
    expect(told('same question again', pass('left', DOWN), pass('left'), pass('left', DOWN))!.words).toContain(
      '2 of 3',
    );
  });

  test('names what failed, and offers its line alone', () => {
    expect(told('lower only what failed', pass('left', DOWN))).toEqual({
      words: 'Lower heron, or lay it as a pole, and leave the rest.',
      answers: [{ kind: 'only this line', from: 1, to: 2 }],
    });
    expect(told('a stage down', pass('left', DOWN))!.answers).toEqual([{ kind: 'stage down' }]);
    const line = [{ kind: 'only this line', from: 1, to: 2 }];
    for (const [policy, words, answers] of [
      ['a gait down', /gait below/, line],
      ['stand and look', /look at heron/, line],
      ['stop, back up, restart', /back up a few steps/, line],
      ['let it go', /ride on/, []],
    ] as const) {
      expect(told(policy, pass('left', DOWN))!.words).toMatch(words);
      expect(told(policy, pass('left', DOWN))!.answers).toEqual(answers);
    }
    // The first fence has no line before it.
    expect(told('stand and look', pass('left', { ...DOWN, place: 1 }))!.answers).toEqual([]);
  });

  test('strides added belong to the line they were ridden in', () => {
    const added = afterFailure(
      'lower only what failed',
      [asked([5, 5], pass('left', { kind: 'strides', place: 2, count: 6 }))],
      nameOf,
    );
    expect(added!.answers).toEqual([{ kind: 'only this line', from: 2, to: 3 }]);
  });
});

describe('when a stage is over', () => {
  const plan = { stop: { when: 'repetitions' }, eachRein: 2, hasReins: true, nowMs: 0 } as const;

  test('after the passes planned on each rein; a line alone is not one of them', () => {
    const three = [pass('left'), pass('left'), pass('right')];
    expect(stopHere([], plan)).toBeNull();
    expect(stopHere(three, plan)).toBeNull();
    expect(stopHere([...three, pass('right', VOID)], plan)).toBeNull();
    expect(stopHere([...three, pass('right', { kind: 'line', from: 1, to: 2 })], plan)).toBeNull();
    expect(stopHere([...three, pass('right')], plan)).toBe('2 passes on each rein: that is what was planned.');
    expect(stopHere([...three, pass('right')], { ...plan, eachRein: 0 })).toBeNull();
  });

  test('so often in all on a track that changes the rein', () => {
    const onNone = (...marks: TappedMark[]) => ({ ...pass('left', ...marks), rein: null });
    expect(stopHere([onNone()], { ...plan, hasReins: false })).toBeNull();
    expect(stopHere([onNone(), onNone()], { ...plan, hasReins: false })).toBe('2 passes: that is what was planned.');
  });

  test('never on a failure', () => {
    const passes = [pass('left'), pass('left'), pass('right'), pass('right', DOWN)];
    expect(stopHere(passes, plan)).toContain('Not on a failure');
  });

  test('after the minutes, from the first pass that counts', () => {
    const timed = { ...plan, stop: { when: 'minutes', minutes: 8 } } as const;
    expect(stopHere([pass('left')], { ...timed, nowMs: 7.9 * 60_000 })).toBeNull();
    expect(stopHere([pass('left')], { ...timed, nowMs: 8 * 60_000 })).toBe('8 minutes at this: 8 were planned.');
    expect(stopHere([pass('left')], { ...plan, stop: { when: 'minutes', minutes: 1 }, nowMs: 60_000 })).toBe(
      '1 minute at this: 1 was planned.',
    );
  });

  test('at the first clear improvement: clean after a fault on the same rein, or a better mark for quality', () => {
    const better = { ...plan, stop: { when: 'first clear improvement' } } as const;
    const quality = (value: number): TappedMark => ({ kind: 'quality', value });
    expect(stopHere([pass('left')], better)).toBeNull();
    expect(stopHere([pass('left', DOWN), pass('right')], better)).toBeNull();
    expect(stopHere([pass('left', DOWN), pass('left')], better)).toContain('Before: down. Now: clean.');
    expect(stopHere([pass('left', quality(3)), pass('left', quality(3))], better)).toBeNull();
    expect(stopHere([pass('left', quality(3)), pass('left', quality(4))], better)).toContain(
      'Before: clean, quality 3 of 5. Now: clean, quality 4 of 5.',
    );
    // What was better once and is not now is no place to stop, but it is told.
    const passes = [pass('left', DOWN), pass('left'), pass('left', DOWN)];
    expect(improvement(passes)).toBeNull();
    expect(firstImprovement(passes)).toEqual({ before: 'down', after: 'clean' });
  });
});

test('a line ridden alone does not earn the next stage', () => {
  const line = { kind: 'line', from: 1, to: 2 } as const;
  const passes = [pass('left'), pass('left', line), pass('right'), pass('right', line)];
  expect(stageGate(passes, [{ id: 'line', name: 'line', hasReins: true }]).ready).toBe(false);
});

// Common practice, no source: never more than 10 cm at once.
test.each([
  [{ kind: 'take-off', place: 2, where: 'deep' }, [], { kind: 'distance', leg: 0, byM: 0.1 }],
  [{ kind: 'take-off', place: 3, where: 'long' }, [], { kind: 'distance', leg: 1, byM: -0.1 }],
  [{ kind: 'strides', place: 2, count: 6 }, [5, 5], { kind: 'distance', leg: 1, byM: -0.1 }],
  [{ kind: 'strides', place: 1, count: 4 }, [5, 5], { kind: 'distance', leg: 0, byM: 0.1 }],
  [{ kind: 'fence', place: 2, outcome: 'refusal' }, [], { kind: 'stage down' }],
  [{ kind: 'landing', place: 2, where: 'close' }, [], { kind: 'only this line', from: 1, to: 2 }],
] as [TappedMark, number[], object][])('three times %j: what can be done', (mark, counts, answer) => {
  const passes = (['left', 'right', 'left'] as const).map(rein => asked(counts, pass(rein, mark)));
  const [found] = repeatedFaults(passes);
  expect(found!.answers).toContainEqual(answer);
});

test('a take-off at the first fence has no distance before it', () => {
  const deep: TappedMark = { kind: 'take-off', place: 1, where: 'deep' };
  expect(repeatedFaults([1, 2, 3].map(() => pass('left', deep)))[0]!.answers).toEqual([]);
});

test('what failed counts since the last clean pass, in whatever of its marks the fault is', () => {
  const told = (...passes: PassRecord[]) => afterFailure('same question again', passes, nameOf);
  const clean = { kind: 'lead', place: 1, lead: 'left' } as const;
  expect(told(pass('left', DOWN), pass('right', clean, DOWN))!.words).toContain('try 3 of 3');
  expect(told(pass('left', VOID))).toBeNull();
  expect(told(pass('left', clean))).toBeNull();
  // What was given up since leaves the last pass that counts as it was.
  expect(told(pass('left', DOWN), pass('left', VOID))!.words).toContain('try 2 of 3');
});

test('a fault of the whole pass is at no place: nothing is lowered by name, and no line is offered', () => {
  const high = {
    ...pass('left', { kind: 'head', height: 'high' }),
    question: testQuestion('row', { gait: 'running-walk' }),
  };
  const asPole = { ...NO_GROUND, at: () => 'pole' as const };
  const told = (policy: (typeof FAILURE_POLICIES)[number]) => afterFailure(policy, [high], nameOf, asPole);
  expect(told('lower only what failed')).toEqual({
    words: 'Lower what failed, or lay it as a pole, and leave the rest.',
    answers: [],
  });
  expect(told('stand and look')!.words).toContain('look at what failed');
  const hit = pass('left', { kind: 'hit', place: 2 });
  expect(afterFailure('lower only what failed', [hit], nameOf, asPole)!.words).toBe(
    'Take heron out, and leave the rest.',
  );
});

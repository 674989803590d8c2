import { askedRide } from '@/app/ride/askedRide';
import {
  AS_LAID_OUT,
  type Layout,
  type PassMark,
  type PassRecord,
  type Question,
  type Rein,
  type TappedMark,
} from '@/core';
import { isRiddenByAll, judgementLines } from './judgementLine';
import type { RunStage } from './runStage';

const pole = (id: string, yM: number): Layout['items'][number] => ({
  ...{ kind: 'pole', id, name: null, at: { xM: 10, yM }, headingRad: Math.PI / 2, lengthM: 3 },
  raised: { leftM: 0, rightM: 0 },
});
const LEG = { track: 'direct', setting: 'poles', approach: 'trot', asked: null, circle: null } as const;
const LAYOUT: Layout = {
  ...{ name: 'row', arena: { widthM: 20, lengthM: 60, letters: 'none' }, fall: null, school: 'whole-stride' },
  ...{ horses: [], kit: null, items: [pole('a', 20), pole('b', 21.3), pole('c', 22.6)] },
  tracks: [
    {
      ...{ kind: 'items', id: 'row', name: null, gait: 'trot', course: null, passes: 1 },
      through: ['a', 'b', 'c'].map(item => ({ item, reversed: false })),
      legs: [LEG, LEG],
    },
  ],
};
const QUESTION: Question = {
  ...{ id: 'q', name: null, what: { kind: 'track', trackId: 'row' }, state: AS_LAID_OUT, gait: 'trot' },
  ...{ rein: null, asked: [] },
};
const STAGE: RunStage = {
  ...{ id: 's', name: 'Five poles', layoutId: 'l', layoutName: 'Row', versionId: 'v', layout: LAYOUT, lacks: 0 },
  ...{ questions: [], focus: '', seat: 'rising', eachRein: 2, minutes: 10, policy: 'lower only what failed' },
  stop: { when: 'repetitions' },
};
let count = 0;
const pass = (rein: Rein, ...marks: TappedMark[]): PassRecord => ({
  ...{ id: `p${(count += 1)}`, pairId: 'p', layoutVersionId: 'v', lessonId: 'l', stageId: 's', stage: 's' },
  ...{ question: QUESTION, rein, direction: 'as-drawn', riddenAtMs: count * 60_000 },
  marks: marks.map((mark, i) => ({ id: `m${count} ${i}`, ...mark }) as PassMark),
});
const lines = (passes: PassRecord[], gate: { ready: boolean; reason: string } | null = null) =>
  judgementLines({
    ...{ stage: STAGE, ride: askedRide(LAYOUT, QUESTION, null)!, passes, nowMs: 1e9, gate, nextStage: 'Raised' },
  });
const HIT: TappedMark = { kind: 'hit', place: 2 };

test('nothing is said while nothing has to be', () => {
  expect(lines([])).toEqual([]);
  expect(lines([pass('left')])).toEqual([]);
});

test('a pole that lies is taken out after a hit, never lowered', () => {
  const [line] = lines([pass('left', HIT)]);
  expect(line).toMatchObject({ reason: 'After that one', words: expect.stringMatching(/^Take pole.* out/) });
});

test('a fault that came back goes before the policy', () => {
  const [line, ...others] = lines([pass('left', HIT), pass('right', HIT), pass('left', HIT)]);
  expect(line!.reason).toMatch(/^hit at .*2, 3 times$/);
  expect(others).toEqual([]);
});

test('once something was moved, the faults of before do not come back', () => {
  const before = [pass('left', HIT), pass('right', HIT), pass('left', HIT)].map(one => ({
    ...one,
    layoutVersionId: 'old',
  }));
  expect(lines([...before, pass('right')]).map(({ reason }) => reason)).toEqual(['Enough of this stage?']);
});

test('feet at a third three times close all gaps of the row with one key', () => {
  const short: TappedMark = { kind: 'footfall', place: null, fraction: 1 / 3 };
  const [line] = lines([pass('left', short), pass('right', short), pass('left', short)]);
  expect(line!.answer).toEqual({ kind: 'row', byM: -0.05 });
});

test('the next stage is offered with its reason once it was earned', () => {
  const clean = [pass('left'), pass('right'), pass('left'), pass('right')];
  const gate = { ready: true, reason: 'The last 2 passes were clean on both reins.' };
  expect(lines(clean, gate)).toEqual([
    { words: 'On to “Raised”.', reason: gate.reason, answer: { kind: 'next stage' } },
  ]);
  // Without it, that it is enough.
  expect(lines(clean)[0]).toMatchObject({ reason: 'Enough of this stage?', answer: null });
});

test('a lesson is over once everybody has ridden its last stage', () => {
  const noPass = pass('left', { kind: 'void' } as TappedMark);
  expect(isRiddenByAll({ isLast: true, ridden: [[pass('left')], [pass('right')]] })).toBe(true);
  expect(isRiddenByAll({ isLast: true, ridden: [[pass('left')], []] })).toBe(false);
  expect(isRiddenByAll({ isLast: true, ridden: [[pass('left')], [noPass]] })).toBe(false);
  expect(isRiddenByAll({ isLast: false, ridden: [[pass('left')]] })).toBe(false);
  expect(isRiddenByAll({ isLast: true, ridden: [] })).toBe(false);
});

import { AS_LAID_OUT } from '../question/builtState';
import { testQuestion } from '../question/testQuestion';
import { warmUpStage, type LessonStage } from './lesson';
import { nextLesson } from './nextLesson';

const stage = (id: string): LessonStage => ({
  ...{ ...warmUpStage(id), name: id, eachRein: 2 },
  questions: [{ question: testQuestion('line', { state: AS_LAID_OUT }), ofPairs: {} }],
});
const PLAN = {
  ...{ pairIds: ['a', 'b'], breakEveryMin: 10 },
  stages: [warmUpStage('w'), stage('poles'), stage('rails'), stage('fences'), stage('course')],
};
const got = (rode: number, earned: number) => ({ rode, earned });
let count = 0;
const newId = () => `new ${(count += 1)}`;
const named = (gotAt: [string, ReturnType<typeof got>][]) =>
  nextLesson(PLAN, new Map(gotAt), newId).stages.map(({ name, eachRein }) => `${name} ${eachRein}`);

test('the last stage that all earned comes back once; what was not earned or reached stays as planned', () => {
  expect(
    named([
      ['poles', got(2, 2)],
      ['rails', got(2, 2)],
      ['fences', got(2, 1)],
    ]),
  ).toEqual(['Warm-up 0', 'rails 1', 'fences 2', 'course 2']);
});

test('where nothing was earned everything stays, and where everything was, the last one', () => {
  expect(named([['poles', got(1, 0)]])).toHaveLength(5);
  const all: [string, ReturnType<typeof got>][] = ['poles', 'rails', 'fences', 'course'].map(id => [id, got(2, 2)]);
  expect(named(all)).toEqual(['Warm-up 0', 'course 1']);
});

test('its stages have ids of their own: the record of the lesson before stays with that', () => {
  const next = nextLesson(PLAN, new Map(), newId);
  expect(next.stages.every(({ id }) => !PLAN.stages.some(before => before.id === id))).toBe(true);
  expect(next.pairIds).toEqual(['a', 'b']);
});

import type { LessonStage } from './lesson';
import { writtenDownAtMs } from './writtenDown';

const stage = (id: string, minutes: number): LessonStage => ({
  ...{ id, name: id, layoutId: null, questions: [], focus: '', seat: 'rising', eachRein: 2, minutes },
  ...{ policy: 'same question again', stop: { when: 'repetitions' } },
});
const PLAN = { stages: [stage('warm-up', 10), stage('poles', 15), stage('fence', 20)] };
const MIN = 60_000;

test('a pass that is written down lies in the minutes of its stage, after what is known of the stage', () => {
  const at = (stageId: string, passes: { stageId: string; riddenAtMs: number }[] = []) =>
    writtenDownAtMs(PLAN, 1000 * MIN, stageId, passes) / MIN;
  expect(at('warm-up')).toBe(1000);
  expect(at('poles')).toBe(1010);
  expect(at('fence')).toBe(1025);
  expect(at('poles', [{ stageId: 'poles', riddenAtMs: 1010 * MIN }])).toBe(1011);
  expect(at('poles', [{ stageId: 'fence', riddenAtMs: 1030 * MIN }])).toBe(1010);
  // What was dated by hand, before its stage, does not pull the others along.
  expect(at('poles', [{ stageId: 'poles', riddenAtMs: 900 * MIN }])).toBe(1011);
  expect(at('a stage that is gone')).toBe(1000);
});

import type { LessonPlan, LessonStage } from './lesson';
import { mergePlans, planDifference } from './mergePlans';

const stage = (id: string, changes: Partial<LessonStage> = {}): LessonStage => ({
  ...{ id, name: id, layoutId: null, questions: [], focus: 'rhythm', seat: 'rising', eachRein: 2, minutes: 10 },
  ...{ policy: 'same question again', stop: { when: 'repetitions' } },
  ...changes,
});
const plan = (pairIds: string[], stages: LessonStage[], breakEveryMin = 10): LessonPlan => ({
  ...{ pairIds, stages, breakEveryMin },
});
const BASE = plan(['a', 'b'], [stage('poles'), stage('fence')]);

test('what only one of two changed is as that one has it', () => {
  const mine = plan(['a', 'b', 'c'], [stage('poles', { minutes: 15 }), stage('fence')], 8);
  const theirs = plan(['b', 'd'], [stage('poles'), stage('fence', { focus: 'look up' }), stage('new')]);
  const merged = mergePlans(BASE, mine, theirs);
  expect(merged.both).toEqual([]);
  // They took a out and put d in; I put c in.
  expect(merged.plan.pairIds).toEqual(['b', 'c', 'd']);
  expect(merged.plan.breakEveryMin).toBe(8);
  expect(merged.plan.stages.map(({ id, minutes, focus }) => [id, minutes, focus])).toEqual([
    ['poles', 15, 'rhythm'],
    ['fence', 10, 'look up'],
    ['new', 10, 'rhythm'],
  ]);
});

test('what both changed is as it was saved last, and what the other one said is told', () => {
  const mine = plan(['a'], [stage('poles', { focus: 'hands' }), stage('fence')]);
  const theirs = plan(['a'], [stage('poles', { focus: 'eyes' }), stage('fence')]);
  const merged = mergePlans(BASE, mine, theirs);
  expect(merged.plan.stages[0]!.focus).toBe('hands');
  expect(merged.both).toEqual(['The one thing to think of of “poles” was changed meanwhile to “eyes”; yours stands.']);
  // The same word from both contradicts nobody.
  expect(mergePlans(BASE, theirs, theirs).both).toEqual([]);
});

test('minutes between walk breaks that both changed are told as well', () => {
  const base = plan([], [], 10);
  const merged = mergePlans(base, plan([], [], 12), plan([], [], 8));
  expect(merged.plan.breakEveryMin).toBe(12);
  expect(merged.both).toEqual(['The minutes between walk breaks were changed meanwhile to “8”; yours stand.']);
  expect(mergePlans(base, plan([], [], 8), plan([], [], 8)).both).toEqual([]);
});

test('a stage that one took out while the other changed it stays, and is said to', () => {
  const without = plan(['a', 'b'], [stage('poles')]);
  const changed = plan(['a', 'b'], [stage('poles'), stage('fence', { minutes: 20 })]);
  for (const [mine, theirs] of [
    [without, changed],
    [changed, without],
  ] as const) {
    const merged = mergePlans(BASE, mine, theirs);
    expect(merged.plan.stages.map(({ id, minutes }) => [id, minutes])).toEqual([
      ['poles', 10],
      ['fence', 20],
    ]);
    expect(merged.both).toHaveLength(1);
  }
  expect(mergePlans(BASE, without, BASE).plan.stages.map(({ id }) => id)).toEqual(['poles']);
  expect(mergePlans(BASE, BASE, without).plan.stages.map(({ id }) => id)).toEqual(['poles']);
});

test('the difference of two plans is told from what to what, and none where there is none', () => {
  expect(planDifference(BASE, structuredClone(BASE), String)).toBeNull();
  const after = plan(['b'], [stage('poles', { minutes: 5 })], 12);
  expect(planDifference(BASE, after, id => `pair ${id}`)).toEqual({
    was: 'with pair a; with “fence”; minutes of “poles” “10”; a walk break every 10 min',
    to: 'minutes of “poles” “5”; a walk break every 12 min',
  });
});

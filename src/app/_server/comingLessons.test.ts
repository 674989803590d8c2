import type { LessonPlan, LessonStage } from '@/core';
import { isComing, nextInLessons } from './comingLessons';

const HOUR_MS = 3600 * 1000;
const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

const lesson = (name: string, inHours: number, ...layoutIds: string[]) => ({
  ...{ name, startsAtMs: NOW_MS + inHours * HOUR_MS },
  plan: { stages: layoutIds.map(layoutId => ({ layoutId }) as LessonStage) } as LessonPlan,
});
const always = () => true;

test('a lesson is still coming half a day after its start', () => {
  expect(isComing(lesson('this morning', -3), NOW_MS)).toBe(true);
  expect(isComing(lesson('at midnight', -12), NOW_MS)).toBe(true);
  expect(isComing(lesson('yesterday', -13), NOW_MS)).toBe(false);
});

test('the soonest lesson that goes on from a layout says what comes next', () => {
  const lessons = [
    lesson('Saturday', 96, 'poles', 'course'),
    lesson('Thursday', 24, 'poles', 'bend'),
    lesson('Friday', 48, 'grid', 'poles'),
    lesson('last week', -168, 'poles', 'grid'),
  ];
  expect(nextInLessons(lessons, 'poles', NOW_MS, always)).toEqual({ layoutId: 'bend', lesson: 'Thursday' });
  expect(nextInLessons(lessons, 'grid', NOW_MS, always)).toEqual({ layoutId: 'poles', lesson: 'Friday' });
  expect(nextInLessons(lessons, 'bend', NOW_MS, always)).toBeNull();
});

test('a layout of another arena, or one that was put away, is passed over', () => {
  const lessons = [lesson('Thursday', 24, 'poles', 'bend'), lesson('Saturday', 96, 'poles', 'course')];
  const isHere = (id: string) => id === 'course';
  expect(nextInLessons(lessons, 'poles', NOW_MS, isHere)).toEqual({ layoutId: 'course', lesson: 'Saturday' });
  expect(nextInLessons(lessons, 'poles', NOW_MS, () => false)).toBeNull();
  expect(nextInLessons([], 'poles', NOW_MS, always)).toBeNull();
});

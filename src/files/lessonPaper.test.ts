import { lessonCalendar } from './lessonCalendar';
import { lessonFromPaper, LessonForm, LessonOnPaper } from './lessonPaper';
import { writeLesson } from './writeLesson';
import type { LessonStage } from '@/core';

const stage = (name: string): LessonStage => ({
  ...{ id: name, name, layoutId: null, questions: [], focus: '', seat: 'rising', eachRein: 2, minutes: 10 },
  ...{ policy: 'same question again', stop: { when: 'repetitions' } },
});
const plan = { pairIds: ['a', 'b'], stages: [stage('poles'), stage('fences')], breakEveryMin: 10 };
const form = { name: 'Group', arenaId: 'arena', startsAt: '2026-05-04T17:30', plan: writeLesson(plan) };

test('a plan comes back from paper as it was', () => {
  expect(lessonFromPaper(LessonOnPaper.parse(JSON.parse(JSON.stringify(writeLesson(plan)))))).toEqual(plan);
});

test('what is watched in the rider comes back with its stage; a lesson kept without it says nothing of it', () => {
  const watched = { ...plan, stages: [{ ...stage('seat'), riderMarks: ['heel up', 'eyes late'] }, stage('poles')] };
  const read = lessonFromPaper(LessonOnPaper.parse(JSON.parse(JSON.stringify(writeLesson(watched)))));
  expect(read).toEqual(watched);
  expect('riderMarks' in read.stages[1]!).toBe(false);
});

test.each([
  [{ name: ' ' }, 'Give the lesson a name.'],
  [{ startsAt: 'soon' }, 'Say the day and the time.'],
  [{ plan: writeLesson({ ...plan, stages: [stage('poles'), stage('poles')] }) }, 'One stage is there twice.'],
  [{ plan: writeLesson({ ...plan, stages: [{ ...stage('poles'), minutes: 999 }] }) }, 'At most 240 minutes.'],
  [{ plan: writeLesson({ ...plan, stages: [{ ...stage('seat'), riderMarks: [''] }] }) }, 'Too small'],
  [{ plan: { ...writeLesson(plan), version: 3 } }, 'Invalid'],
])('%j is refused', (change, words) => {
  const read = LessonForm.safeParse({ ...form, ...change });
  expect(read.success).toBe(false);
  expect(read.error?.issues.map(({ message }) => message).join(' ')).toContain(words);
});

// RFC 5545: lines end with CRLF, times in UTC end with Z, commas in texts are escaped.
test('a lesson in the calendar begins when it begins', () => {
  const startsAtMs = Date.parse('2026-05-04T16:30:00Z');
  const lesson = { id: 'l1', name: 'Group, low', startsAtMs, minutes: 75, arena: 'Lower school' };
  const text = lessonCalendar([{ ...lesson, pairs: ['Ode and Quill'], stages: ['poles: rising'] }], startsAtMs);
  const lines = text.split('\r\n');
  expect(lines[0]).toBe('BEGIN:VCALENDAR');
  expect(lines).toContain('DTSTART:20260504T163000Z');
  expect(lines).toContain('DURATION:PT1H15M');
  expect(lines).toContain('SUMMARY:Group\\, low');
  expect(lines).toContain('LOCATION:Lower school');
  expect(lines).toContain('UID:l1@roan');
});

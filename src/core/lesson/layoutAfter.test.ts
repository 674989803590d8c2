import { layoutAfter } from './layoutAfter';
import type { LessonStage } from './lesson';

const plan = (...layoutIds: (string | null)[]) => ({
  stages: layoutIds.map(layoutId => ({ layoutId }) as LessonStage),
});

test('stages go on from one layout to the next, whatever is done between them', () => {
  expect(layoutAfter(plan(null, 'poles', 'poles', 'bend'), 'poles')).toBe('bend');
  expect(layoutAfter(plan('poles', null, 'bend'), 'poles')).toBe('bend');
});

test('what comes back to a layout goes on from where it stood first', () => {
  expect(layoutAfter(plan('poles', 'bend', 'poles', 'course'), 'poles')).toBe('bend');
  expect(layoutAfter(plan('poles', 'bend', 'poles', 'course'), 'bend')).toBe('poles');
});

test('after the last there is none, nor after one that is not ridden', () => {
  expect(layoutAfter(plan('poles', 'bend', 'bend'), 'bend')).toBeNull();
  expect(layoutAfter(plan('poles', 'bend'), 'course')).toBeNull();
  expect(layoutAfter(plan(null), 'poles')).toBeNull();
});

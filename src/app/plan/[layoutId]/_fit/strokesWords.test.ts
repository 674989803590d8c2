import { strokesWords } from './strokesWords';

const stroke = (kind: Parameters<typeof strokesWords>[0][number]['kind']) =>
  ({ kind, lane: 'left', way: 'up', fences: 2 }) as const;

it('says what a course is made of', () => {
  expect(strokesWords([stroke('line'), stroke('combination'), stroke('line')])).toBe('two lines, one double');
  expect(strokesWords([stroke('single')])).toBe('one single fence');
});

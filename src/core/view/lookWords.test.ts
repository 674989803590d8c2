import type { LookFacts } from './lookFacts';
import { lookWords } from './lookWords';

const DEG = Math.PI / 180;
const NEXT: NonNullable<LookFacts['next']> = {
  ...{ item: 'b', farM: 12, asideRad: 0, offSquareRad: 0, straightM: 8, hiddenBy: null },
};
const told = (next: Partial<typeof NEXT>, drawsTheEye: string | null = null) =>
  lookWords(
    id => `fence ${id}`,
    { next: { ...NEXT, ...next }, drawsTheEye },
    m => `${m} m`,
  );

test('what comes next, how far, and where to look', () => {
  expect(told({})[0]).toBe('Next: fence b in 12 m, straight on.');
  expect(told({ asideRad: 4.4 * DEG })[0]).toContain('straight on');
  expect(told({ asideRad: 5 * DEG })[0]).toContain('look 5° to the left');
  expect(told({ asideRad: -30 * DEG })[0]).toContain('look 30° to the right');
});

test('how it would be met from here, and how much straight there is', () => {
  expect(told({})[1]).toBe('Straight at it from here meets it square.');
  expect(told({ offSquareRad: 2.4 * DEG })[1]).toContain('square.');
  expect(told({ offSquareRad: 3 * DEG })[1]).toBe(
    'Straight at it from here would meet it 3° off square; the track is straight for the last 8 m.',
  );
  expect(told({ offSquareRad: 20 * DEG, straightM: 0.4 })[1]).toContain(
    '20° off square; the track turns right up to it.',
  );
  expect(told({ offSquareRad: 20 * DEG, straightM: Infinity })[1]).toMatch(/20° off square\.$/);
});

test('what hides it and what draws the eye, only where something does', () => {
  expect(told({})).toHaveLength(2);
  expect(told({ hiddenBy: 'a' }, 'c').slice(2)).toEqual([
    'From here fence a stands before it.',
    'Fence c looks larger and draws the eye.',
  ]);
});

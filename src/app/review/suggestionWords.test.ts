import { formatLength, suggestSpacing, type Footfall } from '@/core';
import { suggestionWords } from './suggestionWords';

const wording = {
  horseName: 'Quill',
  gait: 'trot' as const,
  spacingM: 1.37,
  format: (lengthM: number) => formatLength(lengthM, 'm'),
  formatBy: (lengthM: number) => formatLength(lengthM, 'cm'),
  day: '3 May 2026',
};
const judged = (fraction: number): Footfall[] => [{ gap: null, fraction }];
const gaps = (...fractions: number[]): Footfall[] => fractions.map((fraction, i) => ({ gap: i + 1, fraction }));
const say = (...passes: Footfall[][]) => suggestionWords(suggestSpacing(1.37, passes), wording);

// What an instructor would say (common practice, no source).
test.each([
  { passes: [judged(1 / 3)], headline: 'Try 1.32 m: 5 cm closer', reason: 'close the gaps' },
  { passes: [judged(0.5), judged(0.5)], headline: 'Keep 1.37 m', reason: '2 passes on 3 May 2026' },
  { passes: [judged(0.75)], headline: 'Try 1.42 m: 5 cm wider', reason: 'Steady the pace first' },
  { passes: [gaps(0.5, 0.45, 0.4)], headline: 'Try 1.30 m: 7 cm closer', reason: 'shorter than the spacing' },
  { passes: [gaps(0.4, 0.45, 0.5)], headline: 'Try 1.44 m: 7 cm wider', reason: 'longer than the spacing' },
  { passes: [gaps(0.7, 0.7, 0.7)], headline: 'Keep 1.37 m, and look at the pace', reason: 'where the row is entered' },
  { passes: [[]], headline: 'No footfalls noted yet', reason: 'Note where' },
])('$headline', ({ passes, headline, reason }) => {
  expect(say(...passes)).toEqual({ headline, reason: expect.stringContaining(reason) });
});

test('one pass is said to be one pass, two are not', () => {
  expect(say(gaps(0.5, 0.45, 0.4)).reason).toContain('one pass only: look again');
  expect(say(gaps(0.5, 0.45, 0.4), gaps(0.5, 0.45, 0.4)).reason).not.toContain('look again');
});

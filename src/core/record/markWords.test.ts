import { fractionShort, fractionWords, markWords } from './markWords';
import type { TappedMark } from './passMark';

const NAMES = ['heron', 'willow', 'plover'];
const nameOf = (place: number) => NAMES[place - 1]!;

test.each<[TappedMark, string]>([
  [{ kind: 'footfall', place: 3, fraction: 1 / 3 }, 'a third, gap 3'],
  [{ kind: 'footfall', place: null, fraction: 0.5 }, 'the middle'],
  [{ kind: 'footfall', place: 2, fraction: 0.42 }, '42 %, gap 2'],
  [{ kind: 'hit', place: 2 }, 'hit willow'],
  [{ kind: 'note', words: 'looked at the door' }, '“looked at the door”'],
  [{ kind: 'strides', place: 1, count: 5 }, '5 from heron'],
  [{ kind: 'fence', place: 3, outcome: 'run-out left' }, 'run-out left at plover'],
  [{ kind: 'take-off', place: 2, where: 'deep' }, 'deep take-off at willow'],
  [{ kind: 'landing', place: 1, where: 'far' }, 'landed far at heron'],
  [{ kind: 'lead', place: 1, lead: 'left' }, 'left lead after heron'],
  [{ kind: 'lead', place: 1, lead: 'cross-canter' }, 'cross-canter after heron'],
  [{ kind: 'aim', place: 2, off: 'right' }, 'aim off right at willow'],
  [{ kind: 'strides', place: 2, count: 0 }, 'no stride from willow'],
  [{ kind: 'fault', place: null, fault: 'rush' }, 'rush'],
  [{ kind: 'fault', place: 2, fault: 'drift left' }, 'drift left at willow'],
  [{ kind: 'depart', how: 'wrong lead', trotSteps: null }, 'depart: wrong lead'],
  [{ kind: 'depart', how: 'ran into it', trotSteps: 4 }, 'depart: ran into it, 4 trot steps'],
  [{ kind: 'gait', ridden: 'course-canter' }, 'ridden in course canter'],
  [{ kind: 'head', height: 'as wanted' }, 'head as wanted'],
  [{ kind: 'head', height: 'high' }, 'head high'],
  [{ kind: 'figure', place: 2, point: 'bend', kept: false }, 'bend lost in willow'],
  [{ kind: 'figure', place: 1, point: 'shape', kept: true }, 'shape kept in heron'],
  [{ kind: 'quality', value: 4 }, 'quality 4 of 5'],
  [{ kind: 'spot', at: { xM: 1, yM: 2 } }, 'a spot on the sand'],
  [{ kind: 'rider', what: 'hands' }, 'rider: hands'],
  [{ kind: 'void' }, 'does not count'],
  [{ kind: 'line', from: 1, to: 3 }, 'only from heron to plover'],
  [{ kind: 'track', path: [], ridden: [], missed: [], extra: [] }, 'track recorded'],
  [{ kind: 'track', path: [], ridden: [], missed: ['willow'], extra: [] }, 'track recorded, without willow'],
])('%j is said in a few words', (mark, words) => {
  expect(markWords(mark, nameOf)).toBe(words);
});

test('a long note is cut, and says so', () => {
  const words = markWords({ kind: 'note', words: 'she was late with her eyes at the second fence' });
  expect(words).toBe('“she was late with her e…”');
});

test('a share of a gap has a word or a sign where there is one', () => {
  expect([1 / 3, 0.5, 0.75, 0.1].map(fractionWords)).toEqual(['a third', 'the middle', 'three quarters', '10 %']);
  expect([1 / 3, 0.5, 0.75, 0.1].map(fractionShort)).toEqual(['⅓', '½', '¾', '10 %']);
});

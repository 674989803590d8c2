import { passFaults } from './passJudged';
import type { PassMark, TappedMark } from './passMark';

const faults = (...marks: TappedMark[]) =>
  passFaults({
    marks: marks.map((mark, index) => ({ id: `m${index}`, ...mark }) as PassMark),
    question: { asked: [4, null], gait: 'trot' },
  });

test.each([
  ['a fence, at its place', { kind: 'fence', place: 3, outcome: 'down' }, { what: 'down', place: 3 }],
  ['strides, in their leg', { kind: 'strides', place: 1, count: 5 }, { what: 'strides added', place: 1 }],
  ['fewer of them', { kind: 'strides', place: 1, count: 3 }, { what: 'strides left out', place: 1 }],
  ['a gait, from where it was another', { kind: 'gait', ridden: 'canter', from: 2 }, { what: 'in canter', place: 2 }],
  ['a gait all the way, at no place', { kind: 'gait', ridden: 'walk' }, { what: 'in walk', place: null }],
  ['a head, at no place', { kind: 'head', height: 'high' }, { what: 'head high', place: null }],
  ['a figure', { kind: 'figure', place: 2, point: 'bend', kept: false }, { what: 'bend lost', place: 2 }],
  [
    'a part of a figure',
    { kind: 'figure', place: 2, part: 1, point: 'bend', kept: false },
    { what: 'bend lost', place: 2, part: 1 },
  ],
  ['an aim', { kind: 'aim', place: 1, off: 'left' }, { what: 'aim off to the left', place: 1 }],
] as [string, TappedMark, object][])('%s', (_, mark, fault) => expect(faults(mark)).toEqual([fault]));

test.each([
  ['a rub', { kind: 'fence', place: 3, outcome: 'rub' }],
  ['a count as asked', { kind: 'strides', place: 1, count: 4 }],
  ['a count where none was asked', { kind: 'strides', place: 2, count: 9 }],
  ['a count of a leg that is not there', { kind: 'strides', place: 7, count: 9 }],
  ['the gait that was asked', { kind: 'gait', ridden: 'trot' }],
  ['a head as wanted', { kind: 'head', height: 'as wanted' }],
  ['what was kept', { kind: 'figure', place: 2, point: 'bend', kept: true }],
  ['a good take-off', { kind: 'take-off', place: 1, where: 'good' }],
  ['a landing', { kind: 'landing', place: 1, where: 'close' }],
  ['a word', { kind: 'note', text: 'tired' }],
] as [string, TappedMark][])('%s is no fault', (_, mark) => expect(faults(mark)).toEqual([]));

test('a transition is told by its own words, at no place of its own', () => {
  const [late] = faults({ kind: 'transition', place: 1, from: 'walk', to: 'trot', how: 'late' } as never);
  expect(late).toEqual({ what: expect.stringContaining('trot') as string, place: null });
});

import type { PassMark } from '../record/passMark';
import { marksFit } from './marksFit';
import { testQuestion } from './testQuestion';
import type { Layout } from '../layout/layout';

const fence = (id: string, yM: number) =>
  ({
    ...{ kind: 'fence', id, name: null, form: 'vertical', at: { xM: 10, yM }, headingRad: Math.PI / 2, widthM: 3.5 },
    ...{ heightM: 0.8, spreadM: 0, ridden: 'both-ways', groundLine: null, filler: false, sideHeightM: 0.8 },
  }) as unknown as Layout['items'][number];
const leg = { track: 'natural', setting: 'course', approach: 'canter', asked: null, circle: null } as const;
const track = (id: string, ...items: string[]) => ({
  ...{ kind: 'items' as const, id, name: null, gait: 'course-canter' as const, course: null, passes: 1 },
  through: items.map(item => ({ item, reversed: false })),
  legs: items.slice(1).map(() => leg),
});
const LAYOUT: Layout = {
  ...{ name: 'line', arena: { widthM: 20, lengthM: 60, letters: 'none' }, fall: null, school: 'whole-stride' },
  ...{ horses: [], kit: null, items: [fence('a', 12), fence('b', 28), fence('c', 44)] },
  tracks: [track('two', 'a', 'b'), track('three', 'a', 'b', 'c')],
};
const mark = (said: object): PassMark => ({ id: 'm', ...said }) as PassMark;

test.each([
  ['a rub at the third fence', mark({ kind: 'fence', place: 3, outcome: 'rub' }), false, true],
  ['strides of the second leg', mark({ kind: 'strides', place: 2, count: 5 }), false, true],
  ['strides of the first leg', mark({ kind: 'strides', place: 1, count: 5 }), true, true],
  ['a line to the third fence', mark({ kind: 'line', from: 2, to: 3 }), false, true],
  ['a word on the whole', mark({ kind: 'quality', value: 4 }), true, true],
  ['a figure, where there is none', mark({ kind: 'figure', place: 1, point: 'bend', kept: true }), false, false],
])('%s fits where it has a place', (_, said, onTwo, onThree) => {
  expect(marksFit(LAYOUT, testQuestion('two'), [said])).toBe(onTwo);
  expect(marksFit(LAYOUT, testQuestion('three'), [said])).toBe(onThree);
});

test('nothing fits a track that the layout does not have', () => {
  expect(marksFit(LAYOUT, testQuestion('four'), [])).toBe(false);
});

import { passFaults } from './passJudged';
import { markSubject } from './passMark';
import { markWords } from './markWords';
import type { PassMark } from './passMark';

const QUESTION = { asked: [], gait: 'walk' as const };
const mark = (said: object): PassMark => ({ id: 'm', ...said }) as PassMark;
const into = (place: number, how: string, to = 'canter', trotSteps: number | null = null) =>
  mark({ kind: 'transition', place, how, to, trotSteps });

test('a transition is told by how it was ridden, into what, and which one it was', () => {
  expect(markWords(into(4, 'wrong lead'))).toBe('wrong lead into canter, transition 4');
  expect(markWords(into(5, 'ran into it', 'trot'))).toBe('ran into trot, transition 5');
  expect(markWords(into(1, 'late', 'halt'))).toBe('late to halt, transition 1');
  expect(markWords(into(2, 'prompt', 'canter', 1))).toBe('prompt into canter, transition 2, after 1 trot step');
});

test('several transitions of a pass stand beside each other, and each corrects itself', () => {
  expect(markSubject(into(1, 'late'))).not.toBe(markSubject(into(2, 'late')));
  expect(markSubject(into(1, 'late'))).toBe(markSubject(into(1, 'prompt')));
  expect(passFaults({ marks: [into(1, 'prompt'), into(2, 'wrong lead')], question: QUESTION })).toEqual([
    { what: 'wrong lead into canter, transition 2', place: null },
  ]);
});

test('a part of a figure is lost by itself, and named by whoever knows it', () => {
  const lost = (part?: number) => mark({ kind: 'figure', place: 1, point: 'bend', kept: false, ...(part && { part }) });
  expect(markSubject(lost(2))).not.toBe(markSubject(lost(3)));
  expect(markSubject(lost())).not.toBe(markSubject(lost(1)));
  const nameOf = (place: number, part?: number) => (part === undefined ? `figure ${place}` : `loop ${part} of it`);
  expect(markWords(lost(2), nameOf)).toBe('bend lost in loop 2 of it');
  expect(passFaults({ marks: [lost(2)], question: QUESTION })).toEqual([{ what: 'bend lost', place: 1, part: 2 }]);
});

test('a gait that changed at a pole is ridden from there on', () => {
  expect(markWords(mark({ kind: 'gait', ridden: 'fox-trot', from: 3 }), place => `pole ${place}`)).toBe(
    'fox trot from pole 3 on',
  );
});

test('strides that were tapped are told with their tempo', () => {
  const tapsMs = Array.from({ length: 12 }, (_, i) => i * 600);
  expect(markWords(mark({ kind: 'strides', place: 1, count: 12, tapsMs }))).toBe(
    '12 from 1, 1.7 strides a second, even',
  );
});

import { passMaker } from '../review/testPasses';
import { testQuestion } from '../question/testQuestion';
import { dayNumber } from '../words/calendarDay';
import { exerciseOfPass, riddenSteps } from './riddenSteps';
import type { Question } from '../question/question';

const OVER = new Map([['v', { layoutId: 'layout', kinds: new Map([['e1', 'grid']]) }]]);
const pass = passMaker();
const asking = (what: Question['what'], one = pass({})) => ({ ...one, question: testQuestion('q', { what }) });
const stage = (exerciseId: string, at: number): Question['what'] => ({
  ...{ kind: 'stage', exerciseId, stage: at, over: { kind: 'track', trackId: 't' } },
});

test('what a pass asked: a stage of an exercise of the shelf, or what was laid by hand, by its layout and track', () => {
  const of = (what: Question['what'], over = OVER) => exerciseOfPass(asking(what), over);
  expect(of(stage('e1', 2))).toEqual({ exercise: 'grid', stage: 2 });
  // An exercise that is no more is known by its track.
  expect(of(stage('gone', 2))).toEqual({ exercise: 'own layout t', stage: 0 });
  expect(of({ kind: 'track', trackId: 'u' })).toEqual({ exercise: 'own layout u', stage: 0 });
  expect(of({ kind: 'made', through: [], legs: [] })).toEqual({ exercise: 'own layout made', stage: 0 });
  expect(of({ kind: 'track', trackId: 'u' }, new Map() as typeof OVER)).toEqual({ exercise: 'own v u', stage: 0 });
});

test('day by day and stage by stage, pass by pass, without what was given up and a line alone', () => {
  const first = stage('e1', 0);
  const steps = riddenSteps(
    [
      asking(first, pass({ rein: 'left' })),
      asking(first, pass({ rein: 'right' }, { kind: 'fence', place: 1, outcome: 'down' })),
      asking(first, pass({}, { kind: 'void' })),
      asking(first, pass({}, { kind: 'line', from: 1, to: 2 })),
      asking(stage('e1', 1), pass({})),
      asking(first, pass({ day: '2026-05-11' })),
    ],
    OVER,
  );
  expect(
    steps.map(({ day, exercise, stage: at, passes }) => [day - dayNumber('2026-05-04'), exercise, at, passes]),
  ).toEqual([
    [
      ...[0, 'grid', 0],
      [
        { rein: 'left', isClean: true },
        { rein: 'right', isClean: false },
      ],
    ],
    [0, 'grid', 1, [{ rein: 'left', isClean: true }]],
    [7, 'grid', 0, [{ rein: 'left', isClean: true }]],
  ]);
  // Two fences: what it is for is what the shelf says of a grid.
  expect(steps[0]).toMatchObject({ kind: 'fences', purposes: expect.arrayContaining(['footwork']) as unknown });
});

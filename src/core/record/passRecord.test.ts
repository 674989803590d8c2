import fc from 'fast-check';
import { passFootfalls, polesHit } from './passRecord';
import type { RecordEvent } from './recordEvent';
import { applyEvent, EMPTY_LOG, standingPasses } from './recordLog';
import { steered, takenBack } from './testEvents';
import type { PassMark } from './passMark';
import { testQuestion } from '../question/testQuestion';
import { polesKeptHitting } from './polesKeptHitting';

const startPass = (id: string): RecordEvent => ({
  type: 'pass',
  id: `e-${id}`,
  pass: {
    id,
    pairId: 'p',
    layoutVersionId: 'v',
    lessonId: null,
    rein: 'left',
    direction: 'as-drawn',
    stageId: null,
    stage: 'on the ground',
    question: testQuestion('row'),
    riddenAtMs: 0,
  },
});
const addMark = (passId: string, mark: PassMark): RecordEvent => ({
  type: 'mark',
  id: `e-${mark.id}`,
  passId,
  mark,
  atMs: 0,
});
const fold = (events: RecordEvent[]) => standingPasses(events.reduce(applyEvent, EMPTY_LOG));

const FIRST_GAP: PassMark = { id: 'm1', kind: 'footfall', place: 1, fraction: 1 / 3 };
const AGAIN: PassMark = { id: 'm2', kind: 'footfall', place: 1, fraction: 0.5 };
const HIT: PassMark = { id: 'm3', kind: 'hit', place: 2 };

test('a pass, its marks, a correction and an undo', () => {
  const events = [startPass('p'), addMark('p', FIRST_GAP), addMark('p', AGAIN), addMark('p', HIT)];
  const passes = fold(events);
  expect(passFootfalls(passes[0]!)).toEqual([{ gap: 1, fraction: 0.5 }]);
  expect(polesHit(passes[0]!)).toEqual([2]);
  const undone = fold([...events, takenBack('u', 'mark', 'm2', 1)]);
  expect(passFootfalls(undone[0]!)).toEqual([{ gap: 1, fraction: 1 / 3 }]);
  expect(fold([...events, takenBack('u2', 'pass', 'p', 2)])).toEqual([]);
});

test('rein and direction can be put right while the pass lasts', () => {
  const was = { rein: 'left', direction: 'as-drawn' } as const;
  const [pass] = fold([startPass('p'), steered('a', 'p', was, { rein: 'right', direction: 'other-way' }, 1)]);
  expect(pass).toMatchObject({ rein: 'right', direction: 'other-way' });
});

test('an event for a pass that is not there changes nothing', () => {
  expect(fold([addMark('nobody', HIT)])).toEqual([]);
});

test('events sent again change nothing, in whatever order they are repeated', () => {
  const events = [startPass('p'), startPass('q'), addMark('p', FIRST_GAP), addMark('q', HIT), addMark('p', AGAIN)];
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: events.length - 1 })), repeats => {
      expect(fold([...events, ...repeats.map(i => events[i]!)])).toEqual(fold(events));
    }),
  );
});

test('a pole hit in three passes is named, in two it is not', () => {
  const hit = (...places: number[]) => ({
    marks: places.map((place, i) => ({ id: `${i}`, kind: 'hit' as const, place })),
  });
  expect(polesKeptHitting([hit(2, 2), hit(2), hit(1)])).toEqual([]);
  expect(polesKeptHitting([hit(2), hit(2, 3), hit(1, 2)])).toEqual([{ pole: 2, times: 3 }]);
});

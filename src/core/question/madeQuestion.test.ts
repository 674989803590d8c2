import fc from 'fast-check';
import { newItem } from '../plan/newItem';
import { course } from '../record/testCourse';
import { askedLayout } from './askedLayout';
import { countsAsked } from './offeredQuestions';
import { leftOut, madeQuestion, withStop, type MadeStops } from './madeQuestion';
import type { Question } from './question';
import { testQuestion } from './testQuestion';

const { layout } = course();
const UP = Math.PI / 2;

const tapped = (ids: readonly string[], on = layout) =>
  ids.reduce<MadeStops>((stops, id) => withStop(on, stops, id), []);
const stopsOf = (question: Question) => {
  const [track] = askedLayout(layout, question)!.tracks;
  return track?.kind === 'items' ? track.through.map(({ item }) => item) : [];
};

test('fences tapped in order are a question at once', () => {
  const made = madeQuestion(layout, tapped(['heron', 'rowan', 'willow']), { id: 'q', gait: 'course-canter' })!;
  expect(stopsOf(made)).toEqual(['heron', 'rowan', 'willow']);
  expect(madeQuestion(layout, [], { id: 'q', gait: 'canter' })).toBeNull();
  expect(tapped(['nothing of this name'])).toEqual([]);
});

test('each is ridden from the side one comes from where it may be, and back to the same one is a circle', () => {
  const both = { ...layout, items: layout.items.map(item => ({ ...item, ridden: 'both-ways' as const })) };
  // Heron stands up the long side from alder: coming back to alder, it is ridden from behind.
  expect(tapped(['heron', 'alder'], both as typeof layout)).toEqual([
    { item: 'heron', reversed: false },
    { item: 'alder', reversed: true },
  ]);
  expect(tapped(['heron', 'alder'])).toEqual([
    { item: 'heron', reversed: false },
    { item: 'alder', reversed: false },
  ]);
  const circle = madeQuestion(layout, tapped(['heron', 'heron']), { id: 'q', gait: 'canter' })!;
  expect(circle.what.kind === 'made' && circle.what.legs[0]!.circle).not.toBeNull();
});

test('between two poles it is a distance of poles', () => {
  const poles = [0, 1].map(at => newItem('pole', `p${at}`, { xM: 5, yM: 10 + at * 1.3 }, UP));
  const row = { ...layout, items: [...layout.items, ...poles] };
  const made = madeQuestion(row, tapped(['p0', 'p1', 'alder'], row), { id: 'q', gait: 'trot' })!;
  expect(made.what.kind === 'made' && made.what.legs.map(({ setting }) => setting)).toEqual(['poles', 'course']);
});

test('leave that one out: the legs beside it become one, the others keep their counts, and it stays on the sand', () => {
  const whole = testQuestion('course', { asked: [5, 4, 6, 3, 7] });
  const without = leftOut(layout, whole, 2, 'new')!;
  expect(stopsOf(without)).toEqual(['alder', 'heron', 'willow', 'linnet', 'hazel']);
  expect(countsAsked(askedLayout(layout, without)!)).toEqual([5, null, 3, 7]);
  expect(askedLayout(layout, without)!.items.map(({ id }) => id)).toContain('rowan');
  expect(stopsOf(leftOut(layout, whole, 0, 'new')!)[0]).toBe('heron');
  const one = leftOut(
    layout,
    leftOut(layout, madeQuestion(layout, tapped(['heron', 'tern', 'rowan']), { id: 'q', gait: 'canter' })!, 0, 'r')!,
    0,
    's',
  )!;
  expect(leftOut(layout, one, 0, 't')).toBeNull();
  const flat = { ...layout, tracks: [{ ...layout.tracks[0]!, kind: 'figures' as const, figures: [] }] };
  expect(() => leftOut(flat as never, whole, 0, 'x')).toThrow(RangeError);
});

test('a fence that is ridden twice is left out the one time that is meant', () => {
  const made = madeQuestion(layout, tapped(['alder', 'heron', 'rowan', 'alder', 'heron']), {
    id: 'q',
    gait: 'canter',
  })!;
  expect(stopsOf(leftOut(layout, made, 3, 'r')!)).toEqual(['alder', 'heron', 'rowan', 'heron']);
});

test('whatever is left out in whatever order, what is left is ridden in the order it was tapped', () => {
  const ids = layout.items.map(({ id }) => id);
  fc.assert(
    fc.property(
      fc.shuffledSubarray(ids, { minLength: 3 }),
      fc.array(fc.nat({ max: 9 }), { maxLength: 5 }),
      (order, leave) => {
        let left = [...order];
        let question: Question = madeQuestion(layout, tapped(order), { id: 'q', gait: 'course-canter' })!;
        for (const at of leave) {
          if (left.length < 2) break;
          const stop = at % left.length;
          question = leftOut(layout, question, stop, 'q')!;
          left = left.filter((_, index) => index !== stop);
          expect(stopsOf(question)).toEqual(left);
          expect(countsAsked(askedLayout(layout, question)!)).toHaveLength(left.length - 1);
        }
      },
    ),
  );
});

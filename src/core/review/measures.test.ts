import type { TappedMark } from '../record/passMark';
import { MEASURES } from './measures';
import { passMaker, testLeg } from './testPasses';

const pass = passMaker();
const fence = (place: number, outcome: 'down' | 'rub' | 'refusal' | 'clear'): TappedMark => ({
  kind: 'fence',
  place,
  outcome,
});
/** What a measure counts in a pass over two fences. */
const counted = (measure: string, ...marks: TappedMark[]) => {
  const { of, hits } = MEASURES.find(one => one.measure === measure)!.of(pass({}, ...marks));
  return [hits, of];
};

test('what is clean is clean, and a rub is', () => {
  expect(counted('clean passes')).toEqual([1, 1]);
  expect(counted('clean passes', fence(1, 'rub'))).toEqual([1, 1]);
  expect(counted('clean passes', fence(1, 'down'))).toEqual([0, 1]);
});

test('fences left standing, of those that were come to', () => {
  const standing = (...marks: TappedMark[]) => counted('fences left standing', ...marks);
  expect(standing()).toEqual([2, 2]);
  expect(standing(fence(1, 'down'))).toEqual([1, 2]);
  expect(standing(fence(1, 'rub'), fence(2, 'clear'))).toEqual([2, 2]);
  // A refusal at the first: the second was not come to.
  expect(standing(fence(1, 'refusal'))).toEqual([0, 1]);
  expect(standing(fence(2, 'refusal'))).toEqual([1, 2]);
  expect(standing({ kind: 'void' })).toEqual([0, 0]);
});

test('poles not touched, each once', () => {
  const poles = (...marks: TappedMark[]) => {
    const made = pass({}, ...marks);
    const ground = { ...made.ground, stops: made.ground.stops.map(stop => ({ ...stop, isFence: false })) };
    const { of, hits } = MEASURES.find(({ measure }) => measure === 'poles not touched')!.of({ ...made, ground });
    return [hits, of];
  };
  expect(poles()).toEqual([2, 2]);
  expect(poles({ kind: 'hit', place: 1 }, { kind: 'hit', place: 1 })).toEqual([1, 2]);
  expect(counted('poles not touched', { kind: 'hit', place: 1 })).toEqual([0, 0]);
});

test('the lead of the rein, departs that were right, and counts as they were asked', () => {
  const lead = (which: 'left' | 'right' | 'cross-canter', place = 1): TappedMark => ({
    kind: 'lead',
    place,
    lead: which,
  });
  expect(counted('landed on the lead of the rein')).toEqual([0, 0]);
  expect(counted('landed on the lead of the rein', lead('left'), lead('right', 2))).toEqual([1, 2]);
  expect(counted('landed on the lead of the rein', lead('cross-canter'))).toEqual([0, 1]);
  const depart = (how: 'right' | 'wrong lead'): TappedMark => ({ kind: 'depart', how }) as TappedMark;
  expect(counted('right canter departs', depart('right'))).toEqual([1, 1]);
  expect(counted('right canter departs', depart('wrong lead'), fence(1, 'rub'))).toEqual([0, 1]);
  const asked = (count: number, want: number | null) => {
    const made = pass({}, { kind: 'strides', place: 1, count });
    const ground = { ...made.ground, legs: [testLeg(18.1, want)] };
    const { of, hits } = MEASURES.find(({ measure }) => measure === 'asked counts ridden')!.of({ ...made, ground });
    return [hits, of];
  };
  expect([asked(4, 4), asked(5, 4), asked(5, null)]).toEqual([
    [1, 1],
    [0, 1],
    [0, 0],
  ]);
});

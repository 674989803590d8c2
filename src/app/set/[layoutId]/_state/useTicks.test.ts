import { withAnswer } from './useTicks';

const tick = (piece: string, ticked: boolean, tappedAtMs = 1000) => ({ piece, place: '1 1', ticked, tappedAtMs });
const known = { number: 4, afresh: true, ticks: [tick('b1', true), tick('b2', true)] };

test('what changed lies over what is known, though a clock that was ahead said the earlier of it', () => {
  const later = withAnswer(known, { number: 5, afresh: false, ticks: [tick('b2', false, 500)] });
  expect(later.number).toBe(5);
  expect(later.ticks).toEqual([tick('b1', true), tick('b2', false, 500)]);
});

test('an answer that was long on its way takes nothing back', () => {
  expect(withAnswer(known, { number: 3, afresh: false, ticks: [tick('b1', false)] })).toBe(known);
});

test('after a backup was restored its ticks are all there are', () => {
  const restored = { number: 1, afresh: true, ticks: [tick('b1', true)] };
  expect(withAnswer(known, restored)).toEqual(restored);
});

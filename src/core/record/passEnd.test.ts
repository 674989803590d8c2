import type { PassMark, TappedMark } from './passMark';
import { passEnd, stopsRidden } from './passEnd';

const FIVE = 5;
const pass = (direction: 'as-drawn' | 'other-way', ...marks: TappedMark[]) => ({
  direction,
  marks: marks.map((mark, index) => ({ id: `m${index}`, ...mark }) as PassMark),
});
const fence = (place: number, outcome: 'refusal' | 'run-out left' | 'down' | 'clear'): TappedMark => ({
  ...{ kind: 'fence', place, outcome },
});

test('a pass ends at its finish, where nobody refused', () => {
  expect(passEnd(pass('as-drawn', fence(2, 'down')), FIVE)).toEqual({ at: 'finish' });
  expect(stopsRidden(pass('as-drawn', fence(2, 'down')), FIVE)).toEqual([0, 1, 2, 3, 4]);
  expect(stopsRidden(pass('other-way'), FIVE)).toEqual([4, 3, 2, 1, 0]);
});

test('it ends at a refusal or a run-out that nothing came after, and what lies behind was not ridden', () => {
  expect(passEnd(pass('as-drawn', fence(3, 'refusal')), FIVE)).toEqual({ at: 'stop', stop: 2 });
  expect(stopsRidden(pass('as-drawn', fence(3, 'refusal')), FIVE)).toEqual([0, 1]);
  expect(stopsRidden(pass('as-drawn', fence(1, 'run-out left')), FIVE)).toEqual([]);
  // Ridden back, the fourth is the second.
  expect(stopsRidden(pass('other-way', fence(4, 'refusal')), FIVE)).toEqual([4]);
});

test('where something was marked farther on the pair went on; what was refused was not ridden all the same', () => {
  const on = pass('as-drawn', fence(2, 'refusal'), fence(4, 'down'));
  expect(passEnd(on, FIVE)).toEqual({ at: 'finish' });
  expect(stopsRidden(on, FIVE)).toEqual([0, 2, 3, 4]);
  // Before it on the way back is after it as drawn.
  expect(passEnd(pass('other-way', fence(2, 'refusal'), fence(4, 'down')), FIVE)).toEqual({ at: 'stop', stop: 1 });
  expect(passEnd(pass('other-way', fence(4, 'refusal'), fence(2, 'down')), FIVE)).toEqual({ at: 'finish' });
  // The last of two refusals.
  expect(passEnd(pass('as-drawn', fence(2, 'refusal'), fence(4, 'refusal')), FIVE)).toEqual({ at: 'stop', stop: 3 });
});

test('strides to a fence and a foot in a gap say that it was reached', () => {
  expect(passEnd(pass('as-drawn', fence(2, 'refusal'), { kind: 'strides', place: 2, count: 4 }), FIVE).at).toBe(
    'finish',
  );
  expect(passEnd(pass('as-drawn', fence(3, 'refusal'), { kind: 'strides', place: 1, count: 4 }), FIVE).at).toBe('stop');
});

test('of a line alone its own stops, and of a pass that was given up none', () => {
  const line = pass('as-drawn', { kind: 'line', from: 2, to: 4 });
  expect(stopsRidden(line, FIVE)).toEqual([1, 2, 3]);
  expect(passEnd(pass('as-drawn', { kind: 'void' }, fence(2, 'down')), FIVE)).toEqual({ at: 'void' });
  expect(stopsRidden(pass('as-drawn', { kind: 'void' }), FIVE)).toEqual([]);
});

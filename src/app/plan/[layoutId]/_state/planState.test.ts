import fc from 'fast-check';
import { commit, redo, startHistory, undo } from './history';
import { selectThing, standing } from './selection';

test('undo takes back any number of steps, and redo brings all of them again', () => {
  fc.assert(
    fc.property(fc.array(fc.integer(), { minLength: 1, maxLength: 30 }), steps => {
      // Boxed, so that equal numbers are still different states.
      const states = steps.map(value => ({ value }));
      const full = states.reduce(commit, startHistory({ value: -1 }));
      const back = states.reduce(history => undo(history), full);
      expect(back.present).toEqual({ value: -1 });
      expect(undo(back)).toBe(back);
      expect(states.reduce(history => redo(history), back).present).toBe(full.present);
    }),
  );
});

test('a new step forgets what was undone', () => {
  const history = commit(undo(commit(startHistory('a'), 'b')), 'c');
  expect(redo(history)).toBe(history);
  expect(undo(history).present).toBe('a');
});

test('a thing is selected alone, or with the others, or left out of them again', () => {
  const one = selectThing({ ids: ['heron'], leg: null }, 'willow', false);
  expect(one.ids).toEqual(['willow']);
  const both = selectThing(one, 'heron', true);
  expect(both.ids).toEqual(['willow', 'heron']);
  expect(selectThing(both, 'willow', true).ids).toEqual(['heron']);
});

test('what is gone is selected no more', () => {
  const selection = { ids: ['heron', 'willow'], leg: null };
  expect(standing(selection, id => id === 'heron').ids).toEqual(['heron']);
  expect(standing(selection, () => true)).toBe(selection);
});

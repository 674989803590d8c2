import { gridWords, withElement, withoutElement } from './gridElements';
import { GRID_ELEMENTS } from './recipes/grid';

const PARAMS = {
  elements: ['place', 'cross', 'bounce cross', 'one vertical'],
  gapsM: [2.74, 3.35, 5.49],
  heightsM: [0, 0.5, 0.8],
};

test('every element has words of its own that say no parameter', () => {
  const words = GRID_ELEMENTS.map(gridWords);
  expect(new Set(words).size).toBe(GRID_ELEMENTS.length);
  expect(words).not.toContain('place');
  expect(gridWords('whatever')).toBe('whatever');
});

test('one more element: what was typed for the others stays with them', () => {
  const more = withElement(PARAMS, 2, 'one oxer');
  expect(more.elements).toEqual(['place', 'cross', 'one oxer', 'bounce cross', 'one vertical']);
  // The gap before the new one is as reckoned; the bounce keeps its own, and so do the heights.
  expect(more.gapsM).toEqual([2.74, 0, 3.35, 5.49]);
  expect(more.heightsM).toEqual([0, 0, 0.5, 0.8]);
  // A pole has no height.
  expect(withElement(PARAMS, 3, 'half').heightsM).toEqual(PARAMS.heightsM);
  expect(withElement({ elements: ['cross'] }, 1, 'one vertical')).toMatchObject({ gapsM: [0], heightsM: [0, 0] });
});

test('one element less, and its distance and height go with it', () => {
  const less = withoutElement(PARAMS, 2);
  expect(less).toMatchObject({
    elements: ['place', 'cross', 'one vertical'],
    gapsM: [2.74, 5.49],
    heightsM: [0, 0.8],
  });
  expect(withoutElement(withElement(PARAMS, 1, 'one oxer'), 1)).toEqual(PARAMS);
});

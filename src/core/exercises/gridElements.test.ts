import { gridWords, withElement, withoutElement } from './gridElements';
import { layOutExercise } from './layOutExercise';
import { GRID_ELEMENTS } from './recipes/grid';
import { findRecipe } from './shelf';

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

describe('what keeps a horse straight through a grid', () => {
  const horse = { id: 'h', name: 'h', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} } as const;
  const arena = { widthM: 20, lengthM: 60, letters: '20x60' } as const;
  const elements = ['cross', 'one vertical', 'two oxer'];
  const laid = (drift: string) =>
    layOutExercise(
      findRecipe('grid')!,
      { arena, school: 'whole-stride', horses: [horse] },
      { rein: 'left', params: { elements, drift } },
    ).exercise.items;
  const guidesOf = (drift: string) => {
    const items = laid(drift);
    const fences = items.filter(item => item.kind === 'fence');
    const perFence = fences.map(
      ({ id }) => items.filter(one => one.kind === 'guide' && one.id.startsWith(`${id}-`)).length,
    );
    return Object.fromEntries(fences.map((one, at) => [one.kind === 'fence' && one.form, perFence[at]]));
  };

  test('rails lean on a vertical and an oxer, two each, and never on a cross', () => {
    expect(guidesOf('rails')).toEqual({ 'cross-rail': 0, vertical: 2, oxer: 2 });
  });

  test('or poles lie where it lands; or there is nothing', () => {
    expect(guidesOf('tunnel')).toMatchObject({ oxer: 2 });
    expect(guidesOf('none')).toEqual({ 'cross-rail': 0, vertical: 0, oxer: 0 });
  });
});

import type { PlannedFigure } from '../figures/figure';
import type { Fence } from '../items/item';
import { DEFAULT_LEG, type FigureTrack, type ItemTrack, type Layout } from './layout';
import { applyEdits } from './layoutEdit';
import { moveForGround } from './moveForGround';
import { reckonItemTrack } from './reckonLayout';

const fence = (id: string, yM: number): Fence => ({
  ...{
    kind: 'fence',
    id,
    name: null,
    form: 'vertical',
    at: { xM: 20, yM },
    headingRad: Math.PI / 2,
    widthM: 3,
    heightM: 0.8,
  },
  ...{ spreadM: 0, ridden: 'both-ways', filler: false, groundLineBeforeM: null, sideHeightM: null, corner: null },
});
const TRACK: ItemTrack = {
  ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
  through: ['a', 'b', 'c'].map(item => ({ item, reversed: false })),
  legs: [
    { ...DEFAULT_LEG, asked: 3 },
    { ...DEFAULT_LEG, asked: 4 },
  ],
};
const LAYOUT: Layout = {
  ...{ name: 'l', arena: { widthM: 40, lengthM: 70, letters: 'none' }, fall: null, school: 'whole-stride' },
  ...{ items: [fence('a', 12), fence('b', 27), fence('c', 45)], tracks: [TRACK], horses: [], kit: null },
};
const track = (layout: Layout) => layout.tracks[0] as ItemTrack;

test('an item taken away leaves its tracks, and the legs on both sides become one plain leg', () => {
  const without = applyEdits(LAYOUT, [{ kind: 'remove-item', item: 'b' }]);
  expect(without.items.map(({ id }) => id)).toEqual(['a', 'c']);
  expect(track(without).through.map(({ item }) => item)).toEqual(['a', 'c']);
  expect(track(without).legs).toEqual([DEFAULT_LEG]);
  const shorter = applyEdits(LAYOUT, [{ kind: 'remove-item', item: 'c' }]);
  expect(track(shorter).legs).toEqual([TRACK.legs[0]]);
  const nothing = applyEdits(
    LAYOUT,
    ['a', 'b', 'c'].map(item => ({ kind: 'remove-item', item })),
  );
  expect(nothing.tracks).toEqual([]);
});

test('edits follow each other, leave the layout they came from alone, and ignore what is not there', () => {
  const changed = applyEdits(LAYOUT, [
    { kind: 'move-item', item: 'a', to: { xM: 21, yM: 12 } },
    { kind: 'change-fence', item: 'a', changes: { heightM: 1 } },
    { kind: 'ride-way', track: 'line', index: 0, reversed: true },
    { kind: 'move-item', item: 'nobody', to: { xM: 0, yM: 0 } },
    { kind: 'set-passes', track: 'nothing', passes: 9 },
  ]);
  expect(changed.items[0]).toMatchObject({ at: { xM: 21, yM: 12 }, heightM: 1 });
  expect(track(changed).through[0]!.reversed).toBe(true);
  expect(LAYOUT.items[0]).toMatchObject({ at: { xM: 20, yM: 12 }, heightM: 0.8 });
});

test('a leg is given the ground it is to have, by moving what lies behind it', () => {
  const line = moveForGround(LAYOUT, TRACK, 0, { by: 'tape', lengthM: 16.2 }, ['b', 'c'], true);
  if (!line.ok) throw new Error('no line');
  const moved = applyEdits(LAYOUT, line.edits);
  const legs = reckonItemTrack(moved, track(moved)).legs.map(({ groundM }) => groundM);
  expect(legs).toEqual([expect.closeTo(16.2, 6), expect.closeTo(18, 6)]);
  const back = moveForGround(LAYOUT, TRACK, 1, { by: 'tape', lengthM: 17 }, ['a', 'b'], false);
  if (!back.ok) throw new Error('no line');
  expect(reckonItemTrack(applyEdits(LAYOUT, back.edits), TRACK).legs[1]!.groundM).toBeCloseTo(17, 6);
});

test('an edit changes the leg, the figure and the kind of track that it names, and no other', () => {
  const circle = (id: string, diameterM: number): PlannedFigure => ({
    ...{ id, name: null, gait: null, parts: [] },
    figure: {
      ...{ kind: 'circle', rein: 'left', diameterM, rounds: 1 },
      start: { at: { xM: 20, yM: 30 }, headingRad: 0 },
    },
  });
  const flat = { kind: 'figures', id: 'flat', name: null, gait: 'trot', passes: 1 } as const;
  const both: Layout = { ...LAYOUT, tracks: [TRACK, { ...flat, figures: [circle('f', 10), circle('g', 15)] }] };
  const smaller = circle('f', 8).figure;
  const changed = applyEdits(both, [
    { kind: 'change-leg', track: 'line', leg: 1, changes: { asked: 5 } },
    { kind: 'change-figure', track: 'flat', index: 1, figure: smaller },
    { kind: 'change-leg', track: 'flat', leg: 0, changes: { asked: 9 } },
    { kind: 'change-figure', track: 'line', index: 0, figure: smaller },
    { kind: 'remove-figure', track: 'line', index: 0 },
    { kind: 'raise-pole', item: 'a', raised: { leftM: 0.1, rightM: 0.1 } },
  ]);
  expect(track(changed)).toEqual({ ...TRACK, legs: [TRACK.legs[0], { ...TRACK.legs[1], asked: 5 }] });
  const figures = (layout: Layout) => (layout.tracks[1] as FigureTrack).figures;
  expect(figures(changed)).toEqual([circle('f', 10), { ...circle('g', 15), figure: smaller }]);
  expect(changed.tracks[1]).not.toHaveProperty('legs');
  expect(changed.items).toEqual(LAYOUT.items);
  const fewer = applyEdits(both, [{ kind: 'remove-figure', track: 'flat', index: 0 }]);
  expect(figures(fewer)).toEqual([circle('g', 15)]);
});

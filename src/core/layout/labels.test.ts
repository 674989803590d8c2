import { newItem } from '../plan/newItem';
import type { Item } from '../items/item';
import { letterOf, layoutLabels } from './labels';
import { DEFAULT_LEG, type ItemTrack } from './layout';

const item = (id: string, name: string | null = null, choice: 'vertical' | 'pole' | 'cone' = 'vertical'): Item => ({
  ...newItem(choice, id, { xM: 5, yM: 5 }, 0),
  name,
});
const track = (id: string, order: string[], name: string | null = null): ItemTrack => ({
  ...{ kind: 'items', id, name, gait: 'course-canter', course: null, passes: 1 },
  through: order.map(one => ({ item: one, reversed: false })),
  legs: order.slice(1).map(() => DEFAULT_LEG),
});

test('what is ridden has its number, what is not its name, else a letter; an id is never told', () => {
  const items = [item('id-a'), item('id-b', 'gate'), item('id-c', null, 'cone'), item('id-d', null, 'pole')];
  const labels = layoutLabels({ items, tracks: [track('id-t', ['id-d', 'id-b', 'id-a'])] });
  expect(items.map(({ id }) => labels.short(id))).toEqual(['3', '2', 'A', '1']);
  expect(items.map(({ id }) => labels.called(id))).toEqual(['3', '2 gate', 'A', '1']);
  expect(items.map(({ id }) => labels.inWords(id))).toEqual(['fence 3', 'gate (fence 2)', 'cone A', 'pole 1']);
  expect(labels.track('id-t')).toBe('track');
});

test('a fence that is ridden twice is told by its first number', () =>
  expect(layoutLabels({ items: [item('a'), item('b')], tracks: [track('t', ['a', 'b', 'a'])] }).inWords('a')).toBe(
    'fence 1',
  ));

test('where two tracks number their own, a sentence says of which', () => {
  const items = [item('a'), item('b')];
  const labels = layoutLabels({ items, tracks: [track('s', ['a'], 'Grid'), track('t', ['b'])] });
  expect(items.map(({ id }) => labels.inWords(id))).toEqual(['fence 1 of Grid', 'fence 1 of track']);
});

test('two things of one name are called alike', () => {
  const labels = layoutLabels({ items: [item('a', 'blue'), item('b', 'blue')], tracks: [] });
  expect([labels.short('a'), labels.short('b')]).toEqual(['blue', 'blue']);
});

test('nameless tracks are numbered where there are several of a kind', () => {
  const labels = layoutLabels({
    items: [item('a')],
    tracks: [
      track('s', ['a']),
      { ...track('c', ['a']), course: { speedMPerMin: 350, startM: 0, finishM: 0 } },
      track('t', ['a']),
      { kind: 'figures', id: 'f', name: null, gait: 'trot', passes: 1, figures: [] },
    ],
  });
  expect(['s', 'c', 't', 'f'].map(labels.track)).toEqual(['track 1', 'course', 'track 2', 'flat work']);
});

test('after Z come AA, AB', () => expect([0, 25, 26, 27, 52].map(letterOf)).toEqual(['A', 'Z', 'AA', 'AB', 'BA']));

test('poles that help a fence have no number: the fences count on without them', () => {
  const items = [item('p', null, 'pole'), item('a'), item('half', null, 'pole'), item('b'), item('far', null, 'pole')];
  const grid = { ...DEFAULT_LEG, setting: 'grid' as const };
  const through = track('t', ['p', 'a', 'half', 'b', 'far']);
  const labels = layoutLabels({ items, tracks: [{ ...through, legs: [grid, grid, grid, DEFAULT_LEG] }] });
  expect(items.map(({ id }) => labels.short(id))).toEqual(['A', '1', 'B', '2', '3']);
  // A pole that is ridden on its own way is no help, and on a track of poles alone every one counts.
  const poles = items.filter(({ kind }) => kind === 'pole');
  const row = {
    ...track(
      't',
      poles.map(({ id }) => id),
    ),
    legs: [grid, grid],
  };
  expect(poles.map(({ id }) => layoutLabels({ items: poles, tracks: [row] }).short(id))).toEqual(['1', '2', '3']);
});

test('letters go to what could be ridden first, and then to what stands beside it', () => {
  const items = [item('c', null, 'cone'), item('f'), item('p', null, 'pole')];
  const labels = layoutLabels({ items, tracks: [] });
  expect(items.map(({ id }) => labels.short(id))).toEqual(['C', 'A', 'B']);
});

import { moveThings } from '@/core';
import { liveStore } from './liveShown';
import { movedNames, partsNamed, partsOf } from './movedParts';
import { LINE, shows } from './testShown';

test('what a drag moves is the fence and its own legs; the rest lies as it lay', () => {
  const show = shows();
  const standing = partsOf(show(LINE));
  expect(movedNames(standing, null)).toBe('');
  const moved = show(moveThings(LINE, ['ash'], { xM: 0, yM: 0.5 }));
  expect(movedNames(standing, moved).split('\n')).toEqual(['item ash', 'leg 0 of line']);
  const middle = show(moveThings(LINE, ['birch'], { xM: 0, yM: 0.5 }));
  expect(movedNames(standing, middle).split('\n')).toEqual(['item birch', 'leg 0 of line', 'leg 1 of line']);
});

test('parts are found again by their names', () => {
  const shown = shows()(LINE);
  const standing = partsOf(shown);
  expect(partsNamed(standing, '').size).toBe(0);
  expect(partsNamed(standing, 'item elm\nleg 1 of line')).toEqual(
    new Set([shown.resolved.layout.items[2], shown.tracks[0]!.kind === 'items' ? shown.tracks[0]!.legs[1] : null]),
  );
});

test('those who listen hear of every change, and of nothing once they stopped', () => {
  const store = liveStore();
  const heard: unknown[] = [];
  const stop = store.subscribe(() => heard.push(store.get()));
  const live = { shown: shows()(LINE), drag: null };
  store.set(live);
  store.set(live);
  store.set(null);
  stop();
  store.set(live);
  expect(heard).toEqual([live, null]);
});

import { moveThings } from '@/core';
import { liveStore, whenAsked, type Live } from './liveShown';
import { movedNames, partsNamed, partsOf } from './movedParts';
import { LINE, shows } from '../_state/testShown';

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
  const live: Live = { hand: { kind: 'edits', edits: [] }, stand: 1, made: () => null };
  store.set(live);
  store.set(live);
  store.set(null);
  stop();
  store.set(live);
  expect(heard).toEqual([live, null]);
});

test('what is painted as moved is forgotten when the hand lets go, and what comes late is not heard', () => {
  const store = liveStore();
  let heard = 0;
  store.subscribe(() => (heard += 1));
  store.setMoved('item ash');
  expect([store.moved(), heard]).toEqual([null, 0]);
  store.set({ hand: { kind: 'edits', edits: [] }, stand: 1, made: () => null });
  expect(store.moved()).toBeNull();
  store.setMoved('item ash');
  store.setMoved('item ash');
  expect([store.moved(), heard]).toEqual(['item ash', 2]);
  store.set(null);
  expect(store.moved()).toBeNull();
});

test('what is asked for is reckoned once, and not before', () => {
  let times = 0;
  const asked = whenAsked(() => (times += 1));
  expect(times).toBe(0);
  expect([asked(), asked(), times]).toEqual([1, 1, 1]);
});

import type { RiddenItem } from '../items/item';
import { newItem } from '../plan/newItem';
import { isBetween, lineWay } from './groupWays';

const UP = Math.PI / 2;
const pole = (id: string, xM: number, yM: number, headingRad = UP) =>
  newItem('pole', id, { xM, yM }, headingRad) as RiddenItem;
const [FIRST, LAST] = [pole('first', 10, 10), pole('last', 10, 20)];
/** What is measured, by its name: metres. */
const measures = (item: RiddenItem) =>
  Object.fromEntries(
    lineWay(item, FIRST, LAST).measures.map(({ id, lengthM }) => [id, Math.round(lengthM * 1e6) / 1e6]),
  );
const placings = (item: RiddenItem) =>
  lineWay(item, FIRST, LAST).points.map(({ placing }) => (placing.how === 'line' ? placing : null));

test('on both tapes, as far along on either: one measure', () => {
  expect(measures(pole('m', 10, 14))).toEqual({ 'm|on line': 4 });
  expect(placings(pole('m', 10, 14))).toMatchObject([
    { from: { item: 'first', end: 'left' }, to: { item: 'last', end: 'left' }, off: null },
    { from: { item: 'first', end: 'right' }, to: { item: 'last', end: 'right' }, off: null },
  ]);
});

test('beside the tapes it has how far off, and to which side', () => {
  expect(measures(pole('m', 9.6, 14))).toEqual({
    ...{ 'm|on line left': 4, 'm|on line right': 4, 'm|off line left': 0.4, 'm|off line right': 0.4 },
  });
  expect(placings(pole('m', 9.6, 14)).map(placing => placing!.off!.side)).toEqual(['left', 'left']);
  expect(placings(pole('m', 10.4, 14)).map(placing => placing!.off!.side)).toEqual(['right', 'right']);
});

test('turned, each end has its own', () => {
  const turned = measures(pole('m', 10, 14, UP + 0.2));
  expect(turned['m|on line left']).toBeLessThan(4);
  expect(turned['m|on line right']).toBeGreaterThan(4);
});

test('between two others lies what both its ends are', () => {
  const between = (item: RiddenItem) => isBetween(item, FIRST, LAST);
  expect([between(pole('m', 10, 14)), between(pole('m', 30, 14))]).toEqual([true, true]);
  expect([between(pole('m', 10, 10)), between(pole('m', 10, 20)), between(pole('m', 10, 21))]).toEqual([
    ...[false, false, false],
  ]);
  // Turned a little at its first, one end lies before it.
  expect(between(pole('m', 10, 10.1, UP + 0.3))).toBe(false);
  expect(isBetween({ kind: 'cone', id: 'c', name: null, at: { xM: 10, yM: 14 } }, FIRST, LAST)).toBe(true);
});

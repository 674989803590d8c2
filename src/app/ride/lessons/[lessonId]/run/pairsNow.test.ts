import { NO_EARLIER_WORK, type Join, type RecordChange } from '@/core';
import { pairsNow } from './pairsNow';
import type { RunPair } from './runStage';

const pair = (id: string, horseId: string, planned = true): RunPair => ({
  ...{ id, horseId, horse: horseId, rider: 'r', earlier: { ...NO_EARLIER_WORK, lowEfforts: 7 }, planned },
  strides: { id: horseId, name: horseId, heightM: 1.6, type: 'cob', level: 'novice', strides: {} },
});
const join = (pairId: string, horseId: string, heightM = 1.3): Join => ({
  ...{ id: `join ${pairId}`, pairId, insteadOf: null, atMs: 0, by: null },
  ...{ horse: { id: horseId, name: 'Sorrel', heightM }, rider: { id: 'ada', name: 'Ada' } },
});

test('pairs ride as planned, or as was said since', () => {
  const pairs = [pair('a', 'barley'), pair('b', 'thimble'), pair('gone', 'quill', false)];
  const now = pairsNow(pairs, { joins: [], rides: { b: false }, changes: [] });
  expect(now.map(({ id, rides }) => [id, rides])).toEqual([
    ['a', true],
    ['b', false],
    ['gone', false],
  ]);
});

test('a pair that joined has the strides that practice has for its height; one of a known horse has those of the horse', () => {
  const rides = { new: true, twin: true };
  const now = pairsNow([pair('a', 'barley')], {
    joins: [join('new', 'sorrel'), join('twin', 'barley')],
    rides,
    changes: [],
  });
  const [, sorrel, twin] = now;
  expect(sorrel).toMatchObject({ horse: 'Sorrel', rider: 'Ada', rides: true, earlier: NO_EARLIER_WORK });
  // A small pony's canter is shorter than a big horse's.
  const tall = pairsNow([], { joins: [join('tall', 'tall', 1.75)], rides, changes: [] })[0]!;
  const canter = (one: typeof tall) => one.strides.strides['course-canter']!.normalM;
  expect(canter(sorrel!)).toBeLessThan(canter(tall));
  expect(twin!.strides).toEqual(pair('a', 'barley').strides);
  expect(twin!.earlier.lowEfforts).toBe(7);
});

test('once the page knows a pair that joined, it is there once', () => {
  const joins = [join('new', 'sorrel'), join('new', 'sorrel')];
  expect(pairsNow([pair('new', 'sorrel')], { joins, rides: { new: true }, changes: [] })).toHaveLength(1);
  expect(pairsNow([], { joins, rides: { new: true }, changes: [] })).toHaveLength(1);
});

test('pairs ride in the order that was said last; who came since rides behind them', () => {
  const pairs = [pair('a', 'barley'), pair('b', 'thimble'), pair('c', 'quill')];
  const order = (id: string, to: string[], from: string[] = []): RecordChange => ({
    ...{ id, on: 'lesson', of: 'l', what: 'order', was: [], to, from, atMs: 1, by: null, undoes: null },
  });
  const log = { joins: [join('new', 'sorrel')], rides: { new: true } };
  const inOrder = (changes: RecordChange[]) => pairsNow(pairs, { ...log, changes }).map(({ id }) => id);
  expect(inOrder([])).toEqual(['a', 'b', 'c', 'new']);
  expect(inOrder([order('one', ['c', 'a', 'b'])])).toEqual(['c', 'a', 'b', 'new']);
  expect(inOrder([order('one', ['c', 'a', 'b']), order('two', ['a', 'b', 'c'], ['one'])])).toEqual([
    'a',
    'b',
    'c',
    'new',
  ]);
});

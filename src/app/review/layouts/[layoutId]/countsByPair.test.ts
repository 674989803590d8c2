import { countsByPair } from './countsByPair';

const nameOf = (id: string) => id;
const cell = (...ridden: [number, number][]) =>
  ({ ridden: ridden.map(([count, times]) => ({ count, times })) }) as never;
const clean = { of: 4, hits: 2 };
const legs = [{ from: 'heron', to: 'willow', groundM: 18.1 }];

test('pairs stand under the count that each rode most often, those of one count together', () => {
  const rows = [
    { pairId: 'Quill', clean, cells: [cell([4, 2], [5, 9])] },
    { pairId: 'Barley', clean, cells: [cell([6, 3])] },
    { pairId: 'Fern', clean, cells: [cell([5, 1])] },
    { pairId: 'Osprey', clean, cells: [null] },
  ];
  expect(countsByPair({ legs, rows }, nameOf)).toEqual([['5: Quill, Fern', '6: Barley']]);
});

test('where all rode the same count they are not named one by one, and of many only some are', () => {
  const row = (pairId: string, count: number) => ({ pairId, clean, cells: [cell([count, 1])] });
  const five = ['a', 'b', 'c', 'd', 'e'].map(id => row(id, 5));
  expect(countsByPair({ legs, rows: five }, nameOf)).toEqual([['5: all']]);
  expect(countsByPair({ legs, rows: [...five, row('f', 4)] }, nameOf)).toEqual([['4: f', '5: a, b, c and 2 more']]);
  expect(countsByPair({ legs, rows: [row('a', 5)] }, nameOf)).toEqual([['5: a']]);
  expect(countsByPair({ legs, rows: [] }, nameOf)).toEqual([[]]);
});

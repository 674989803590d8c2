import { buildChanges, carryPlan, carryRoute, newItem, type Fence, type Item } from '@/core';
import { buildChangeWords, carryHalts } from './changeWords';

const UP = Math.PI / 2;
const metres = (lengthM: number) => `${lengthM.toFixed(2)} m`;
const numberOf = (id: string) => id.slice(1);
const pole = (id: string, yM: number): Item => ({
  ...(newItem('pole', id, { xM: 10, yM }, UP) as Extract<Item, { kind: 'pole' }>),
  lengthM: 3,
});
const fence = (id: string, yM: number, form: 'cross-rail' | 'vertical', heightM: number): Item => ({
  ...(newItem(form, id, { xM: 10, yM }, UP) as Fence),
  ...{ heightM, widthM: 3 },
});
const said = (from: Item[], to: Item[]) =>
  buildChanges(from, to).map(change => buildChangeWords(change, numberOf, metres));

test('the second and fourth pole become cross-rails: four stands and what they hang on, said once', () => {
  const poles = [pole('f1', 10), pole('f2', 13), pole('f3', 16), pole('f4', 19)];
  const next = [poles[0]!, fence('f2', 13, 'cross-rail', 0.4), poles[2]!, fence('f4', 19, 'cross-rail', 0.4)];
  // A cross-rail takes two rails, two stands and four cups or fewer (common practice, no source): the pole of each is there.
  const [words, ...others] = said(poles, next);
  expect(others).toEqual([]);
  expect(words).toMatch(/^2 and 4: up to cross rails, 0\.40 m high; bring 2 poles, 4 stands, \d+ cups$/);
});

test.each([
  [[fence('f1', 10, 'vertical', 0.6)], [fence('f1', 10, 'vertical', 0.8)], /^1: up to 0\.80 m(; bring .*)?$/],
  [[fence('f1', 10, 'vertical', 0.8)], [fence('f1', 10, 'vertical', 0.6)], /^1: down to 0\.60 m(; take back .*)?$/],
  [[fence('f1', 10, 'cross-rail', 0.4)], [fence('f1', 10, 'vertical', 0.6)], /^1: now a vertical, 0\.60 m high/],
  [[fence('f1', 10, 'vertical', 0.6)], [pole('f1', 10)], /^1: down to a pole; take back/],
  [[pole('f1', 10)], [], /^1: away; take back 1 pole$/],
  [[], [pole('f1', 10)], /^1: out, a pole; bring 1 pole$/],
])('%#', (from, to, words) => {
  expect(said(from, to)).toEqual([expect.stringMatching(words)]);
});

test('what is built alike is no change, wherever it stands', () => {
  expect(said([pole('f1', 10)], [pole('f1', 30)])).toEqual([]);
});

test('halts in order: two poles taken at the store, each put down where it goes', () => {
  const store = { xM: 10, yM: 0 };
  const to = [pole('f1', 10), pole('f2', 20)];
  const { loads } = carryPlan([], to, store);
  const names = { fromOf: numberOf, toOf: numberOf, store: 'the store', format: metres };
  expect(carryHalts(loads, carryRoute(loads, store), store, names)).toEqual([
    { at: store, where: 'the store', takes: '2 poles of 3.00 m', puts: '', walkM: 0 },
    { at: { xM: 10, yM: 10 }, where: '1', takes: '', puts: '1 pole of 3.00 m', walkM: 10 },
    { at: { xM: 10, yM: 20 }, where: '2', takes: '', puts: '1 pole of 3.00 m', walkM: 10 },
  ]);
});

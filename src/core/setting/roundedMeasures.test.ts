import type { Layout } from '../layout/layout';
import { tapeGrids } from '../units/tapeGrids';
import { itemsAsMeasured } from './asMeasured';
import { changedLegs } from './legChanges';
import { roundedMeasures } from './roundedMeasures';
import { settingSheet } from './settingSheet';
import { testHorse, verticalsInLine } from './testLine';

const sheetOf = (layout: Layout) => settingSheet(layout, { measureBy: 'line', from: { xM: 10, yM: 0 } });
const changedWords = (layout: Layout, lengths: ReadonlyMap<string, number>) =>
  changedLegs(layout, itemsAsMeasured(layout, sheetOf(layout), lengths)).filter(({ horses }) =>
    horses.some(({ changed }) => changed),
  );
const GRIDS = tapeGrids('m');

test('where no word is near, five centimetres do: 18.13 m is read as 18.15', () => {
  // Strides of 3.6 m: with one to land and take off 18 m is five. 18.13 m is 0.7 % over that: easy, and so is 18.15.
  const layout = verticalsInLine([10.02, 28.15], [testHorse('Heath', 3.6)]);
  const rounded = roundedMeasures(layout, sheetOf(layout), GRIDS);
  expect(rounded.get('f2|gap')).toBeCloseTo(18.15, 9);
  // 10.02 m lies 4.02 m past K, the letter 6 m from the corner.
  expect([...rounded].find(([id]) => id.startsWith('f1|along'))![1]).toBeCloseTo(4, 9);
  expect(changedWords(layout, rounded)).toEqual([]);
});

test('at the edge of a word the gap is read as finely as it needs, and nothing else is', () => {
  // Easy holds to 3 %: 3.6 m × 1.03 × 5 counted strides. At 18.54 m it is all but forward, so that 18.55 would be.
  const layout = verticalsInLine([10.02, 28.555], [testHorse('Heath', 3.6)]);
  const sheet = sheetOf(layout);
  const rounded = roundedMeasures(layout, sheet, GRIDS);
  expect(changedWords(layout, rounded)).toEqual([]);
  expect(changedWords(layout, new Map([['f2|gap', 18.55]]))).not.toEqual([]);
  expect(rounded.get('f2|gap')).toBeLessThan(18.54 + 1e-9);
  expect(rounded.get('f2|gap')).toBeGreaterThan(18.5);
  const inwards = [...rounded].find(([id]) => id.startsWith('f2|in'))![1];
  expect((inwards / 0.05) % 1).toBeCloseTo(0, 6);
});

test('none of them could be coarser: every one, tried one grid up, changes a word or vanishes', () => {
  for (const shiftM of [0.012, 0.037, 0.11, 0.26]) {
    const layout = verticalsInLine(
      [6.013 + shiftM, 13.21 + 2 * shiftM, 24.4 + shiftM, 38.87 + 3 * shiftM],
      [testHorse('Heath', 3.6), testHorse('Quill', 3.1), testHorse('Fen', 2.7)],
    );
    const sheet = sheetOf(layout);
    const rounded = roundedMeasures(layout, sheet, GRIDS);
    expect(changedWords(layout, rounded)).toEqual([]);
    for (const { id, lengthM, follows } of sheet.measures) {
      if (follows) continue;
      const level = GRIDS.findIndex(grid => Math.abs(Math.round(lengthM / grid) * grid - rounded.get(id)!) < 1e-9);
      if (level <= 0) continue;
      const coarser = Math.round(lengthM / GRIDS[level - 1]!) * GRIDS[level - 1]!;
      if (coarser > 0) expect(changedWords(layout, new Map([...rounded, [id, coarser]]))).not.toEqual([]);
    }
  }
});

test('what is more than nothing stays so, and what follows does so from what is rounded', () => {
  const layout = verticalsInLine([18.01, 36], [testHorse('Heath', 3.6)]);
  const sheet = sheetOf(layout);
  const rounded = roundedMeasures(layout, sheet, GRIDS);
  // 1 cm past V, 18 m up: 5 cm would be rounding it up to five times itself, nothing would be level with V.
  expect([...rounded].find(([id]) => id.startsWith('f1|along'))![1]).toBeCloseTo(0.01, 9);
  for (const { id, follows } of sheet.measures)
    if (follows) expect(rounded.get(id)).toBeCloseTo(rounded.get(follows.from)! * follows.times + follows.addM, 9);
});

test('half steps where they change nothing, else the length as it is', () => {
  const layout = verticalsInLine([12, 30], [testHorse('Heath', 3.6)]);
  const sheet = sheetOf(layout);
  // Steps of 0.9 m: 18 m is 20 of them. Of 0.83 m it is 21.69: 21½ are 17.85 m, 0.8 % short, and easy as well.
  expect(roundedMeasures(layout, sheet, [0.415, null]).get('f2|gap')).toBeCloseTo(17.845, 9);
  const fussy = verticalsInLine([12, 30], [testHorse('Heath', 3.6), testHorse('Quill', 18.54 / 5)]);
  expect(roundedMeasures(fussy, sheetOf(fussy), [2.5, null]).get('f2|gap')).toBeCloseTo(18, 9);
});

test.each([[[]], [[0]], [[-1, null]], [[NaN]]])('grids %j are refused', grids => {
  const layout = verticalsInLine([12, 30], []);
  expect(() => roundedMeasures(layout, sheetOf(layout), grids)).toThrow(RangeError);
});

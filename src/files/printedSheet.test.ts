import { newItem, settingSheet, type Fence, type Layout } from '@/core';
import Papa from 'papaparse';
import { mmPerM, paperScale } from './paperScale';
import { printedSheet } from './printedSheet';
import { settingCsv } from './settingCsv';

const UP = Math.PI / 2;
const heron = {
  ...(newItem('vertical', 'heron', { xM: 10, yM: 15 }, UP) as Fence),
  ...{ name: 'heron', widthM: 3.5, heightM: 0.8 },
};
const LAYOUT = {
  ...{ name: 'one', arena: { widthM: 20, lengthM: 60, letters: '20x60' }, fall: null, school: 'whole-stride' },
  ...{ items: [heron, newItem('cone', 'c, left', { xM: 4, yM: 30 }, 0)], tracks: [], horses: [] },
  kit: { poles: 1, stands: 2, cups: 10, blocks: 0, cones: 0, fillers: 0, markers: 0 },
} as Layout;
const SHEET = settingSheet(LAYOUT, { measureBy: 'walls', from: { xM: 10, yM: 0 } });

test('kit with what is lacking, measures on the tape and in steps, worked by hand', () => {
  const { kit, pieces } = printedSheet(LAYOUT, SHEET, { unit: 'm', stepM: 0.75 });
  // A vertical of 0.8 m takes two rails on two stands (common practice, no source).
  expect(kit.map(({ words, lacking }) => [words, lacking])).toEqual([
    ['2 poles', 1],
    ['2 stands', 0],
    ['4 cups', 0],
    ['1 cone', 1],
  ]);
  const fence = pieces.find(({ id }) => id === 'heron')!;
  expect(fence.name).toBe('vertical heron, 0.80 m high');
  // 15 m up is 3 m short of V: 4 steps of 75 cm. 8.25 m in is 11 steps. The far end follows from the rail.
  expect(fence.lines.map(({ tape, steps, follows }) => [tape, steps, follows])).toEqual([
    ['3.00 m', '4 steps', false],
    ['8.25 m', '11 steps', false],
    ['11.75 m', null, true],
  ]);
  expect(fence.notes).toEqual(['Left and right as ridden towards C.']);
});

test('without anybody’s steps there are none, and without a store nothing is lacking', () => {
  const { kit, pieces } = printedSheet({ ...LAYOUT, kit: null }, SHEET, { unit: 'ft', stepM: null });
  expect(kit.every(({ lacking }) => lacking === 0)).toBe(true);
  expect(pieces.flatMap(({ lines }) => lines).every(({ steps }) => steps === null)).toBe(true);
  // 3 m is 118.11 in: 9 ft 10⅛ in to the nearest eighth.
  expect(pieces.find(({ id }) => id === 'heron')!.lines[0]!.tape).toBe('9 ft 10⅛ in');
});

test('the placings as CSV: ends with their places, then measures and the check', () => {
  const csv = settingCsv(SHEET, printedSheet(LAYOUT, SHEET, { unit: 'm', stepM: null }));
  const { data, errors } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true });
  expect(errors).toEqual([]);
  const rows = data.filter(({ piece }) => piece === 'heron');
  expect(rows[0]).toMatchObject({ end: 'left', xM: '8.250', yM: '15.000', measure: '' });
  expect(rows[1]).toMatchObject({ end: 'right', xM: '11.750', yM: '15.000' });
  expect(rows[2]).toMatchObject({ end: '', lengthM: '3.000', tape: '3.00 m' });
  expect(rows[rows.length - 1]!.measure).toMatch(/^Check /);
  // A name with a comma of its own stays one field.
  expect(data.some(({ piece }) => piece === 'c, left')).toBe(true);
});

test.each([
  [{ widthM: 60, heightM: 20 }, { widthMm: 186, heightMm: 110 }, 400],
  [{ widthM: 40, heightM: 20 }, { widthMm: 186, heightMm: 110 }, 250],
  [{ widthM: 40, heightM: 20 }, { widthMm: 186, heightMm: 60 }, 400],
  [{ widthM: 18.6, heightM: 1 }, { widthMm: 186, heightMm: 110 }, 100],
  // To the last millimetre of the paper's height.
  [{ widthM: 1, heightM: 11 }, { widthMm: 186, heightMm: 110 }, 100],
  [{ widthM: 5000, heightM: 1 }, { widthMm: 186, heightMm: 110 }, 2000],
])('%j fits %j at 1 : %i', (drawing, space, scale) => {
  expect(paperScale(drawing, space)).toBe(scale);
  if (scale < 2000) expect(drawing.widthM * mmPerM(scale)).toBeLessThanOrEqual(space.widthMm);
});

import { newItem, settingSheet, type Layout } from '@/core';
import Papa from 'papaparse';
import { printedSheet } from './printedSheet';
import { settingCsv } from './settingCsv';

/** A vertical on the centre line of an arena of 20 × 40 m, 15 m up from A. */
const LAYOUT: Layout = {
  ...{ name: 'One fence', arena: { widthM: 20, lengthM: 40, letters: '20x40' }, fall: null, school: 'whole-stride' },
  ...{ horses: [], kit: null, tracks: [] },
  items: [{ ...newItem('vertical', 'ash, the tall one', { xM: 10, yM: 15 }, Math.PI / 2), widthM: 3 } as never],
};

type Row = Record<'number' | 'piece' | 'end' | 'xM' | 'yM' | 'measure' | 'lengthM' | 'tape' | 'steps', string>;

/** Read by a library for such files; a name with a comma stays one. */
function rowsOf(unit: 'm' | 'ft', stepM: number | null): Row[] {
  const sheet = settingSheet(LAYOUT, { measureBy: 'walls', from: { xM: 0, yM: 0 } });
  const read = Papa.parse<Row>(settingCsv(sheet, printedSheet(LAYOUT, sheet, { unit, stepM })), {
    header: true,
    skipEmptyLines: true,
  });
  expect(read.errors).toEqual([]);
  return read.data;
}

test('both ends of a fence have their places, from the corner left of A', () => {
  const ends = rowsOf('m', null).filter(({ xM }) => xM !== '');
  expect(new Set(ends.map(({ piece }) => piece))).toEqual(new Set(['ash, the tall one']));
  // A fence of 3 m across the centre line: its ends stand 8.5 and 11.5 m from the left side.
  const xs = ends.map(({ xM }) => Number(xM)).sort((a, b) => a - b);
  expect(xs).toEqual([8.5, 11.5]);
  expect(ends.every(({ yM }) => Number(yM) === 15)).toBe(true);
});

test('measures are in metres and as the tape reads them, in steps where somebody walks', () => {
  const measured = rowsOf('ft', 0.8).filter(({ lengthM }) => lengthM !== '');
  expect(measured.length).toBeGreaterThan(0);
  for (const { lengthM, tape } of measured) {
    const [, feet, inches = '0'] = /^(\d+) ft(?: (\d+))?/.exec(tape) ?? [];
    // The international foot of 1959: 0.3048 m. An inch is read to the eighth.
    const readM = (Number(feet) + Number(inches) / 12) * 0.3048;
    expect(Math.abs(readM - Number(lengthM))).toBeLessThan(0.0254);
  }
  const stepped = measured.filter(({ steps }) => steps !== '');
  // What follows from the fence's own length is not stepped, nor is a check.
  expect(stepped.map(({ lengthM }) => lengthM)).toEqual(['5.000', '8.500']);
  for (const { steps, lengthM } of stepped) {
    const [, whole, half, way, inches] = /^(\d+)(½)? steps(?:(, back| and) (\d+) in)?$/.exec(steps)!;
    const restM = Number(inches ?? 0) * 0.0254 * (way === ', back' ? -1 : 1);
    const walkedM = (Number(whole) + (half ? 0.5 : 0)) * 0.8 + restM;
    expect(Math.abs(walkedM - Number(lengthM))).toBeLessThan(0.0127);
  }
  expect(rowsOf('m', null).every(({ steps }) => steps === '')).toBe(true);
});

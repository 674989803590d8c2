import fc from 'fast-check';
import { readCsvTable, writeCsvTable } from './csvTable';

test('a row has the line that it begins in, whatever stands before it', () => {
  const { rows, header } = readCsvTable('Name,Notes\n\nHazel,"two\nlines"\n , \r\nRowan,one\n');
  expect(header).toEqual(['name', 'notes']);
  expect(rows.map(({ line, cells }) => [line, cells.name])).toEqual([
    [3, 'Hazel'],
    [6, 'Rowan'],
  ]);
});

test('text behind an unquoted comma is not dropped: it is named', () => {
  const { faults } = readCsvTable('name,notes\nHazel,quiet, but strong\nRowan,"quiet, and strong"\nLinnet,x,\n');
  expect(faults).toEqual([{ line: 2, column: null, reason: expect.stringContaining('“but strong” has none') }]);
});

test('a quote that does not end is named with its line', () => {
  expect(readCsvTable('name,notes\nHazel,"quiet\nRowan,x\n').faults).toMatchObject([{ line: 2 }]);
});

// Common practice, no source: what begins with =, +, - or @ is a formula to a spreadsheet.
test.each(['=1+1', '+49', '-2', '@home', '\tx', "'+", "''=1"])('%j is written as text, and read as it was', name => {
  const text = writeCsvTable(['name'], [[name]]);
  expect(text.split('\n')[1]).toMatch(/^"?'/);
  expect(readCsvTable(text).rows[0]!.cells.name).toBe(name);
});

test('a number below nought stays a number', () => {
  expect(writeCsvTable(['x'], [[-2.5]])).toBe('x\n-2.5');
});

test('what is written is read back cell by cell', () => {
  const cell = fc
    .string({ unit: 'grapheme', maxLength: 12 })
    .filter(text => text.trim() !== '' && !text.startsWith("'"));
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 8 }), rows => {
      const read = readCsvTable(writeCsvTable(['a', 'b'], rows));
      expect(read.faults).toEqual([]);
      expect(read.rows.map(({ cells }) => [cells.a, cells.b])).toEqual(rows);
    }),
  );
});

import type { Transaction } from './database';
import { isKnownRow, knowRow, rememberRows } from './knownRows';

const begun = ({ begin }: ReturnType<typeof rememberRows>): Transaction => {
  const tx = {} as Transaction;
  begin(tx);
  return tx;
};

test('a row is known once what made it is written, to later writes of the same database only', () => {
  const remembered = rememberRows();
  const first = begun(remembered);
  knowRow(first, 'pair');
  expect(isKnownRow(first, 'pair')).toBe(false);
  remembered.written(first);
  const next = begun(remembered);
  expect([isKnownRow(next, 'pair'), isKnownRow(next, 'horse')]).toEqual([true, false]);
  expect(isKnownRow(begun(rememberRows()), 'pair')).toBe(false);
  // What is written otherwise is asked for each time.
  const other = {} as Transaction;
  knowRow(other, 'pair');
  expect(isKnownRow(other, 'pair')).toBe(false);
});

test('where a write failed all is forgotten, since what it relied on may be gone', () => {
  const remembered = rememberRows();
  const first = begun(remembered);
  knowRow(first, 'pair');
  remembered.written(first);
  remembered.failed();
  expect(isKnownRow(begun(remembered), 'pair')).toBe(false);
});

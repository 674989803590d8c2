import { oneForAll } from './oneForAll';
import type { Transaction } from './database';

/**
 * Rows of one database that are there, by their ids. Where one is gone after all, with a sample that was thrown away, the store refuses
 * what names it, and everything is forgotten.
 */
type Known = { rows: Set<string>; made: string[] };

const byTransaction = oneForAll('known rows', () => new WeakMap<Transaction, Known>());
const MOST_KNOWN = 5000;

/**
 * What the writes of one database remember of rows that are there: a tap names what every tap before it named, and need not ask.
 * What a transaction makes is remembered when it was written; where one failed, all of it is forgotten, since what it relied on may
 * be gone.
 */
export function rememberRows() {
  const rows = new Set<string>();
  return {
    begin: (tx: Transaction) => void byTransaction.set(tx, { rows, made: [] }),
    written: (tx: Transaction) => {
      const made = byTransaction.get(tx)?.made ?? [];
      if (rows.size + made.length > MOST_KNOWN) rows.clear();
      for (const id of made) rows.add(id);
    },
    failed: () => rows.clear(),
  };
}

/** Whether a row is known to be there. */
export function isKnownRow(tx: Transaction, id: string): boolean {
  return byTransaction.get(tx)?.rows.has(id) ?? false;
}

/** Says that a row is there once this transaction is written. */
export function knowRow(tx: Transaction, id: string): void {
  byTransaction.get(tx)?.made.push(id);
}

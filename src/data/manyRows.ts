import { getTableColumns, sql, type SQL } from 'drizzle-orm';
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Transaction } from './database';

/** So many rows go into one statement: one for each takes longer than a tap may wait, and what one can hold is limited. */
const ROWS = 200;

/** Writes rows some at a time, in their order. */
export async function inBatches<Row>(
  rows: readonly Row[],
  write: (some: Row[]) => PromiseLike<unknown>,
): Promise<void> {
  for (let first = 0; first < rows.length; first += ROWS) await write(rows.slice(first, first + ROWS));
}

type OfYard = SQLiteTable & { id: SQLiteColumn; yardId: SQLiteColumn };

/**
 * Adds rows to a yard, and changes those whose ids are there already to what is given: what is not given of a row stays. A row of another
 * yard is left as it is.
 * @param rows - all with the same columns
 */
export async function putRows<Table extends OfYard>(
  tx: Transaction,
  table: Table,
  yardId: string,
  rows: readonly (Partial<Omit<Table['$inferInsert'], 'yardId'>> & { id: string })[],
): Promise<void> {
  const columns = getTableColumns(table);
  const given = Object.keys(rows[0] ?? {}).filter(key => key !== 'id');
  const set = Object.fromEntries(given.map(key => [key, sql.raw(`excluded."${columns[key]!.name}"`)] as [string, SQL]));
  await inBatches(rows, some =>
    tx
      .insert(table)
      .values(some.map(row => ({ ...row, yardId })) as never)
      .onConflictDoUpdate({ target: table.id, set: set as never, setWhere: sql`${table.yardId} = ${yardId}` }),
  );
}

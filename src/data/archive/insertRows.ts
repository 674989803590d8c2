import { sql } from 'drizzle-orm';
import type { Transaction } from '../database';
import { inBatches } from '../manyRows';
import { archiveColumns, tableName, type ArchiveTable } from './archiveTables';
import type { ArchiveRow } from './writeArchive';

/** Writes rows as archives have them into their tables, in the order in which the tables are given. */
export async function insertRows(
  tx: Transaction,
  tables: readonly { table: ArchiveTable; rows: readonly ArchiveRow[] }[],
): Promise<void> {
  for (const { table, rows } of tables) {
    const columns = archiveColumns(table);
    const into = sql.raw(
      `insert into "${tableName(table)}" (${columns.map(({ name }) => `"${name}"`).join(', ')}) values `,
    );
    await inBatches(rows, some => {
      const values = some.map(row => {
        const cells = columns.map(({ name, type }) => {
          const value = row[name] ?? null;
          return sql`${type === 'bytes' && value !== null ? Buffer.from(String(value), 'base64') : value}`;
        });
        return sql`(${sql.join(cells, sql`, `)})`;
      });
      return tx.run(sql`${into}${sql.join(values, sql`, `)}`);
    });
  }
}

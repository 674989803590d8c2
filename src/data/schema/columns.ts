import { sql } from 'drizzle-orm';
import { integer, text } from 'drizzle-orm/sqlite-core';

/** Instants are stored as UTC milliseconds. Lengths are metres. Every row that a yard owns carries its yardId. */
export const id = () => text('id').primaryKey();
export const instant = (name: string) => integer(name, { mode: 'timestamp_ms' });
export const createdAt = () =>
  instant('created_at')
    .notNull()
    .default(sql`(unixepoch('subsec') * 1000)`);

/** What is archived is out of the lists and keeps its records; but for a sample yard nothing of a record is ever deleted. */
export const archivedAt = () => instant('archived_at');

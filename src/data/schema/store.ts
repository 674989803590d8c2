import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { id, instant } from './columns';
import { yardId } from './yard';

export const settings = sqliteTable(
  'settings',
  {
    yardId: yardId(),
    key: text('key').notNull(),
    value: text('value', { mode: 'json' }).notNull(),
  },
  table => [primaryKey({ columns: [table.yardId, table.key] })],
);

/** What saves were answered, so that one whose answer was lost can be sent again: for a while, and in no archive. */
export const saves = sqliteTable(
  'saves',
  {
    id: id(),
    yardId: yardId(),
    answer: text('answer', { mode: 'json' }).notNull(),
    savedAt: instant('saved_at').notNull(),
  },
  table => [index('saves_by_time').on(table.savedAt)],
);

/** What only one process of a store does at a time, and until when it may: whoever ends leaves it to the others. */
export const leases = sqliteTable('leases', {
  name: text('name').primaryKey(),
  holder: text('holder').notNull(),
  until: instant('until').notNull(),
});

/** How many writes there were: a copy of the store that has counted as many is no older. */
export const storeWrites = sqliteTable('store_writes', {
  name: text('name').primaryKey(),
  number: integer('number').notNull(),
});

/** What all processes of a store have to know, and nobody else. */
export const storeSecrets = sqliteTable('store_secrets', {
  name: text('name').primaryKey(),
  value: text('value').notNull(),
});

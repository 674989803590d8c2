import { integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

/**
 * What passes say, kept by the day of a pair, so that a look at years reads no mark. None of it is in an archive, and all of it may be
 * thrown away: it is read out of the record again. Rows are replaced and never changed, so a higher number is a later one.
 */
export const keptDays = sqliteTable(
  'kept_days',
  {
    no: integer('no').primaryKey({ autoIncrement: true }),
    yardId: text('yard_id').notNull(),
    pairId: text('pair_id').notNull(),
    /** "2026-05-04" by the yard's clock. */
    day: text('day').notNull(),
    document: text('document').notNull(),
  },
  table => [uniqueIndex('kept_days_of_pair').on(table.yardId, table.pairId, table.day)],
);

/**
 * Days of a pair whose passes changed since what they say was kept; triggers write it, whoever writes the record. `day`: days since
 * 1970 in UTC. What changes again gets another number.
 */
export const changedDays = sqliteTable(
  'changed_days',
  {
    no: integer('no').primaryKey({ autoIncrement: true }),
    yardId: text('yard_id').notNull(),
    pairId: text('pair_id').notNull(),
    day: integer('day').notNull(),
  },
  table => [uniqueIndex('changed_days_of_pair').on(table.yardId, table.pairId, table.day)],
);

/** By which Roan and which clock the days of a yard were kept: another reads all of them anew. */
export const keptBy = sqliteTable('kept_by', {
  yardId: text('yard_id').primaryKey(),
  madeBy: text('made_by').notNull(),
});

/** What was reckoned of the passes of a yard, as long as what it stands for is the same. */
export const keptSums = sqliteTable(
  'kept_sums',
  {
    yardId: text('yard_id').notNull(),
    name: text('name').notNull(),
    stands: text('stands').notNull(),
    document: text('document').notNull(),
  },
  table => [primaryKey({ columns: [table.yardId, table.name] })],
);

/** What a question over a layout version comes to: neither ever changes. */
export const keptGrounds = sqliteTable(
  'kept_grounds',
  {
    yardId: text('yard_id').notNull(),
    /** The version, the question and the way it was ridden. */
    name: text('name').notNull(),
    madeBy: text('made_by').notNull(),
    document: text('document').notNull(),
  },
  table => [primaryKey({ columns: [table.yardId, table.name] })],
);

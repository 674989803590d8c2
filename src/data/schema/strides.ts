import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { archivedAt, createdAt, id, instant } from './columns';
import { horseId, people, yardId } from './yard';

/** A stride test of one gait, with its passes. A lane is taped (`laneM`) or so many steps of somebody (`laneSteps`). */
export const strideTests = sqliteTable(
  'stride_tests',
  {
    id: id(),
    yardId: yardId(),
    horseId: horseId(),
    riderId: text('rider_id').references(() => people.id),
    entry: text('entry').notNull(),
    laneM: real('lane_m'),
    laneSteps: real('lane_steps'),
    stepperId: text('stepper_id').references(() => people.id),
    moment: text('moment', { enum: ['before', 'after', 'apart'] }).notNull(),
    rhythm: integer('rhythm'),
    roundness: integer('roundness'),
    balance: integer('balance'),
    note: text('note').notNull().default(''),
    testedAt: instant('tested_at').notNull(),
    archivedAt: archivedAt(),
    createdAt: createdAt(),
  },
  table => [index('stride_tests_by_horse').on(table.horseId, table.entry, table.testedAt)],
);

export const strideTestPasses = sqliteTable(
  'stride_test_passes',
  {
    id: id(),
    yardId: yardId(),
    testId: text('test_id')
      .notNull()
      .references(() => strideTests.id),
    position: integer('position').notNull(),
    pace: text('pace', { enum: ['normal', 'short', 'long'] }).notNull(),
    count: integer('count').notNull(),
    behind: real('behind'),
    part: real('part'),
    voided: integer('voided', { mode: 'boolean' }).notNull().default(false),
    rhythm: integer('rhythm'),
    roundness: integer('roundness'),
    balance: integer('balance'),
    createdAt: createdAt(),
  },
  table => [index('stride_test_passes_by_test').on(table.testId, table.position)],
);

/** One entry of a horse's profile as somebody knew it on a day; the newest of an entry counts. */
export const strideRanges = sqliteTable(
  'stride_ranges',
  {
    id: id(),
    yardId: yardId(),
    horseId: horseId(),
    entry: text('entry').notNull(),
    shortM: real('short_m').notNull(),
    normalM: real('normal_m').notNull(),
    longM: real('long_m').notNull(),
    source: text('source', { enum: ['typed', 'tested', 'learned'] }).notNull(),
    /** The test it came from, and where that puts the true normal stride. */
    testId: text('test_id').references(() => strideTests.id),
    lowM: real('low_m'),
    highM: real('high_m'),
    /** How much it varies from stride to stride, a share of normal, as the test found it. */
    spread: real('spread'),
    /** A range that was taken back keeps its row, so that the history stays whole. */
    withdrawnAt: instant('withdrawn_at'),
    createdAt: createdAt(),
  },
  table => [index('stride_ranges_by_horse').on(table.horseId, table.entry, table.createdAt)],
);

import { blob, index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { createdAt, id, instant } from './columns';
import { pairs, yardId } from './yard';
import { strideTests } from './strides';
import { passes } from './record';

/**
 * A film of a pass, of a stride test, or of a pair on a day without either; the file lies in the data folder under the id, and is
 * gone where it was removed. What is answered goes to whoever rode.
 */
export const videos = sqliteTable(
  'videos',
  {
    id: id(),
    yardId: yardId(),
    passId: text('pass_id').references(() => passes.id),
    testId: text('test_id').references(() => strideTests.id),
    pairId: text('pair_id').references(() => pairs.id),
    /** The day that it was ridden, on the yard's calendar: 2026-11-30. */
    day: text('day'),
    /** What whoever sent it asks about it; null where nothing is asked. */
    asks: text('asks'),
    /** Who sent it; null where nobody was told. */
    sentBy: text('sent_by'),
    /** How long it is, as the first player that opened it said; null until then. */
    lengthS: real('length_s'),
    /** What the instructor says of it, and since when whoever rode may read it; null until it is given. */
    answer: text('answer'),
    answeredAt: instant('answered_at'),
    fileName: text('file_name').notNull(),
    mime: text('mime').notNull(),
    sizeBytes: integer('size_bytes').notNull(),
    sha256: text('sha256').notNull(),
    removedAt: instant('removed_at'),
    createdAt: createdAt(),
  },
  table => [
    index('videos_by_pass').on(table.passId),
    index('videos_by_test').on(table.testId),
    index('videos_by_pair').on(table.pairId),
  ],
);

/** Something seen in a film at a time. `words`: what is noted, or the gait, the lead or the height that was seen. */
export const videoNotes = sqliteTable(
  'video_notes',
  {
    id: id(),
    yardId: yardId(),
    videoId: text('video_id')
      .notNull()
      .references(() => videos.id),
    atS: real('at_s').notNull(),
    kind: text('kind', { enum: ['note', 'stride', 'gait', 'asked', 'head', 'lead', 'break'] }).notNull(),
    words: text('words').notNull().default(''),
    undoneAt: instant('undone_at'),
    createdAt: createdAt(),
  },
  table => [index('video_notes_by_video').on(table.videoId, table.atS)],
);

/** A picture out of a film, as whoever looks at it kept it. */
export const filmStills = sqliteTable(
  'film_stills',
  {
    id: id(),
    yardId: yardId(),
    videoId: text('video_id')
      .notNull()
      .references(() => videos.id),
    atS: real('at_s').notNull(),
    mime: text('mime', { enum: ['image/jpeg'] }).notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
    createdAt: createdAt(),
  },
  table => [index('film_stills_by_video').on(table.videoId, table.atS)],
);

import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { archivedAt, createdAt, id, instant } from './columns';
import { arenas, pairId, pairs, yardId } from './yard';

/** A lesson as it is planned. `document` is a lesson on paper (src/files/lessonPaper.ts). */
export const lessons = sqliteTable(
  'lessons',
  {
    id: id(),
    yardId: yardId(),
    name: text('name').notNull(),
    arenaId: text('arena_id')
      .notNull()
      .references(() => arenas.id),
    startsAt: instant('starts_at').notNull(),
    document: text('document', { mode: 'json' }).notNull(),
    /** Another one after every change of its plan: who changes an older one is told what was changed meanwhile. */
    revision: integer('revision').notNull().default(1),
    /** When its cautions were read, and with it the lesson begun. */
    acknowledgedAt: instant('acknowledged_at'),
    endedAt: instant('ended_at'),
    /** When it was opened again last. */
    reopenedAt: instant('reopened_at'),
    /** Rises with everything that is recorded: an answer with a lower one is an older answer. */
    recordNumber: integer('record_number').notNull().default(0),
    /** The lessons that were planned together, week by week, have one word; so have those of the groups of one clinic. */
    seriesId: text('series_id'),
    groupsId: text('groups_id'),
    /** The goal that its series goes towards. */
    goalId: text('goal_id'),
    archivedAt: archivedAt(),
    createdAt: createdAt(),
  },
  table => [
    index('lessons_by_start').on(table.yardId, table.startsAt),
    index('lessons_by_series').on(table.seriesId),
    index('lessons_by_groups').on(table.groupsId),
  ],
);

/** What a pair works towards. `document` is a goal (src/files/goalPaper.ts). */
export const goals = sqliteTable(
  'goals',
  {
    id: id(),
    yardId: yardId(),
    pairId: pairId(),
    document: text('document', { mode: 'json' }).notNull(),
    /** By the yard's calendar, "2026-05-04". */
    sinceDay: text('since_day').notNull(),
    reachedDay: text('reached_day'),
    archivedAt: archivedAt(),
    createdAt: createdAt(),
  },
  table => [index('goals_by_pair').on(table.pairId)],
);

/** A suggestion that was not wanted: it is not made again to these pairs for a while. */
export const refusals = sqliteTable(
  'refusals',
  {
    id: id(),
    yardId: yardId(),
    /** The pairs it was made to, by their ids in order. */
    pairIds: text('pair_ids', { mode: 'json' }).$type<string[]>().notNull(),
    exercise: text('exercise').notNull(),
    stage: integer('stage').notNull(),
    refusedAt: instant('refused_at').notNull(),
    undoneAt: instant('undone_at'),
    createdAt: createdAt(),
  },
  table => [index('refusals_by_time').on(table.yardId, table.refusedAt)],
);

/** What the instructor says to a rider at the end of a lesson. */
export const riderWords = sqliteTable(
  'rider_words',
  {
    yardId: yardId(),
    lessonId: text('lesson_id')
      .notNull()
      .references(() => lessons.id),
    pairId: pairId(),
    words: text('words').notNull(),
    /** Another one after every change: who changes an older one is told. */
    revision: integer('revision').notNull().default(1),
    updatedAt: instant('updated_at').notNull(),
  },
  table => [primaryKey({ columns: [table.lessonId, table.pairId] })],
);

/** Who said it (null where nobody was told), and the number of the lesson's record when it last changed. */
export const told = () => ({ saidBy: text('said_by'), recordNumber: integer('record_number').notNull().default(0) });

/** A pair walked. */
export const walkBreaks = sqliteTable(
  'walk_breaks',
  {
    id: id(),
    yardId: yardId(),
    lessonId: text('lesson_id')
      .notNull()
      .references(() => lessons.id),
    pairId: pairId(),
    /** The stage in the lesson's document that it was walked in. */
    stageId: text('stage_id'),
    walkedAt: instant('walked_at').notNull(),
    ...told(),
    undoneAt: instant('undone_at'),
    createdAt: createdAt(),
  },
  table => [
    index('walk_breaks_by_lesson').on(table.lessonId, table.walkedAt),
    index('walk_breaks_by_number').on(table.lessonId, table.recordNumber),
  ],
);

/** What was asked: a question as it was asked of a pair. The same one is kept once, under the hash of what it says. */
export const questions = sqliteTable('questions', {
  id: id(),
  yardId: yardId(),
  /** A question (src/files/questionPaper.ts). */
  document: text('document', { mode: 'json' }).notNull(),
  createdAt: createdAt(),
});

/** What was asked on the day: another question at a stage of a lesson, or one asked otherwise, of a pair or (null) of all. */
export const lessonAsks = sqliteTable(
  'lesson_asks',
  {
    id: id(),
    yardId: yardId(),
    lessonId: text('lesson_id')
      .notNull()
      .references(() => lessons.id),
    /** The stage in the lesson's document. */
    stageId: text('stage_id').notNull(),
    pairId: text('pair_id').references(() => pairs.id),
    questionId: text('question_id')
      .notNull()
      .references(() => questions.id),
    askedAt: instant('asked_at').notNull(),
    ...told(),
    undoneAt: instant('undone_at'),
    createdAt: createdAt(),
  },
  table => [
    index('lesson_asks_by_lesson').on(table.lessonId, table.askedAt),
    index('lesson_asks_by_number').on(table.lessonId, table.recordNumber),
  ],
);

/** A pair that came into a lesson while it ran. */
export const lessonJoins = sqliteTable(
  'lesson_joins',
  {
    id: id(),
    yardId: yardId(),
    lessonId: text('lesson_id')
      .notNull()
      .references(() => lessons.id),
    pairId: pairId(),
    /** What the device called the pair, where the yard had one of this horse and rider already. */
    saidPairId: text('said_pair_id').notNull(),
    /** The pair it rides instead of. */
    insteadOf: text('instead_of'),
    joinedAt: instant('joined_at').notNull(),
    ...told(),
    createdAt: createdAt(),
  },
  table => [index('lesson_joins_by_lesson').on(table.lessonId), index('lesson_joins_by_pair').on(table.saidPairId)],
);

import type { PassMarkKind } from '@/core';
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { createdAt, id, instant } from './columns';
import { pairId, yardId } from './yard';
import { layoutVersions } from './layouts';
import { lessons, questions, told } from './lessons';

/** What was said otherwise, taken back or brought back: never changed itself. The rows it is of hold what stands. */
export const recordChanges = sqliteTable(
  'record_changes',
  {
    id: id(),
    yardId: yardId(),
    lessonId: text('lesson_id').references(() => lessons.id),
    /** What kind of thing, which one, and what of it. */
    subject: text('subject', { enum: ['pass', 'mark', 'break', 'ask', 'pair', 'lesson'] }).notNull(),
    subjectId: text('subject_id').notNull(),
    what: text('what').notNull(),
    /** The changes it was made over, by id. */
    madeOver: text('made_over', { mode: 'json' }).$type<string[]>().notNull(),
    was: text('was', { mode: 'json' }),
    becomes: text('becomes', { mode: 'json' }),
    /** The tap that it undoes. */
    undoes: text('undoes'),
    saidAt: instant('said_at').notNull(),
    ...told(),
    createdAt: createdAt(),
  },
  table => [
    index('record_changes_by_lesson').on(table.lessonId, table.recordNumber),
    index('record_changes_by_subject').on(table.subjectId, table.what),
  ],
);

/**
 * What something was until it was changed: the height of a horse, the size of an arena, the rules of the yard. What stood at
 * an instant is the first row after it, else what stands now.
 */
export const formerStates = sqliteTable(
  'former_states',
  {
    id: id(),
    yardId: yardId(),
    subject: text('subject', { enum: ['horse', 'arena', 'rules'] }).notNull(),
    subjectId: text('subject_id').notNull(),
    was: text('was', { mode: 'json' }).notNull(),
    until: instant('until').notNull(),
    createdAt: createdAt(),
  },
  table => [index('former_states_by_subject').on(table.subject, table.subjectId, table.until)],
);

export const passes = sqliteTable(
  'passes',
  {
    id: id(),
    yardId: yardId(),
    pairId: pairId(),
    layoutVersionId: text('layout_version_id')
      .notNull()
      .references(() => layoutVersions.id),
    /** The lesson it was ridden in; null for a ride by itself. */
    lessonId: text('lesson_id').references(() => lessons.id),
    /** The stage in the lesson's document, and what it was called then. */
    stageId: text('stage_id'),
    stage: text('stage').notNull(),
    /** What was asked of the pair. */
    questionId: text('question_id').references(() => questions.id),
    /** Null where the track changes the rein. */
    rein: text('rein', { enum: ['left', 'right'] }),
    direction: text('direction', { enum: ['as-drawn', 'other-way', 'mirrored'] }).notNull(),
    /** Rein and direction as they were tapped, where an upgrade found that they contradict each other. */
    tapped: text('tapped', { mode: 'json' }),
    riddenAt: instant('ridden_at').notNull(),
    /** When it was recorded, where that is not when it was ridden. */
    saidAt: instant('said_at'),
    ...told(),
    undoneAt: instant('undone_at'),
    createdAt: createdAt(),
  },
  table => [
    index('passes_by_pair').on(table.pairId, table.riddenAt),
    index('passes_by_lesson').on(table.lessonId, table.riddenAt),
    index('passes_by_number').on(table.lessonId, table.recordNumber),
    index('passes_by_version').on(table.layoutVersionId, table.pairId, table.riddenAt),
    index('passes_by_time').on(table.yardId, table.riddenAt),
  ],
);

export const marks = sqliteTable(
  'marks',
  {
    id: id(),
    yardId: yardId(),
    passId: text('pass_id')
      .notNull()
      .references(() => passes.id),
    kind: text('kind').$type<PassMarkKind>().notNull(),
    /** From 1: the gap of a footfall (null: the row as a whole), the leg of strides, the item or figure of the rest. */
    place: integer('place'),
    fraction: real('fraction'),
    words: text('words'),
    /** What else a mark says (src/files/recordEvent.ts); null for the three kinds above that need no more. */
    document: text('document', { mode: 'json' }),
    markedAt: instant('marked_at').notNull(),
    /** Who marked it; null where nobody was told. */
    saidBy: text('said_by'),
    undoneAt: instant('undone_at'),
    createdAt: createdAt(),
  },
  table => [index('marks_by_pass').on(table.passId)],
);

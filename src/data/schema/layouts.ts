import { sql } from 'drizzle-orm';
import { index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { archivedAt, createdAt, id, instant } from './columns';
import { arenas, yardId } from './yard';

/** The layout being edited. `document` is a plan document (src/files/planDocument.ts). */
export const layouts = sqliteTable('layouts', {
  id: id(),
  yardId: yardId(),
  name: text('name').notNull(),
  arenaId: text('arena_id')
    .notNull()
    .references(() => arenas.id),
  revision: integer('revision').notNull().default(1),
  document: text('document', { mode: 'json' }).notNull(),
  tags: text('tags', { mode: 'json' }).$type<string[]>().notNull().default([]),
  archivedAt: archivedAt(),
  createdAt: createdAt(),
  updatedAt: instant('updated_at')
    .notNull()
    .default(sql`(unixepoch('subsec') * 1000)`),
});

const layoutId = () =>
  text('layout_id')
    .notNull()
    .references(() => layouts.id);

/**
 * A layout as it was on a day: never changed. `frozen` keeps what the arena and the horses made of it, as a layout file.
 */
export const layoutVersions = sqliteTable(
  'layout_versions',
  {
    id: id(),
    yardId: yardId(),
    layoutId: layoutId(),
    revision: integer('revision').notNull(),
    /** What the horse's profile and the arena made of the document: the same revision may be frozen twice. */
    fingerprint: text('fingerprint').notNull(),
    name: text('name').notNull(),
    /** Why it was kept: it was ridden, somebody kept it, or it was about to be changed in a new sitting. */
    reason: text('reason', { enum: ['ridden', 'kept', 'before-change'] })
      .notNull()
      .default('ridden'),
    document: text('document', { mode: 'json' }).notNull(),
    frozen: text('frozen', { mode: 'json' }).notNull(),
    createdAt: createdAt(),
  },
  table => [uniqueIndex('one_version_of_each_state').on(table.layoutId, table.fingerprint)],
);

/** Which pieces of a layout stand on the sand. `place` is where the piece belonged when it was ticked. */
export const settingTicks = sqliteTable(
  'setting_ticks',
  {
    yardId: yardId(),
    layoutId: layoutId(),
    piece: text('piece').notNull(),
    place: text('place').notNull(),
    ticked: integer('ticked', { mode: 'boolean' }).notNull(),
    /** By the clock of the device it was tapped on: the latest tap counts. */
    tappedAt: instant('tapped_at').notNull(),
    /** Of a layout's ticks the number rises with every change: an answer with a lower one is an older answer. */
    number: integer('number').notNull().default(0),
  },
  table => [primaryKey({ columns: [table.layoutId, table.piece] })],
);

/**
 * What really stands on the sand, of one revision of a layout; it is what is ridden until it is put back. `document` is a
 * standing (src/files/standing.ts).
 */
export const standings = sqliteTable(
  'standings',
  {
    id: id(),
    yardId: yardId(),
    layoutId: layoutId(),
    revision: integer('revision').notNull(),
    document: text('document', { mode: 'json' }).notNull(),
    putBackAt: instant('put_back_at'),
    createdAt: createdAt(),
  },
  table => [index('standings_by_layout').on(table.layoutId, table.createdAt)],
);

/** An arrangement of the yard's own on the shelf: items and tracks about their middle, to be put on any sand. */
export const ownExercises = sqliteTable('own_exercises', {
  id: id(),
  yardId: yardId(),
  title: text('title').notNull(),
  purposes: text('purposes', { mode: 'json' }).$type<string[]>().notNull(),
  level: text('level').notNull(),
  document: text('document', { mode: 'json' }).notNull(),
  archivedAt: archivedAt(),
  createdAt: createdAt(),
});

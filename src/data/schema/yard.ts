import { blob, index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { archivedAt, createdAt, id, instant } from './columns';

export const yards = sqliteTable('yards', {
  id: id(),
  name: text('name').notNull(),
  timeZone: text('time_zone').notNull(),
  createdAt: createdAt(),
});

export const yardId = () =>
  text('yard_id')
    .notNull()
    .references(() => yards.id);

export const arenas = sqliteTable('arenas', {
  id: id(),
  yardId: yardId(),
  name: text('name').notNull(),
  widthM: real('width_m').notNull(),
  lengthM: real('length_m').notNull(),
  letters: text('letters', { enum: ['20x60', '20x40', 'none'] }).notNull(),
  boundary: text('boundary', { enum: ['walls', 'fence', 'open'] })
    .notNull()
    .default('walls'),
  /** What is marked on its sand: entrance, fall, bad patches, the way home (src/files/arenaMarks.ts). */
  marks: text('marks', { mode: 'json' }).notNull().default('{}'),
  archivedAt: archivedAt(),
  createdAt: createdAt(),
});

export const people = sqliteTable('people', {
  id: id(),
  yardId: yardId(),
  name: text('name').notNull(),
  role: text('role', { enum: ['instructor', 'rider', 'helper', 'office'] }).notNull(),
  stepLengthM: real('step_length_m'),
  archivedAt: archivedAt(),
  createdAt: createdAt(),
});

export const horses = sqliteTable('horses', {
  id: id(),
  yardId: yardId(),
  name: text('name').notNull(),
  heightM: real('height_m').notNull(),
  type: text('type', { enum: ['all-round', 'pony', 'cob', 'blood', 'warmblood', 'gaited'] }).notNull(),
  bornYear: integer('born_year'),
  level: text('level', { enum: ['green', 'novice', 'advanced'] })
    .notNull()
    .default('novice'),
  stiffSide: text('stiff_side', { enum: ['left', 'right'] }),
  notes: text('notes').notNull().default(''),
  archivedAt: archivedAt(),
  createdAt: createdAt(),
});

export const horseId = () =>
  text('horse_id')
    .notNull()
    .references(() => horses.id);

/** A horse's picture, as the page made it small; one each. */
export const horsePictures = sqliteTable('horse_pictures', {
  horseId: text('horse_id')
    .primaryKey()
    .references(() => horses.id),
  yardId: yardId(),
  mime: text('mime', { enum: ['image/jpeg', 'image/png', 'image/webp'] }).notNull(),
  bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  createdAt: createdAt(),
});

/** What the yard has to set with. `sizeM`: the length of poles, the height of blocks. */
export const kit = sqliteTable('kit', {
  id: id(),
  yardId: yardId(),
  kind: text('kind', { enum: ['pole', 'stand-pair', 'cup', 'block', 'cone', 'filler', 'marker'] }).notNull(),
  name: text('name').notNull(),
  sizeM: real('size_m'),
  count: integer('count').notNull(),
  archivedAt: archivedAt(),
  createdAt: createdAt(),
});

/** A taped length that somebody walked, and the steps it took. */
export const stepWalks = sqliteTable(
  'step_walks',
  {
    id: id(),
    yardId: yardId(),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    lengthM: real('length_m').notNull(),
    steps: real('steps').notNull(),
    walkedAt: instant('walked_at').notNull(),
    undoneAt: instant('undone_at'),
    createdAt: createdAt(),
  },
  table => [index('step_walks_by_person').on(table.personId, table.walkedAt)],
);

export const pairs = sqliteTable(
  'pairs',
  {
    id: id(),
    yardId: yardId(),
    riderId: text('rider_id')
      .notNull()
      .references(() => people.id),
    horseId: horseId(),
    archivedAt: archivedAt(),
    createdAt: createdAt(),
  },
  table => [uniqueIndex('one_pair_of_each').on(table.riderId, table.horseId)],
);

export const pairId = () =>
  text('pair_id')
    .notNull()
    .references(() => pairs.id);

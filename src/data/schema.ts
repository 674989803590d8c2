import type { PassMarkKind } from '@/core';
import { sql } from 'drizzle-orm';
import { blob, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

/** Instants are stored as UTC milliseconds. Lengths are metres. Every row that a yard owns carries its yardId. */
const id = () => text('id').primaryKey();
const instant = (name: string) => integer(name, { mode: 'timestamp_ms' });
const createdAt = () =>
  instant('created_at')
    .notNull()
    .default(sql`(unixepoch('subsec') * 1000)`);

/** What is archived is out of the lists and keeps its records; nothing is ever deleted. */
const archivedAt = () => instant('archived_at');

export const yards = sqliteTable('yards', {
  id: id(),
  name: text('name').notNull(),
  timeZone: text('time_zone').notNull(),
  createdAt: createdAt(),
});

const yardId = () =>
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

const horseId = () =>
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

const pairId = () =>
  text('pair_id')
    .notNull()
    .references(() => pairs.id);

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
const told = () => ({ saidBy: text('said_by'), recordNumber: integer('record_number').notNull().default(0) });

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

/**
 * Who may come in, by what. None of it is in an archive: it belongs to this Roan, not to the yard's record. People and
 * yards are named without a reference, since a restored archive has others.
 */
export const passphrases = sqliteTable('passphrases', {
  personId: text('person_id').primaryKey(),
  yardId: text('yard_id').notNull(),
  /** Argon2id, with its own salt and costs. */
  hash: text('hash').notNull(),
  changedAt: instant('changed_at').notNull(),
});

/** A link that lets one device in as a person, once, for ten minutes. */
export const deviceLinks = sqliteTable('device_links', {
  id: id(),
  yardId: text('yard_id').notNull(),
  personId: text('person_id').notNull(),
  tokenHash: text('token_hash').notNull().unique(),
  expiresAt: instant('expires_at').notNull(),
  usedAt: instant('used_at'),
  createdAt: createdAt(),
});

/** A device that is signed in. */
export const sessions = sqliteTable(
  'sessions',
  {
    id: id(),
    yardId: text('yard_id').notNull(),
    personId: text('person_id').notNull(),
    /** What the device calls itself, in a few words. */
    device: text('device').notNull(),
    createdAt: createdAt(),
    lastSeenAt: instant('last_seen_at').notNull(),
    endedAt: instant('ended_at'),
  },
  table => [index('sessions_by_yard').on(table.yardId)],
);

/** A page that whoever has the link may read: a rider's own, a lesson, a layout, or the calendar as a feed. */
export const shareLinks = sqliteTable(
  'share_links',
  {
    id: id(),
    yardId: text('yard_id').notNull(),
    kind: text('kind', { enum: ['rider', 'lesson', 'layout', 'calendar'] }).notNull(),
    /** The person, lesson or layout it shows; the yard for the calendar. */
    subjectId: text('subject_id').notNull(),
    tokenHash: text('token_hash').notNull().unique(),
    expiresAt: instant('expires_at'),
    revokedAt: instant('revoked_at'),
    lastUsedAt: instant('last_used_at'),
    createdAt: createdAt(),
  },
  table => [index('share_links_by_yard').on(table.yardId)],
);

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

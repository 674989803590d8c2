import { randomUUID } from 'node:crypto';
import { readdirSync } from 'node:fs';
import path from 'node:path';
import { getTableColumns, getTableName } from 'drizzle-orm';
import { getTableConfig, SQLiteTable } from 'drizzle-orm/sqlite-core';
import { tokenHash } from '../access/tokens';
import { archiveRows } from '../archive/writeArchive';
import { ARCHIVE_TABLES } from '../archive/archiveTables';
import { DatabaseRefused, StoreFault } from '../databaseRefused';
import type { OpenDatabase, RoanDatabase } from '../database';
import * as schema from '../schema';
import { withTestDatabase } from '../testDatabase';
import { demoAt } from '../testDemo';
import type { Transaction } from '../database';
import { addYard } from './yards';

/**
 * Every query of this folder is asked for one yard with what belongs to another: it tells nothing of it, changes nothing of it,
 * and leaves nothing that names it. A query that is not in the table fails the test: whoever adds one says what it is given.
 */

const NOW_MS = Date.parse('2026-06-03T12:00:00Z');
const CLOCK = { timeZone: 'UTC', dayOf: (atMs: number) => new Date(atMs).toISOString().slice(0, 10) };
const DAYS = [0, NOW_MS - 1000, NOW_MS + 1000];

jest.setTimeout(120_000);

async function filmsAndWords(database: OpenDatabase): Promise<void> {
  await database.write(async tx => {
    const [yard] = await tx.select().from(schema.yards);
    const yardId = yard!.id;
    const first = async <Table extends SQLiteTable>(table: Table) =>
      (await tx.select().from(table).limit(1))[0] as Table['$inferSelect'];
    const layout = await first(schema.layouts);
    const pair = await first(schema.pairs);
    const pass = await first(schema.passes);
    const lesson = await first(schema.lessons);
    const horse = await first(schema.horses);
    const at = new Date(NOW_MS);
    const goal = { words: 'Even canter by autumn', purposes: [], measure: null, byDay: null };
    await tx
      .insert(schema.goals)
      .values({ id: 'goal-1', yardId, pairId: pair.id, document: goal, sinceDay: '2026-06-01' });
    await tx
      .insert(schema.refusals)
      .values({ id: 'refusal-1', yardId, pairIds: [pair.id], exercise: 'pole-row', stage: 0, refusedAt: at });
    const film = { fileName: 'left.mp4', mime: 'video/mp4', sizeBytes: 1, sha256: 'hash-of-film' };
    await tx.insert(schema.videos).values({ id: 'film-1', yardId, passId: pass.id, ...film });
    await tx
      .insert(schema.videoNotes)
      .values({ id: 'note-1', yardId, videoId: 'film-1', atS: 1, kind: 'note', words: 'hind leg late' });
    const alone = { pairId: pair.id, day: '2026-06-01', asks: 'does she pace?' };
    await tx.insert(schema.videos).values({ id: 'film-3', yardId, ...alone, ...film });
    await tx
      .insert(schema.filmStills)
      .values({ id: 'still-1', yardId, videoId: 'film-3', atS: 1, mime: 'image/jpeg', bytes: Buffer.from('a still') });
    const words = { lessonId: lesson.id, pairId: pair.id, words: 'A good hour.', updatedAt: at };
    await tx.insert(schema.riderWords).values({ yardId, ...words });
    const bytes = Buffer.from('picture of a horse');
    await tx.insert(schema.horsePictures).values({ horseId: horse.id, yardId, mime: 'image/png', bytes });
    const standing = { format: 'roan-standing', version: 1, typed: {}, pieces: [] };
    await tx
      .insert(schema.standings)
      .values({ id: 'standing-1', yardId, layoutId: layout.id, revision: layout.revision, document: standing });
    await tx
      .insert(schema.settingTicks)
      .values({ yardId, layoutId: layout.id, piece: 'peg 1', place: 'here', ticked: true, tappedAt: at, number: 1 });
    await tx.insert(schema.saves).values({ id: 'save-1', yardId, answer: { said: 'what was said' }, savedAt: at });
    await tx.insert(schema.passphrases).values({ personId: pair.riderId, yardId, hash: 'a hash', changedAt: at });
    await tx
      .insert(schema.sessions)
      .values({ id: 'session-1', yardId, personId: pair.riderId, device: 'the tack room', lastSeenAt: at });
    await tx
      .insert(schema.shareLinks)
      .values({ id: 'link-1', yardId, kind: 'rider', subjectId: pair.riderId, tokenHash: tokenHash('token') });
  });
}
const season = Object.assign(filmsAndWords, { on: demoAt(NOW_MS, 'season') });

type Row = Record<string, unknown>;
/** A row of each table of the yard that is asked about, by the table's name, and whole things as pages have them. */
type Theirs = { row: (table: string) => Row; id: (table: string) => string; whole: Record<string, unknown> };

/** What each is given beside the other yard's id; where a yard has one of its own, that of the yard that must not be seen. */
const ASKED: Record<string, (theirs: Theirs) => unknown[]> = {
  passphraseHash: ({ row }) => [row('passphrases').personId],
  peopleWithPassphrase: () => [],
  setPassphrase: ({ row }) => [row('passphrases').personId, 'mine now'],
  addDeviceLink: ({ id }) => [id('people'), NOW_MS],
  beginSession: ({ id }) => [id('people'), 'a phone', NOW_MS],
  seeSession: () => ['session-1', NOW_MS + 5],
  runningSessions: () => [NOW_MS],
  endSessions: () => [{ sessionId: 'session-1' }, NOW_MS],
  setArchived: ({ id }) => ['horse', id('horses'), true],
  listArenas: () => [],
  findArena: ({ id }) => [id('arenas')],
  saveArena: ({ id }) => [
    { id: id('arenas'), name: 'Mine', widthM: 20, lengthM: 40, letters: 'none', boundary: 'open' },
  ],
  saveArenaMarks: ({ id, whole }) => [id('arenas'), (whole.arena as { marks: unknown }).marks],
  changeLesson: ({ id, whole }) => {
    const { plan, revision } = whole.lesson as { plan: unknown; revision: number };
    const edit = { name: 'Mine', arenaId: id('arenas'), startsAtMs: NOW_MS, plan, base: { revision, plan } };
    return [id('lessons'), { ...edit, by: null, nowMs: NOW_MS }];
  },
  archiveLesson: ({ id }) => [id('lessons'), true, { by: null, nowMs: NOW_MS }],
  earlierWork: ({ id }) => [DAYS, id('lessons'), NOW_MS],
  workDone: () => [DAYS, NOW_MS],
  workByPair: () => [DAYS, NOW_MS],
  keepFormer: () => ['rules', 'rules of its own', {}],
  keepFormers: () => ['rules', [{ subjectId: 'rules of its own', was: {} }]],
  formerAt: () => ['horse', 0],
  formerStatesOf: ({ id }) => ['horse', id('horses')],
  listGoals: () => [['p']],
  saveGoal: ({ id }) => [
    {
      ...{ id: null, pairId: id('pairs'), today: '2026-06-03' },
      goal: { words: 'Mine', purposes: [], measure: null, byDay: null },
    },
  ],
  changeGoal: () => ['goal-1', { reachedDay: '2026-06-03' }],
  findPicture: ({ row }) => [row('horse_pictures').horseId],
  pictureTimes: () => [],
  savePicture: ({ row }) => [row('horse_pictures').horseId, { mime: 'image/png', bytes: Buffer.from('mine') }],
  removePicture: ({ row }) => [row('horse_pictures').horseId],
  listHorses: () => [],
  isSample: () => [],
  markSample: () => [],
  keepSample: () => [],
  removeSample: () => [],
  sampleWay: () => [0],
  horsesAt: () => [NOW_MS],
  horseOverTime: ({ whole }) => [whole.horse],
  strideHistory: ({ id }) => [id('horses')],
  findHorse: ({ id }) => [id('horses')],
  saveHorse: ({ id }) => [
    {
      ...{ id: id('horses'), name: 'Mine', heightM: 1.6, type: 'cob', bornYear: null, level: 'novice' },
      ...{ stiffSide: null, notes: '', normalStridesM: { trot: 2.6 } },
    },
  ],
  listKit: () => [],
  saveKits: ({ id }) => [[{ id: id('kit'), kind: 'pole', name: 'Mine', sizeM: 3, count: 9 }]],
  saveKit: ({ id }) => [{ id: id('kit'), kind: 'pole', name: 'Mine', sizeM: 3, count: 9 }],
  lastRiddenByLayout: () => [],
  layoutOffers: ({ whole }) => [whole.layout],
  madeLayout: ({ whole }) => [whole.layout],
  madePlan: ({ whole }) => [whole.layout],
  standingLayout: ({ whole }) => [whole.layout],
  keepVersion: ({ whole }) => [whole.layout, 'kept'],
  versionAsItStands: ({ whole }) => [whole.layout],
  keptAsItStands: ({ whole }) => [whole.layout],
  findVersion: ({ id }) => [id('layout_versions')],
  listVersions: ({ row }) => [row('layout_versions').layoutId],
  listLayouts: () => [],
  findLayout: ({ id }) => [id('layouts')],
  arenaOfLayout: ({ id }) => [id('layouts')],
  isLayout: ({ id }) => [id('layouts')],
  addLayout: ({ id, whole }) => [
    { name: 'Mine', arenaId: id('arenas'), plan: (whole.layout as { plan: unknown }).plan },
  ],
  saveLayout: ({ id, whole }) => {
    const { plan, revision } = whole.layout as { plan: unknown; revision: number };
    return [{ layoutId: id('layouts'), baseRevision: revision, name: 'Mine', plan }, NOW_MS];
  },
  tagLayout: ({ id }) => [id('layouts'), ['mine']],
  freezeLayout: ({ id }) => [id('layouts')],
  layoutsOfVersions: () => [],
  lessonClashes: ({ id }) => [id('lessons')],
  lessonLayouts: ({ whole }) => [whole.lesson],
  lessonsTogether: ({ id }) => [id('lessons')],
  repeatLesson: ({ id }) => [id('lessons'), [NOW_MS]],
  bringToSeries: ({ id }) => [id('lessons'), { by: null, nowMs: NOW_MS }],
  rideInGroups: ({ id }) => [id('lessons'), [[id('pairs')]]],
  listLessons: () => [],
  riderStageIds: () => [],
  lessonsBetween: () => [0, NOW_MS * 2],
  findLesson: ({ id }) => [id('lessons')],
  saveLesson: ({ id, whole }) => [
    {
      ...{ id: id('lessons'), name: 'Mine', arenaId: id('arenas'), startsAtMs: 0 },
      plan: (whole.lesson as { plan: unknown }).plan,
    },
  ],
  lessonTimes: ({ whole }) => [whole.lesson],
  timesOfLessons: ({ whole }) => [[whole.lesson, whole.lesson]],
  lessonRecord: ({ whole }) => [whole.lesson],
  tellsOffice: () => [],
  tellOffice: () => [true],
  listOwnExercises: () => [],
  addOwnExercise: () => [{ title: 'Mine', purposes: [], level: 'novice', items: [], tracks: [] }],
  pairRecord: ({ id }) => [
    { id: id('pairs'), horseId: id('horses') },
    CLOCK,
    { horse: 'x', format: String, entryName: String, dayName: String, formatChange: String },
  ],
  listPairs: () => [],
  findPair: ({ id }) => [id('pairs')],
  addPair: ({ row }) => [row('pairs').riderId, row('pairs').horseId],
  passWorks: ({ row, whole }) => [[{ layoutVersionId: row('passes').layoutVersionId, question: whole.question }]],
  listPasses: ({ row }) => [row('passes').pairId],
  passesOfLesson: ({ row }) => [row('passes').lessonId],
  versionsById: ({ id }) => [[id('layout_versions')]],
  passPlace: ({ id }) => [id('passes')],
  listPeople: () => [],
  findPerson: ({ id }) => [id('people')],
  savePeople: ({ id }) => [[{ id: id('people'), name: 'Mine', role: 'instructor', stepLengthM: 0.7 }]],
  testsThere: () => [],
  savePerson: ({ id }) => [{ id: id('people'), name: 'Mine', role: 'instructor', stepLengthM: 0.7 }],
  addStepWalk: ({ id }) => [id('people'), { id: randomUUID(), walkedAtMs: NOW_MS, lengthM: 20, steps: 25 }],
  setWalkUndone: ({ row }) => [row('step_walks').id ?? 'walk', true],
  clearTypedStep: ({ id }) => [id('people')],
  keepQuestion: ({ whole }) => [whole.question],
  questionsById: ({ id }) => [[id('questions')]],
  recordBatch: ({ id }) => [
    {
      lessonId: null,
      events: [
        {
          type: 'break',
          id: randomUUID(),
          lessonId: id('lessons'),
          pairId: id('pairs'),
          stageId: null,
          atMs: NOW_MS,
          by: null,
        },
      ],
    },
    NOW_MS,
  ],
  lessonLog: ({ id }) => [id('lessons')],
  rideLog: ({ row }) => [row('passes').pairId, row('passes').layoutVersionId],
  recordRevision: () => [],
  newRecordRevision: ({ id }) => [[id('passes')]],
  knownPair: ({ id }) => [id('pairs')],
  listRefusals: () => [NOW_MS],
  refuseSuggestion: () => [{ pairIds: ['p'], exercise: 'pole-row', stage: 0, nowMs: NOW_MS }],
  undoRefusal: () => ['refusal-1', NOW_MS],
  reviewPasses: ({ id }) => [{ layoutId: id('layouts') }, CLOCK],
  passesBetween: ({ id }) => [id('pairs'), CLOCK, [0, NOW_MS]],
  passesById: ({ id }) => [[id('passes')], CLOCK],
  dayPasses: ({ id }) => [{ pairIds: [id('pairs')] }, CLOCK],
  sumsOf: ({ id }) => [
    CLOCK,
    { of: { pairIds: [id('pairs')] }, name: 'sum', key: '' },
    (passes: readonly { id: string }[]) => passes.map(pass => pass.id),
  ],
  isKeptBy: () => ['a Roan'],
  keepAnew: () => ['a Roan'],
  changedDaysOf: ({ id }) => [[id('pairs')]],
  pairDays: ({ id }) => [CLOCK, new Map([[id('pairs'), undefined]])],
  groundsOf: ({ row }) => [
    [{ layoutVersionId: row('passes').layoutVersionId, questionId: row('passes').questionId, direction: 'as-drawn' }],
  ],
  riddenByHorse: ({ id }) => [id('horses')],
  riddenByPair: () => [],
  layoutsRidden: () => [],
  singleRides: () => [10],
  riddenOver: ({ id }) => [[id('layout_versions')]],
  wordsOfLesson: ({ row }) => [row('rider_words').lessonId],
  keepWords: ({ row }) => {
    const { lessonId, pairId } = row('rider_words');
    return [{ lessonId, pairId, words: 'Mine', revision: 0, nowMs: NOW_MS }];
  },
  layoutsOnSand: () => [],
  sandRecord: ({ whole }) => [whole.arena, CLOCK],
  once: () => ['save-1', async () => 'of its own'],
  isSaved: () => ['save-1'],
  listTicks: ({ row }) => [row('setting_ticks').layoutId],
  addTicks: ({ row }) => [
    row('setting_ticks').layoutId,
    [{ piece: 'peg 1', place: 'there', ticked: false, tappedAtMs: NOW_MS + 9 }],
    { nowMs: NOW_MS + 10 },
  ],
  lengthUnit: () => [],
  saveLengthUnit: () => ['ft'],
  yardRules: () => [],
  saveYardRules: ({ whole }) => [whole.rules],
  yardRulesAt: () => [0],
  rulesSince: () => [],
  latestClockMs: () => [],
  saveLatestClock: () => [NOW_MS],
  addShareLink: ({ id }) => ['rider', id('people'), NOW_MS],
  listShareLinks: () => [NOW_MS],
  revokeShareLink: () => ['link-1', NOW_MS],
  seeShareLink: () => ['link-1', NOW_MS],
  findStanding: ({ row }) => [row('standings').layoutId, row('standings').revision],
  keepStanding: ({ row }) => [
    { id: row('standings').layoutId, revision: row('standings').revision },
    { format: 'roan-standing', version: 1, typed: {}, pieces: [] },
    NOW_MS,
  ],
  putBack: ({ row }) => [row('standings').layoutId, NOW_MS],
  listStrideTests: ({ row }) => [row('stride_tests').horseId],
  addStrideTest: ({ row }) => [
    {
      ...{ id: randomUUID(), horseId: row('stride_tests').horseId, riderId: null, entry: 'trot' },
      ...{ lane: { kind: 'taped', lengthM: 20 }, stepperId: null, moment: 'apart', note: '', testedAtMs: NOW_MS },
      ...{ passes: [], rhythm: null, roundness: null, balance: null },
    },
  ],
  addTestedStride: ({ row }) => [
    {
      ...{ horseId: row('stride_tests').horseId, testId: row('stride_tests').id, entry: 'trot', knownAtMs: NOW_MS },
      stride: { shortM: 2, normalM: 2.5, longM: 3, source: 'tested' },
    },
  ],
  withdrawTestedStrides: ({ row }) => [row('stride_ranges').testId ?? row('stride_tests').id],
  addLearnedStride: ({ id }) => [
    {
      ...{ horseId: id('horses'), entry: 'trot', knownAtMs: NOW_MS },
      stride: { shortM: 2, normalM: 2.5, longM: 3, source: 'learned' },
    },
  ],
  withdrawLearnedStride: ({ row }) => [row('stride_ranges').horseId, row('stride_ranges').entry, NOW_MS],
  arenaTouches: ({ whole }) => [whole.arena, { ...(whole.arena as object), widthM: 19 }, String, NOW_MS],
  horseTouches: ({ whole }) => [whole.horse, NOW_MS],
  layoutTouches: ({ id }) => [id('layouts'), NOW_MS],
  listFilms: ({ row }) => [[row('videos').passId], []],
  findFilm: () => ['film-1'],
  filmsOfRider: ({ id }) => [id('people')],
  filmMarks: () => ['film-1'],
  filmHorse: ({ row }) => [row('videos')],
  filmsOfPair: ({ row }) => [row('pairs').id],
  filmsToAnswer: () => [],
  stillsOf: () => ['film-3'],
  findStill: () => ['film-3', 'still-1'],
  addFilm: ({ row }) => [
    { id: 'film-2', passId: row('videos').passId, fileName: 'x', mime: 'video/mp4', sizeBytes: 1, sha256: 'x' },
  ],
  removeFilm: () => ['film-1'],
  addFilmMark: () => ['film-1', { id: 'note-2', atS: 2, kind: 'note', words: 'mine' }],
  undoFilmMark: () => ['note-1'],
  keepFilmLength: () => ['film-1', 12],
  answerFilm: () => ['film-3', { answer: 'mine', was: null, atMs: 1 }],
  addStill: () => ['film-1', { id: 'still-2', atS: 1, bytes: Buffer.from([1]) }],
  removeStill: () => ['film-3', 'still-1'],
  countIntoTest: ({ row }) => [row('videos'), { pace: 'normal', count: 8 }],
  importList: () => [{ list: 'kit', rows: [] }],
  lookAtList: () => [{ list: 'kit', rows: [] }],
  exportList: () => ['people'],
  findYard: () => [],
  renameYard: () => ['Another name'],
};

/** What cannot be asked so and has no words for it: pages look first at what they ask about. */
const STOPS: Record<string, RegExp> = {
  pairRecord: /no horse/,
  // The id of a save is made up on a device, and is nobody else's.
  once: /insert into "saves"/,
};

/** What takes no yard: it is given rows, or is of the whole store. */
const OTHERWISE: Record<string, string> = {
  hasPassphrases: 'whether the store is open',
  passphrasesOf: 'who comes in is known by name and passphrase, in whichever yard',
  deviceLinkPerson: 'the token names its yard',
  useDeviceLink: 'the token names its yard',
  sessionPeople: 'the sealed cookie names its sessions',
  findShareLink: 'the token names its yard',
  officeSums: 'sums of the yards that tell them: a test of its own',
  takeLease: 'of the store',
  leaveLease: 'of the store',
  storeSecret: 'of the store',
  currentYard: 'of the store',
  listYards: 'of the store, for an open machine',
  addYard: 'of the store',
  testYard: 'of the tests',
  filmRider: 'of a film that was found in a yard',
  passesWithMarks: 'of passes that were found in a yard',
  beginRecording: 'begins a batch of a yard, which is tried',
  saveHorses: 'of horses that were found in a yard',
  addStrideTests: 'of horses that were found in a yard',
  keepChange: 'within a batch of a yard, which is tried',
  pairsRiding: 'within a batch of a yard',
  passRow: 'within a batch of a yard',
  keepDays: 'of days that were read in a yard',
  keepChangedDays: 'of the pairs of a yard that changed',
  versionsOf: 'of a layout or an arena, among passes of a yard',
  touchPass: 'within a batch of a yard',
  refuseWrongPlace: 'within a batch of a yard',
  refuseOtherLayout: 'within a batch of a yard',
};
/** What asks no database at all. */
const NO_DATABASE = new Set([
  ...['isRowPlan', 'inTime', 'madeBy', 'packKeptDay', 'unpackKeptDay', 'groundsOfKept'],
  ...['sameSize', 'arenaOf', 'lessonWork', 'goalOf', 'asToday', 'asVersion', 'comingAfter', 'lessonOf', 'markRow'],
  ...[
    'asMark',
    'planHorses',
    'kitCounts',
    'planGround',
    'storedQuestion',
    'keeperOf',
    'keptThrough',
    'changeOf',
    'passesChanged',
  ],
  ...[
    'refuseFuture',
    'samePairs',
    'exerciseKinds',
    'sizeKey',
    'rowSpacingFor',
    'storedPlan',
    'planHorse',
    'questionId',
  ],
]);

const isClass = (value: unknown) => /^class\b/.test(String(value));

async function allQueries(): Promise<Map<string, (...given: unknown[]) => unknown>> {
  const found = new Map<string, (...given: unknown[]) => unknown>();
  const files = readdirSync(__dirname, { recursive: true, encoding: 'utf8' });
  for (const file of files.filter(name => name.endsWith('.ts') && !name.endsWith('.test.ts'))) {
    const exported = (await import(path.join(__dirname, file))) as Record<string, unknown>;
    for (const [name, value] of Object.entries(exported))
      if (typeof value === 'function' && !isClass(value)) found.set(name, value as () => unknown);
  }
  return found;
}

test('every query of the folder is asked, or it is said why not', async () => {
  const told = [...Object.keys(ASKED), ...Object.keys(OTHERWISE), ...NO_DATABASE];
  expect([...(await allQueries()).keys()].filter(name => !told.includes(name))).toEqual([]);
});

/** Everything that the store holds, but what the whole of it knows. */
async function everything(tx: Transaction): Promise<Map<string, Row[]>> {
  const rows = new Map<string, Row[]>();
  for (const table of Object.values(schema).filter(one => one instanceof SQLiteTable))
    rows.set(getTableName(table), (await tx.select().from(table)) as Row[]);
  return rows;
}

const stringsIn = (value: unknown, found = new Set<string>()): Set<string> => {
  if (typeof value === 'string') found.add(value);
  else if (value instanceof Map) [...value].forEach(one => stringsIn(one, found));
  else if (value instanceof Set || Array.isArray(value)) [...value].forEach(one => stringsIn(one, found));
  else if (value !== null && typeof value === 'object' && !Buffer.isBuffer(value) && !(value instanceof Date))
    Object.values(value).forEach(one => stringsIn(one, found));
  return found;
};

/** What gives a yard away: the names of what it has, and the ids of its rows. */
function secretsOf(rows: ReadonlyMap<string, Row[]>, yardId: string): Set<string> {
  const secrets = new Set<string>();
  for (const list of rows.values())
    for (const row of list)
      if (row.yardId === yardId)
        for (const key of ['id', 'name', 'words', 'notes', 'device', 'fileName', 'title'])
          if (typeof row[key] === 'string' && (row[key] as string).length > 3) secrets.add(row[key] as string);
  return secrets;
}

test('asked with what is of another yard, no query tells, changes or names anything of it', async () => {
  await withTestDatabase(async database => {
    const { db, write } = database;
    const [yard] = await db.select().from(schema.yards);
    const other = await write(tx => addYard(tx, 'Elsewhere', 'UTC'));
    const queries = await allQueries();
    const before = await write(everything);
    const theirs = await theirsOf(db, before, yard!.id, queries);
    const secrets = secretsOf(before, yard!.id);
    const problems: string[] = [];
    for (const [name, givenOf] of Object.entries(ASKED)) {
      const given = givenOf(theirs);
      const handed = stringsIn(given);
      const told = await write(async tx => queries.get(name)!(tx, other.id, ...given)).catch((error: unknown) => error);
      if (told instanceof Error) {
        // What is refused is refused in a sentence, and not by running into something.
        const isSaid = told instanceof DatabaseRefused && !(told instanceof StoreFault);
        if (!isSaid && !STOPS[name]?.test(String(told.cause)))
          problems.push(`${name} fails in a way of its own: ${told.message} ${String(told.cause)}`);
      } else
        for (const text of stringsIn(told))
          if (secrets.has(text) && !handed.has(text)) problems.push(`${name} tells “${text}”`);
    }
    expect(problems).toEqual([]);
    const after = await write(everything);
    expect(differences(before, after, { yardId: yard!.id, otherId: other.id })).toEqual([]);
  }, season);
});

/** What is different of the yard that must not be seen, and what of the other one names something of it. */
function differences(
  before: ReadonlyMap<string, Row[]>,
  after: ReadonlyMap<string, Row[]>,
  { yardId, otherId }: { yardId: string; otherId: string },
): string[] {
  const isTheirs = (row: Row) => row.yardId === yardId || row.id === yardId;
  const keys = new Set([...before.values()].flatMap(list => list.flatMap(row => (isTheirs(row) ? row.id : []))));
  return [...after].flatMap(([table, rows]) => {
    const own = (list: Row[]) => JSON.stringify(list.filter(isTheirs));
    const changed = own(before.get(table)!) === own(rows) ? [] : [`${table} is another`];
    const naming = rows
      .filter(row => row.yardId === otherId)
      .flatMap(row => Object.entries(row).filter(([key, value]) => key !== 'id' && keys.has(value)))
      .map(([key]) => `${table} has a ${key} of the other yard`);
    return [...changed, ...naming];
  });
}

/** A row of each table, and whole things as queries give them to pages. */
async function theirsOf(
  db: RoanDatabase,
  rows: ReadonlyMap<string, Row[]>,
  yardId: string,
  queries: ReadonlyMap<string, (...given: unknown[]) => unknown>,
): Promise<Theirs> {
  const row = (table: string): Row => rows.get(table)!.find(one => one.yardId === yardId) ?? {};
  const id = (table: string) => String(row(table).id);
  const find = async (name: string, of: string) => queries.get(name)!(db, yardId, of);
  const lessons = rows.get('lessons')!;
  return {
    ...{ row, id },
    whole: {
      layout: await find('findLayout', id('layouts')),
      lesson: await find('findLesson', String(lessons[0]!.id)),
      horse: await find('findHorse', id('horses')),
      arena: await find('findArena', id('arenas')),
      rules: await queries.get('yardRules')!(db, yardId),
      question: (await (find('passPlace', id('passes')) as Promise<{ question: unknown }>)).question,
    },
  };
}

test('a row that names a row of another yard is refused by the database itself, in every table', async () => {
  await withTestDatabase(async ({ db }) => {
    const triggers = await db.all<{ name: string }>("select name from sqlite_master where type = 'trigger'");
    const names = new Set(triggers.map(({ name }) => name));
    for (const table of Object.values(schema).filter(one => one instanceof SQLiteTable)) {
      if (!('yardId' in getTableColumns(table))) continue;
      for (const key of getTableConfig(table).foreignKeys) {
        const { columns, foreignTable } = key.reference();
        if (getTableName(foreignTable) === 'yards') continue;
        const base = `${getTableName(table)}_${columns[0]!.name}_of_its_yard`;
        expect({ base, insert: names.has(`${base}_insert`), update: names.has(`${base}_update`) }).toEqual({
          ...{ base, insert: true, update: true },
        });
      }
    }
  });
});

test('an archive has the rows of one yard alone', async () => {
  await withTestDatabase(async ({ db, write }) => {
    const other = await write(tx => addYard(tx, 'Elsewhere', 'UTC'));
    for (const table of ARCHIVE_TABLES) {
      const rows = await archiveRows(db, table, other.id);
      expect({ table: getTableName(table), rows: rows.length }).toEqual({
        ...{ table: getTableName(table), rows: getTableName(table) === 'yards' ? 1 : 0 },
      });
    }
  }, season);
});

import { randomUUID } from 'node:crypto';
import { distanceM, seededRandom, standingMarks, type ClaimWords, type RecordEvent } from '@/core';
import { SEASON_BAD_PLACE, SEASON_FLAT_PLACE, SEASON_TRUTH } from '../demo/demoSeason';
import type { OpenDatabase } from '../database';
import { withTestDatabase } from '../testDatabase';
import { demoAt } from '../testDemo';
import { listArenas } from './arenas';
import { findHorse } from './horses';
import { pairRecord } from './pairRecord';
import { listPairs, type Pair } from './pairs';
import { steered, takenBack } from '../testChanges';
import { listPasses } from './passes';
import { recordBatch } from './recordEvents';
import { reviewPasses } from './reviewPasses';
import { layoutsRidden, riddenByPair } from './ridden';
import { sandRecord } from './sandRecord';
import { addLearnedStride, listStrideTests, withdrawLearnedStride } from './strideTests';
import {
  addFilm,
  addFilmMark,
  countIntoTest,
  filmMarks,
  findFilm,
  listFilms,
  removeFilm,
  undoFilmMark,
} from './videos';
import { currentYard } from './yards';

const NOW_MS = Date.parse('2026-06-03T12:00:00Z');
const CLOCK = { timeZone: 'UTC', dayOf: (atMs: number) => new Date(atMs).toISOString().slice(0, 10) };
const WORDS: ClaimWords = {
  ...{ horse: 'Quill', format: lengthM => `${lengthM.toFixed(2)} m`, entryName: entry => entry, dayName: day => day },
  formatChange: changeM => `${(changeM * 100).toFixed(0)} cm`,
};

type Season = { database: OpenDatabase; yardId: string; pairOf: (horse: string) => Pair };

async function withSeason(test: (season: Season) => Promise<void>) {
  await withTestDatabase(
    async database => {
      const yardId = (await currentYard(database)).id;
      const pairs = await listPairs(database.db, yardId);
      await test({ database, yardId, pairOf: horse => pairs.find(({ horseName }) => horseName === horse)! });
    },
    demoAt(NOW_MS, 'season'),
  );
}

// A season is made once, over a line as slow as that to a server.
jest.setTimeout(90_000);

test('the season, read for the review, is the same as read for a ride; what is marked later is there at once', async () => {
  await withSeason(async ({ database: { db, write }, yardId, pairOf }) => {
    const pair = pairOf('Quill');
    const plain = await listPasses(db, yardId, pair.id);
    const read = await reviewPasses(db, yardId, { pairIds: [pair.id] }, CLOCK);
    expect(read.map(({ id }) => id)).toEqual(plain.map(({ id }) => id));
    expect(read.map(({ marks }) => marks)).toEqual(plain.map(({ marks }) => standingMarks(marks)));
    expect(await reviewPasses(db, yardId, { pairIds: [pair.id] }, CLOCK)).toBe(read);

    const mark = { id: randomUUID(), kind: 'note' as const, words: 'later' };
    const event: RecordEvent = { type: 'mark', id: randomUUID(), passId: plain[0]!.id, mark, atMs: NOW_MS };
    await write(tx => recordBatch(tx, yardId, { events: [event], lessonId: null }, NOW_MS));
    const again = await reviewPasses(db, yardId, { pairIds: [pair.id] }, CLOCK);
    expect(again[0]!.marks).toContainEqual(mark);
    // Only that pass was read again: the others are the very same.
    expect(again[1]).toBe(read[1]);
    // What comes late stands where it was marked, not where it came.
    const early = { id: randomUUID(), kind: 'note' as const, words: 'marked first, sent last' };
    const late: RecordEvent = { ...event, id: randomUUID(), mark: early, atMs: plain[0]!.riddenAtMs };
    await write(tx => recordBatch(tx, yardId, { events: [late], lessonId: null }, plain[0]!.riddenAtMs + 1000));
    const [first] = await reviewPasses(db, yardId, { pairIds: [pair.id] }, CLOCK);
    const [asRidden] = await listPasses(db, yardId, pair.id);
    expect(first!.marks).toEqual(standingMarks(asRidden!.marks));
    expect(first!.marks.map(({ id }) => id).indexOf(early.id)).toBeLessThan(first!.marks.length - 1);
    expect(again.map(({ id }) => id)).toEqual(read.map(({ id }) => id));
    const { pairId, layoutVersionId, lessonId, stageId, stage, question, rein, direction, riddenAtMs } = plain[1]!;
    const pass = {
      id: randomUUID(),
      pairId,
      layoutVersionId,
      lessonId,
      stageId,
      stage,
      question,
      rein,
      direction,
      riddenAtMs: riddenAtMs + 1,
    };
    const more: RecordEvent = { type: 'pass', id: randomUUID(), pass };
    await write(tx => recordBatch(tx, yardId, { events: [more], lessonId: null }, plain[0]!.riddenAtMs + 1000));
    const grown = await reviewPasses(db, yardId, { pairIds: [pair.id] }, CLOCK);
    expect(grown.map(({ id }) => id)).toEqual((await listPasses(db, yardId, pair.id)).map(({ id }) => id));
    const gone = takenBack(randomUUID(), 'pass', pass.id, NOW_MS);
    await write(tx => recordBatch(tx, yardId, { events: [gone], lessonId: null }, NOW_MS));
    const undo = takenBack(randomUUID(), 'pass', plain[1]!.id, NOW_MS);
    await write(tx => recordBatch(tx, yardId, { events: [undo], lessonId: null }, NOW_MS));
    expect(await reviewPasses(db, yardId, { pairIds: [pair.id] }, CLOCK)).toHaveLength(plain.length - 1);
    expect((await riddenByPair(db, yardId)).get(pair.id)!.passes).toBe(plain.length - 1);
    const ridden = await layoutsRidden(db, yardId);
    expect(ridden.map(({ passes }) => passes)).toEqual(ridden.map(({ passes }) => passes).sort((a, b) => b - a));
  });
});

test('whatever happens to the record, what is read of a change is what is read of all of it', async () => {
  await withSeason(async ({ database: { db, write }, yardId, pairOf }) => {
    const pair = pairOf('Quill');
    const random = seededRandom(9);
    const pick = <Value>(values: readonly Value[]) => values[Math.floor(random() * values.length)]!;
    const fromChanges = () => pairRecord(db, yardId, pair, CLOCK, WORDS);
    // Who only reads, by another clock that says the same days, has nothing kept: all is read out of the marks and reckoned.
    let rounds = 0;
    const reader = { select: db.select.bind(db) } as typeof db;
    const afresh = () => pairRecord(reader, yardId, pair, { ...CLOCK, timeZone: `UTC ${(rounds += 1)}` }, WORDS);
    // The server's clock is that of the pass: a time far from its own would not be believed.
    const happen = (event: RecordEvent) =>
      write(tx =>
        recordBatch(tx, yardId, { events: [event], lessonId: null }, 'pass' in event ? event.pass.riddenAtMs : NOW_MS),
      );
    await fromChanges();
    for (let round = 0; round < 12; round += 1) {
      const { passes } = await fromChanges();
      const one = pick(passes.filter(({ ground }) => ground.legs.length > 0));
      const withMarks = await reviewPasses(db, yardId, { pairIds: [pair.id] }, CLOCK);
      const pass = withMarks.find(({ id }) => id === one.id)!;
      const counted = pass.marks.filter(({ kind }) => kind === 'strides');
      const id = randomUUID();
      const own = { id, passId: pass.id, atMs: NOW_MS };
      const { layoutVersionId, pairId, stageId, stage, question } = pass;
      const another = { id: randomUUID(), pairId, layoutVersionId, lessonId: null, stageId, stage, question };
      const whatever: RecordEvent[] = [
        { ...own, type: 'mark', mark: { id, kind: 'strides', place: 1, count: 3 + Math.floor(random() * 4) } },
        { ...own, type: 'mark', mark: { id, kind: 'fence', place: 1, outcome: 'down' } },
        { ...own, type: 'mark', mark: { id, kind: 'void' } },
        takenBack(id, 'pass', pass.id, NOW_MS),
        steered(
          id,
          pass.id,
          { rein: pass.rein, direction: pass.direction },
          { rein: pick(['left', 'right'] as const), direction: 'as-drawn' },
          NOW_MS,
        ),
        // A pass that comes late: it was ridden in the middle of the season.
        {
          ...{ id, type: 'pass' },
          pass: {
            ...another,
            rein: 'left',
            direction: 'as-drawn',
            riddenAtMs: passes[Math.floor(passes.length / 2)]!.riddenAtMs + 1,
          },
        },
        ...counted.map(mark => takenBack(id, 'mark', mark.id, NOW_MS)),
      ];
      await happen(whatever[round % 7] ?? pick(whatever));
      const [now, all] = [await fromChanges(), await afresh()];
      expect(now.passes.some(own => 'marks' in own)).toBe(false);
      expect(all.passes.every(own => 'marks' in own)).toBe(true);
      expect(now.passes).toEqual(all.passes.map(own => ({ ...own, marks: undefined })));
      expect({ ...now, passes: null }).toEqual({ ...all, passes: null });
    }
  });
}, 60_000);

test('what was planted in the season is found: the stride and its growth, the worse rein, the bad place', async () => {
  await withSeason(async ({ database: { db }, yardId, pairOf }) => {
    const quill = await pairRecord(db, yardId, pairOf('Quill'), CLOCK, WORDS);
    const canter = quill.strides.find(({ entry }) => entry === 'course-canter')!;
    const [first, last] = SEASON_TRUTH['ode-quill']!.strideM;
    const middle = (first + last) / 2;
    expect(canter.learned.lowM).toBeLessThan(middle);
    expect(canter.learned.highM).toBeGreaterThan(middle);
    expect(canter.drift!.change).toBeGreaterThan((last - first) / 2);
    expect(canter.drift!.change).toBeLessThan((last - first) * 1.7);
    expect(
      quill.claims.some(({ text }) => text.includes('on the right rein') || text.includes('left rein has caught up')),
    ).toBe(true);
    // Barley gives way off the right leg in every yield: nothing else goes wrong as often.
    const barley = await pairRecord(db, yardId, pairOf('Barley'), CLOCK, WORDS);
    const slips = barley.faults.filter(({ what }) => what.startsWith('off the '));
    expect(slips[0]!.what).toBe('off the right leg');
    const osprey = await pairRecord(db, yardId, pairOf('Osprey'), CLOCK, WORDS);
    expect(osprey.strides[0]!.drift?.p ?? 1).toBeGreaterThan(0.01);

    const arenas = await listArenas(db, yardId);
    const sandOf = (name: string) =>
      sandRecord(
        db,
        yardId,
        arenas.find(arena => arena.name === name)!,
        CLOCK,
      );
    const out = (await sandOf('Field arena')).places.filter(({ standsOut }) => standsOut);
    expect(out.map(({ at }) => at)).toEqual([SEASON_BAD_PLACE.at]);
    expect(out[0]!.whose).toBe('place');
    // On the flat nothing stands there: what is found is a square of sand, by the wall that was planted.
    const flat = (await sandOf('Lower school')).places.filter(({ standsOut }) => standsOut);
    const [place, ...more] = flat.filter(({ whose }) => whose === 'place');
    expect(distanceM(place!.at, SEASON_FLAT_PLACE.at)).toBeLessThan(3.5);
    expect(more).toEqual([]);
    // Barley slips wherever it yields: that is no place, and told by its faults.
    // Tansy paces where she was planted to: that is her place alone.
    const tansyPlace = flat.filter(({ whose }) => whose !== 'place');
    expect(tansyPlace).toEqual([expect.objectContaining({ whose: 'pair', pairId: pairOf('Tansy').id })]);
    const planted = SEASON_TRUTH['maud-tansy']!.gaits!.slip;
    expect(distanceM(tansyPlace[0]!.at, planted.at)).toBeLessThan(4);
    const tansy = await pairRecord(db, yardId, pairOf('Tansy'), CLOCK, WORDS);
    expect(tansy.gaits.slips[0]).toMatchObject({ asked: 'running-walk', into: 'pace' });
    const told = tansy.claims.filter(({ about }) => about === 'gaits').map(({ text }) => text);
    expect(told).toEqual([
      expect.stringMatching(/head rises with the speed: too high in \d+\s% of the passes in running walk/),
      expect.stringMatching(/canters more easily out of trot/),
    ]);
    // Fennel, ridden western, has its worse rein: the right one.
    const fennel = await pairRecord(db, yardId, pairOf('Fennel'), CLOCK, WORDS);
    expect(fennel.claims.map(({ text }) => text)).toContainEqual(
      expect.stringMatching(/clean more often on the left rein/),
    );
  });
});

test('a learned stride is given to the profile, stands under what is typed in, and is taken back', async () => {
  await withSeason(async ({ database: { db, write }, yardId, pairOf }) => {
    const own = { horseId: pairOf('Osprey').horseId, entry: 'course-canter' as const };
    const stride = {
      normalM: 3.95,
      shortM: 3.4,
      longM: 4.4,
      source: 'learned' as const,
      interval: { lowM: 3.9, highM: 4 },
    };
    const standing = async (horseId: string) => (await findHorse(db, yardId, horseId))!.strides;
    await write(tx => addLearnedStride(tx, yardId, { ...own, stride, knownAtMs: NOW_MS }));
    expect((await standing(own.horseId))['course-canter']).toMatchObject({ normalM: 3.95, source: 'learned' });
    await write(tx => withdrawLearnedStride(tx, yardId, own.horseId, own.entry, NOW_MS));
    expect((await standing(own.horseId))['course-canter']).toBeUndefined();
    const { horseId } = pairOf('Larkspur');
    await write(tx => addLearnedStride(tx, yardId, { horseId, entry: 'trot-poles', stride, knownAtMs: NOW_MS }));
    expect((await standing(horseId))['trot-poles']).toMatchObject({ normalM: 1.45, source: 'typed' });
  });
});

test('a film has notes, its count goes to the test once, and its notes stay when it is gone', async () => {
  await withSeason(async ({ database: { db, write }, yardId, pairOf }) => {
    const [stride] = await listStrideTests(db, yardId, pairOf('Quill').horseId);
    const film = {
      id: 'film',
      fileName: 'a.mp4',
      mime: 'video/mp4',
      sizeBytes: 9,
      sha256: 'x',
      testId: stride!.id,
      passId: null,
    };
    await write(tx => addFilm(tx, yardId, film));
    await expect(write(tx => addFilm(tx, yardId, { ...film, id: 'other', testId: 'nothing' }))).rejects.toThrow(
      'not in the yard',
    );
    for (const [id, atS] of [
      ['b', 2.5],
      ['a', 1],
    ] as const)
      await write(tx => addFilmMark(tx, yardId, 'film', { id, atS, kind: 'stride' }));
    expect((await filmMarks(db, yardId, 'film')).map(({ id }) => id)).toEqual(['a', 'b']);
    await write(tx => undoFilmMark(tx, yardId, 'a'));
    const kept = (await findFilm(db, yardId, 'film'))!;
    const countOf = async () =>
      (await listStrideTests(db, yardId, pairOf('Quill').horseId)).find(({ id }) => id === stride!.id)!.passes;
    const before = (await countOf()).length;
    for (const count of [8, 9]) await write(tx => countIntoTest(tx, yardId, kept, { pace: 'normal', count }));
    const after = await countOf();
    expect(after).toHaveLength(before + 1);
    expect(after[before]).toMatchObject({ pace: 'normal', count: 9 });
    expect(await listFilms(db, yardId, [], [stride!.id])).toHaveLength(1);
    await write(tx => removeFilm(tx, yardId, 'film'));
    expect(await listFilms(db, yardId, [], [stride!.id])).toEqual([]);
    expect(await filmMarks(db, yardId, 'film')).toHaveLength(1);
  });
});

import { randomUUID } from 'node:crypto';
import JSZip from 'jszip';
import { buffer } from 'node:stream/consumers';
import Papa from 'papaparse';
import { amend, type ChangedValue, type LessonStage, type RecordEvent } from '@/core';
import { writeArchive } from '@/data/archive/writeArchive';
import { earlierWork } from '@/data/queries/earlierWork';
import { findLayout, listLayouts } from '@/data/queries/layouts';
import { layoutOffers } from '@/data/queries/layoutStages';
import { keepVersion } from '@/data/queries/layoutVersions';
import { findLesson, saveLesson } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { recordBatch } from '@/data/queries/recordEvents';
import { reviewPasses } from '@/data/queries/reviewPasses';
import { currentYard } from '@/data/queries/yards';
import { withTestDatabase } from '@/data/testDatabase';
import { demoAt } from '@/data/testDemo';
import { lessonSheet } from './lessonSheet';
import { weekOf } from './yardTime';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');
const HOUR_MS = 3600 * 1000;

test('a pass that is moved to another pair is theirs in the sheet, in the work of the day, in the review and in the archive', async () => {
  await withTestDatabase(async database => {
    const { db, write } = database;
    const yard = await currentYard(database);
    const found = (await listLayouts(db, yard.id)).find(({ name }) => name.startsWith('Course'))!;
    const layout = (await findLayout(db, yard.id, found.id))!;
    const [asks] = (await layoutOffers(db, yard.id, layout)).questions;
    const question = { id: randomUUID(), ...asks! };
    const stage: LessonStage = {
      ...{ id: randomUUID(), name: 'Course', layoutId: layout.id, questions: [{ question, ofPairs: {} }] },
      ...{ focus: '', seat: 'half-seat', eachRein: 1, minutes: 20, policy: 'same question again' },
      stop: { when: 'repetitions' },
    };
    const [one, two] = (await listPairs(db, yard.id)).filter(
      (pair, at, all) => all.findIndex(({ horseId }) => horseId === pair.horseId) === at,
    ) as [Awaited<ReturnType<typeof listPairs>>[number], Awaited<ReturnType<typeof listPairs>>[number]];
    const startsAtMs = NOW_MS - 30 * HOUR_MS;
    const lessonId = await write(tx =>
      saveLesson(tx, yard.id, {
        ...{ name: 'Corrected', arenaId: layout.arena.id, startsAtMs },
        plan: { pairIds: [one.id, two.id], stages: [stage], breakEveryMin: 10 },
      }),
    );
    const layoutVersionId = await write(tx => keepVersion(tx, yard.id, layout, 'ridden'));
    const passId = randomUUID();
    const own = () => ({ newId: () => randomUUID() as string, atMs: NOW_MS, by: 'Mira' });
    const send = (...events: RecordEvent[]) =>
      write(tx => recordBatch(tx, yard.id, { events, lessonId: null }, NOW_MS));
    await send({
      ...{ type: 'pass', id: randomUUID(), saidAtMs: NOW_MS },
      pass: {
        ...{ id: passId, pairId: one.id, lessonId, layoutVersionId, stageId: stage.id, stage: 'Course', question },
        ...{ rein: null, direction: 'as-drawn', riddenAtMs: startsAtMs + HOUR_MS / 4 },
      },
    });

    /** Whose the pass is, wherever Roan tells it. */
    const told = async () => {
      const lesson = (await findLesson(db, yard.id, lessonId))!;
      const sheet = await lessonSheet(db, yard, lesson);
      const work = await earlierWork(db, yard.id, weekOf(startsAtMs, yard.timeZone), 'another lesson', NOW_MS);
      const clock = { timeZone: yard.timeZone, dayOf: (atMs: number) => new Date(atMs).toISOString().slice(0, 10) };
      const ofPair = async (id: string) => reviewPasses(db, yard.id, { pairIds: [id] }, clock);
      const zip = await JSZip.loadAsync(await buffer((await writeArchive(db, '/nowhere', 'then')).zip));
      const csv = Papa.parse<Record<string, string>>(await zip.file('csv/passes.csv')!.async('string'), {
        header: true,
      });
      const row = csv.data.find(({ id }) => id === passId)!;
      const efforts = (horseId: string) => {
        const day = work.get(horseId);
        return (day?.lowEfforts ?? 0) + (day?.highEfforts ?? 0);
      };
      return [one, two].map(async ({ id, horseId, horseName }) => ({
        sheet: sheet.pairs.find(({ horse }) => horse === horseName)!.end.summary.stages.length,
        jumped: efforts(horseId) > 0,
        review: (await ofPair(id)).filter(pass => pass.id === passId).length,
        archive: row.pair_id === id && row.undone_at === '',
      }));
    };
    const all = async () => Promise.all(await told());
    const theirs = { sheet: 1, jumped: true, review: 1, archive: true };
    const nothing = { sheet: 0, jumped: false, review: 0, archive: false };
    expect(await all()).toEqual([theirs, nothing]);

    const change = (value: ChangedValue) => send(amend({ changes: [] }, lessonId, { ...value, of: passId }, own()));
    await change({ on: 'pass', what: 'pair', was: one.id, to: two.id });
    expect(await all()).toEqual([nothing, theirs]);
    await change({ on: 'pass', what: 'counts', was: true, to: false });
    expect(await all()).toEqual([nothing, nothing]);
    // The sheet says that it was put right.
    const lesson = (await findLesson(db, yard.id, lessonId))!;
    expect((await lessonSheet(db, yard, lesson)).putRight).toMatch(
      /^Put right afterwards 2 times, last on 1 June 2026/,
    );
  }, demoAt(NOW_MS));
}, 60_000);

'use server';

import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { TEST_PACES } from '@/core';
import { DatabaseRefused } from '@/data/databaseRefused';
import { filmFile } from '@/data/films/filmFile';
import { recordBatch } from '@/data/queries/recordEvents';
import {
  addFilmMark,
  answerFilm,
  countIntoTest,
  findFilm,
  keepFilmLength,
  removeFilm,
  undoFilmMark,
} from '@/data/queries/videos';
import { FilmMarkOnPaper } from '@/files/filmMarkRow';
import type { FormOutcome } from '@/files/formOutcome';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { attempt } from '../../../_server/attempt';
import { may } from '../../../_server/access/rules';
import { dataFolders } from '../../../_server/dataFolders';
import { yardContext } from '../../../_server/yardContext';
import { gone, Id, refuse } from '@/app/_server/refusal';

const Timed = z.strictObject({ id: z.uuid(), atS: z.number().min(0).max(36_000), mark: FilmMarkOnPaper });
const Count = z.strictObject({
  count: z.number().int().min(0).max(99),
  place: z.number().int().min(1).max(2000).nullable(),
  pace: z.enum(TEST_PACES).nullable(),
});

export async function addFilmMarkAction(videoId: unknown, sent: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const [id, read] = [Id.safeParse(videoId), Timed.safeParse(sent)];
    if (!id.success || !read.success)
      return refuse('What is seen in a film has a time, and a note at most 500 letters.');
    const { write, yard } = await yardContext();
    const { mark, ...when } = read.data;
    await write(tx => addFilmMark(tx, yard.id, id.data, { ...when, ...mark }));
    return { ok: true };
  });
}

export async function undoFilmMarkAction(markId: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const id = Id.safeParse(markId);
    if (!id.success) return refuse('This is not there any more.');
    const { write, yard } = await yardContext();
    await write(tx => undoFilmMark(tx, yard.id, id.data));
    return { ok: true };
  });
}

const Length = z.number().positive().max(36_000);

/** Keeps how long a film is, as the first player that opened it says. */
export async function keepFilmLengthAction(videoId: unknown, lengthS: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const [id, length] = [Id.safeParse(videoId), Length.safeParse(lengthS)];
    if (!id.success || !length.success) return refuse('This film does not say how long it is.');
    const { write, yard } = await yardContext();
    await write(tx => keepFilmLength(tx, yard.id, id.data, length.data));
    return { ok: true };
  });
}

const Answer = z.string().trim().min(1, 'Say something first.').max(2000, 'An answer has at most 2,000 letters.');

type Answered = FormOutcome & {
  /** What is answered there now, where what was sent is not kept. */
  now?: string | null;
};

/**
 * Gives the answer to whoever rode: from now on they read it, with all that is marked.
 * @param was - the answer that it is put in the place of, as it was seen here; null for none
 */
export async function answerFilmAction(videoId: unknown, typed: unknown, was: unknown): Promise<Answered> {
  const { db, write, yard } = await yardContext(may.instruct);
  const [id, answer, before] = [Id.safeParse(videoId), Answer.safeParse(typed), z.string().nullable().safeParse(was)];
  if (!id.success || !before.success) return refuse(gone('film'));
  if (!answer.success) return refuse(answer.error.issues[0]!.message);
  const given = { answer: answer.data, was: before.data, atMs: Date.now() };
  const kept = await attempt<object>(may.instruct, async () => {
    await write(tx => answerFilm(tx, yard.id, id.data, given));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
  // What is there instead, so that giving it again is meant.
  return kept.ok ? kept : { ...kept, now: (await findFilm(db, yard.id, id.data))?.answer ?? null };
}

/** Takes a film out of the data folder; what was noted and counted in it stays. */
export async function removeFilmAction(videoId: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const id = Id.safeParse(videoId);
    const { db, write, yard } = await yardContext();
    const film = id.success ? await findFilm(db, yard.id, id.data) : null;
    if (!film) return refuse(gone('film'));
    await write(tx => removeFilm(tx, yard.id, film.id));
    rmSync(filmFile(dataFolders().videos, film.id), { force: true });
    return { ok: true };
  });
}

/** Gives the strides that were counted in a film to its pass (a leg of it) or to its stride test (a pace of it). */
export async function countFromFilmAction(videoId: unknown, sent: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const [id, asked] = [Id.safeParse(videoId), Count.safeParse(sent)];
    if (!id.success || !asked.success) return refuse('Count the strides first, and say where they belong.');
    const { count, place, pace } = asked.data;
    const { write, yard } = await yardContext();
    await write(async tx => {
      const film = await findFilm(tx, yard.id, id.data);
      if (!film) throw new DatabaseRefused(gone('film'));
      if (film.testId !== null) {
        if (pace === null) throw new DatabaseRefused('Say at which pace it was ridden.');
        return countIntoTest(tx, yard.id, film, { pace, count });
      }
      if (place === null) throw new DatabaseRefused('Say in which leg the strides were counted.');
      const nowMs = Date.now();
      const mark = { id: randomUUID(), kind: 'strides' as const, place, count };
      const event = { type: 'mark' as const, id: randomUUID(), passId: film.passId!, mark, atMs: nowMs };
      await recordBatch(tx, yard.id, { events: [event], lessonId: null }, nowMs);
    });
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

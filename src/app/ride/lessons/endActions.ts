'use server';

import { attempt } from '@/app/_server/attempt';
import { may } from '../../_server/access/rules';
import { stagesGot } from '@/app/_server/stagesGot';
import { yardContext } from '@/app/_server/yardContext';
import { daysLater } from '@/app/_server/yardTime';
import { nextLesson } from '@/core';
import { DatabaseRefused } from '@/data/databaseRefused';
import { changeLesson } from '@/data/queries/changeLesson';
import { findLesson, lessonRecord, saveLesson } from '@/data/queries/lessons';
import { comingAfter, lessonsTogether } from '@/data/queries/lessonSeries';
import { findPair } from '@/data/queries/pairs';
import { keepWords, wordsOfLesson, type RiderWords } from '@/data/queries/riderWords';
import { once } from '@/data/queries/saves';
import type { FormOutcome } from '@/files/formOutcome';
import { saveIdOf } from '@/files/saveId';
import { randomUUID } from 'node:crypto';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { gone, Id, refuse } from '@/app/_server/refusal';

const Word = z.strictObject({
  ...{ lessonId: Id, pairId: Id, revision: z.number().int().min(0) },
  words: z.string().trim().max(1000, 'At most a thousand letters.'),
});
type Kept = FormOutcome<{ revision: number }> & { now?: RiderWords };

/**
 * Keeps what the instructor says to a rider.
 * @param saving - names the save: sent again after a lost answer, it is kept once
 */
export async function keepWordAction(sent: unknown, saving: unknown): Promise<Kept> {
  const { db, write, yard } = await yardContext(may.instruct);
  const word = Word.safeParse(sent);
  if (!word.success) return refuse('A word to a rider has at most a thousand letters.');
  const { lessonId, pairId } = word.data;
  const answer = await attempt<{ revision: number }>(may.instruct, async () => {
    const revision = await write(tx =>
      once(tx, yard.id, saveIdOf(saving), async () => {
        const isThere = (await findLesson(tx, yard.id, lessonId)) && (await findPair(tx, yard.id, pairId));
        if (!isThere) throw new DatabaseRefused('This lesson or this pair is not in the yard any more.');
        return keepWords(tx, yard.id, { ...word.data, nowMs: Date.now() });
      }),
    );
    return { ok: true, revision };
  });
  if (answer.ok) return answer;
  // What is there instead, so that keeping it again is meant.
  const now = (await wordsOfLesson(db, yard.id, lessonId)).get(pairId);
  return now ? { ...answer, now } : answer;
}

const WEEK_DAYS = 7;

/**
 * Plans the lesson after one from how far its pairs came: a week later; in a series, into the lesson that comes next there.
 * @param saving - names the save: pressed twice, nothing is planned twice
 */
export async function planNextAction(id: unknown, saving: unknown): Promise<FormOutcome<{ lessonId: string }>> {
  return attempt<{ lessonId: string }>(may.instruct, async () => {
    const lessonId = Id.safeParse(id);
    const { db, write, yard } = await yardContext();
    const lesson = lessonId.success ? await findLesson(db, yard.id, lessonId.data) : null;
    if (!lesson) return refuse(gone('lesson'));
    const record = await lessonRecord(db, yard.id, lesson);
    const plan = nextLesson(lesson.plan, await stagesGot(db, yard.id, lesson, record), randomUUID);
    const { name, arenaId } = lesson;
    const planned = await write(tx =>
      once(tx, yard.id, saveIdOf(saving), async () => {
        const [next] = comingAfter((await lessonsTogether(tx, yard.id, lesson.id)).series, lesson);
        if (!next) {
          const startsAtMs = daysLater(lesson.startsAtMs, WEEK_DAYS, yard.timeZone);
          return saveLesson(tx, yard.id, { name, arenaId, startsAtMs, plan });
        }
        const { startsAtMs, revision, plan: before } = next;
        const edit = { name: next.name, arenaId, startsAtMs, plan, base: { revision, plan: before } };
        await changeLesson(tx, yard.id, next.id, { ...edit, by: null, nowMs: Date.now() });
        return next.id;
      }),
    );
    revalidatePath('/ride');
    return { ok: true, lessonId: planned };
  });
}

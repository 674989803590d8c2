import 'server-only';
import { createHash } from 'node:crypto';
import type { RoanDatabase } from '@/data/openDatabase';
import { lessonLayouts } from '@/data/queries/lessonLayouts';
import { listHorses } from '@/data/queries/horses';
import type { Lesson } from '@/data/queries/lessons';
import { yardRules } from '@/data/queries/settings';

/**
 * What a lesson is ridden over, by whom and under which rules, as one word: it is another one as soon as somebody changed
 * any of it, at the desk or on a phone.
 */
export async function lessonSetup(db: RoanDatabase, yardId: string, lesson: Lesson): Promise<string> {
  const told = [
    [lesson.revision, lesson.name, lesson.startsAtMs, lesson.arenaId, lesson.archived],
    await lessonLayouts(db, yardId, lesson),
    (await listHorses(db, yardId)).map(({ id, name, heightM, type, strides }) => [id, name, heightM, type, strides]),
    await yardRules(db, yardId),
  ];
  return createHash('sha256').update(JSON.stringify(told)).digest('hex').slice(0, 16);
}

import 'server-only';
import { createHash } from 'node:crypto';
import type { RoanDatabase } from '@/data/database';
import { lessonLayouts } from '@/data/queries/lessonLayouts';
import { listHorses } from '@/data/queries/horses';
import type { Lesson } from '@/data/queries/lessons';
import { yardRules } from '@/data/queries/settings';

/**
 * What a lesson is ridden over, by whom and under which rules, as one word: it is another one as soon as somebody changed
 * any of it, at the desk or on a phone.
 */
export async function lessonSetup(db: RoanDatabase, yardId: string, lesson: Lesson): Promise<string> {
  return (await lessonSetups(db, yardId, [lesson]))[0]!;
}

/** The same for several lessons, in their order. */
export async function lessonSetups(db: RoanDatabase, yardId: string, lessons: readonly Lesson[]): Promise<string[]> {
  const horses = (await listHorses(db, yardId)).map(({ id, name, heightM, type, strides }) => [
    ...[id, name, heightM, type, strides],
  ]);
  const rules = await yardRules(db, yardId);
  return Promise.all(
    lessons.map(async lesson =>
      hashOf([
        [lesson.revision, lesson.name, lesson.startsAtMs, lesson.arenaId, lesson.archived],
        ...[await lessonLayouts(db, yardId, lesson), horses, rules],
      ]),
    ),
  );
}

/** A short word for what was told: another one as soon as any of it is another. */
export function hashOf(told: unknown): string {
  return createHash('sha256').update(JSON.stringify(told)).digest('hex').slice(0, 16);
}

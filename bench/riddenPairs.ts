import { sql } from 'drizzle-orm';
import type { OpenDatabase } from '@/data/database';

/** What a phone taps of: a pair in a lesson, over a layout as it stood, and what is asked of it. */
export type Ridden = { pairId: string; versionId: string; lessonId: string; question: unknown };

/** What each pair of a season rode last in a lesson; all of them in one lesson, as phones of one lesson tap. */
export async function riddenPairs({ db }: OpenDatabase): Promise<Ridden[]> {
  const rows = await db.all<Record<'pair' | 'version' | 'lesson' | 'question', string>>(
    sql`select p.pair_id as pair, p.layout_version_id as version, p.lesson_id as lesson, q.document as question
      from passes as p join questions as q on q.id = p.question_id
      where p.lesson_id is not null group by p.pair_id order by p.ridden_at desc`,
  );
  const lessonId = rows[0]!.lesson;
  return rows.map(({ pair: pairId, version: versionId, question }) => ({
    ...{ pairId, versionId, lessonId, question: JSON.parse(question) as unknown },
  }));
}

import { yardContext } from '@/app/_server/yardContext';
import { findLesson, lessonRecord } from '@/data/queries/lessons';
import { packRecord } from '@/files/packedRecord';

/** What was recorded in a lesson so far, by anybody. */
export async function GET(_: Request, { params }: { params: Promise<{ lessonId: string }> }) {
  const { lessonId } = await params;
  const { db, yard } = await yardContext();
  const lesson = await findLesson(db, yard.id, lessonId);
  if (!lesson) return Response.json({ problem: 'This lesson is not in the yard any more.' }, { status: 404 });
  return Response.json({ record: packRecord(await lessonRecord(db, yard.id, lesson)) });
}

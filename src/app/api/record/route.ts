import { requestBody } from '@/app/_server/requestBody';
import { yardContext } from '@/app/_server/yardContext';
import { DatabaseRefused } from '@/data/databaseRefused';
import { findLesson, lessonRecord } from '@/data/queries/lessons';
import { RecordRefused, recordBatch } from '@/data/queries/passes';
import { packRecord } from '@/files/packedRecord';
import { RecordBatch } from '@/files/recordEvent';

/**
 * Takes what happened in a ride, in order, all of it or nothing. It answers only when it is in the database; sent
 * again, it counts once. Where a lesson is named, what was recorded of it by anybody comes back. 422 says that it will never be taken, 503 that it may be sent again.
 */
export async function POST(request: Request) {
  const sent = await requestBody(request, RecordBatch);
  if (!sent.ok) return Response.json({ problem: sent.problem }, { status: 422 });
  try {
    const { db, write, yard } = await yardContext();
    await write(tx => recordBatch(tx, yard.id, sent.body, Date.now()));
    const lesson = sent.body.lessonId === null ? null : await findLesson(db, yard.id, sent.body.lessonId);
    return Response.json({
      taken: sent.body.events.length,
      record: lesson && packRecord(await lessonRecord(db, yard.id, lesson)),
    });
  } catch (error) {
    if (error instanceof RecordRefused) return Response.json({ problem: error.message }, { status: 422 });
    if (error instanceof DatabaseRefused) return Response.json({ problem: error.message }, { status: 503 });
    throw error;
  }
}

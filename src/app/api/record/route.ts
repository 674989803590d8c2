import { answering, problemAnswer } from '@/app/_server/answering';
import { entered } from '../../_server/access/entered';
import { may } from '../../_server/access/rules';
import { requestBody } from '@/app/_server/requestBody';
import { recordBatch } from '@/data/queries/recordEvents';
import { lessonLog } from '@/data/queries/recordLog';
import { packLog } from '@/files/packedRecord';
import { roan } from '@/data/roan';
import { RecordBatch } from '@/files/recordEvent';

/**
 * Takes what happened in a ride, in order, all of it or nothing. It answers only when it is in the database; sent
 * again, it counts once. Where a lesson is named, what changed of its record since the device's last answer comes back. 4xx says that it will never be taken, 503 that it may be sent again.
 */
export const POST = answering(may.help, async (request: Request) => {
  const sent = await requestBody(request, RecordBatch);
  if (!sent.ok) return problemAnswer(sent.status, sent.problem);
  // Of the yard no more than which it is: a tap asks the store as little as it can.
  const { yardId } = await entered();
  const { db, write } = await roan();
  await write(tx => recordBatch(tx, yardId, sent.body, Date.now()));
  const { lessonId, after, events } = sent.body;
  const answer = lessonId === null ? null : await lessonLog(db, yardId, lessonId, after);
  return Response.json({
    taken: events.length,
    ...(answer && { number: answer.number, afresh: answer.afresh, log: packLog(answer.log) }),
  });
});

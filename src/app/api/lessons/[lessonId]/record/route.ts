import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../../_server/access/rules';
import { askedAfter } from '@/app/_server/askedAfter';
import { lessonSetup } from '@/app/_server/lessonSetup';
import { yardContext } from '@/app/_server/yardContext';
import { findLesson } from '@/data/queries/lessons';
import { lessonLog } from '@/data/queries/recordLog';
import { packLog } from '@/files/packedRecord';
import { gone } from '@/app/_server/refusal';

/** What was recorded in a lesson by anybody, or, after the number of an earlier answer, what changed since. */
export const GET = answering(
  may.help,
  async (request: Request, { params }: { params: Promise<{ lessonId: string }> }) => {
    const { lessonId } = await params;
    const { db, yard } = await yardContext();
    const lesson = await findLesson(db, yard.id, lessonId);
    const answer = lesson && (await lessonLog(db, yard.id, lessonId, askedAfter(request)));
    if (!answer) return problemAnswer(404, gone('lesson'));
    const setup = await lessonSetup(db, yard.id, lesson);
    return Response.json({ number: answer.number, afresh: answer.afresh, log: packLog(answer.log), setup });
  },
);

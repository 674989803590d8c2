import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../../_server/access/rules';
import { download } from '@/app/_server/download';
import { askerOf, heavyWork } from '@/app/_server/heavy/heavyWork';
import { lessonSheet } from '@/app/_server/lessonSheet';
import { yardContext } from '@/app/_server/yardContext';
import { mayReadPair } from '@/app/_server/access/ownPair';
import { findLesson } from '@/data/queries/lessons';
import { findPair } from '@/data/queries/pairs';
import { gone } from '@/app/_server/refusal';

/** The sheet of a lesson as a PDF; ?pair=somebody's id for a rider's own, &paper=a4 or letter. */
export const GET = answering(
  may.read,
  async (request: Request, { params }: { params: Promise<{ lessonId: string }> }) => {
    const { lessonId } = await params;
    const wish = new URL(request.url).searchParams;
    const paper = wish.get('paper') ?? 'a4';
    if (paper !== 'a4' && paper !== 'letter') return problemAnswer(400, 'The paper is a4 or letter.');
    const { db, yard, who } = await yardContext();
    const pairId = wish.get('pair');
    const known = pairId === null ? null : await findPair(db, yard.id, pairId);
    // A rider reads their own sheet; the whole one has others on it.
    if (!who.open && who.role === 'rider' && !(known && mayReadPair(who, known)))
      return problemAnswer(404, 'This pair does not ride in this lesson.');
    const lesson = await findLesson(db, yard.id, lessonId);
    if (!lesson) return problemAnswer(404, gone('lesson'));
    const sheet = await lessonSheet(db, yard, lesson);
    const pair = pairId === null ? null : sheet.pairs.find(({ id }) => id === pairId);
    if (pair === undefined) return problemAnswer(404, 'This pair does not ride in this lesson.');
    const bytes = await heavyWork('lessonPaper', { sheet, pair, paper }, askerOf(request));
    const name = pair === null ? lesson.name : `${pair.rider} ${pair.horse}`;
    return download(new Uint8Array(bytes), name, '.pdf', 'application/pdf');
  },
);

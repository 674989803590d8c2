import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../../_server/access/rules';
import { download } from '@/app/_server/download';
import { yardContext } from '@/app/_server/yardContext';
import { lessonMinutes } from '@/core';
import { findArena } from '@/data/queries/arenas';
import { findLesson } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { lessonCalendar } from '@/files/lessonCalendar';
import { gone } from '@/app/_server/refusal';

/** A lesson as an iCalendar file. */
export const GET = answering(may.help, async (_: Request, { params }: { params: Promise<{ lessonId: string }> }) => {
  const { lessonId } = await params;
  const { db, yard } = await yardContext();
  const lesson = await findLesson(db, yard.id, lessonId);
  if (!lesson) return problemAnswer(404, gone('lesson'));
  const { id, name, startsAtMs, plan } = lesson;
  const arena = await findArena(db, yard.id, lesson.arenaId);
  const pairs = (await listPairs(db, yard.id)).filter(pair => plan.pairIds.includes(pair.id));
  const calendar = lessonCalendar(
    [
      {
        ...{ id, name, startsAtMs, minutes: lessonMinutes(plan), arena: arena?.name ?? '' },
        pairs: pairs.map(({ riderName, horseName }) => `${riderName} and ${horseName}`),
        stages: plan.stages.map(stage => `${stage.name}: ${stage.focus || stage.seat}`),
      },
    ],
    Date.now(),
  );
  return download(calendar, name, '.ics', 'text/calendar');
});

import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../../_server/access/rules';
import { download } from '@/app/_server/download';
import { yardContext } from '@/app/_server/yardContext';
import { yardTime } from '@/app/_server/yardTime';
import { askedRide } from '@/app/ride/askedRide';
import { changeWords, passOf, type RecordNames } from '@/app/ride/recordWords';
import { changedAfterwards } from '@/core';
import { findLesson } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { versionsById } from '@/data/queries/layoutVersions';
import { lessonLog } from '@/data/queries/recordLog';
import { writeChangesCsv } from '@/files/changesCsv';
import { gone } from '@/app/_server/refusal';

/** What was changed in a lesson's record: who, when, what it was before and what it is after. */
export const GET = answering(may.help, async (_: Request, { params }: { params: Promise<{ lessonId: string }> }) => {
  const { lessonId } = await params;
  const { db, yard } = await yardContext();
  const lesson = await findLesson(db, yard.id, lessonId);
  const answer = lesson && (await lessonLog(db, yard.id, lessonId));
  if (!lesson || !answer) return problemAnswer(404, gone('lesson'));
  const { log } = answer;
  const pairs = await listPairs(db, yard.id);
  const versions = await versionsById(
    db,
    yard.id,
    log.passes.map(({ pass }) => pass.layoutVersionId),
  );
  const timeOf = (atMs: number) => yardTime(atMs, yard.timeZone, 'YYYY-MM-DD HH:mm');
  const names: RecordNames = {
    ...{ log, timeOf },
    pairOf: id => {
      const pair = pairs.find(one => one.id === id);
      return pair ? `${pair.horseName} with ${pair.riderName}` : 'a pair';
    },
    rideOf: ({ layoutVersionId, question }) => {
      const layout = versions.get(layoutVersionId)?.layout;
      return layout ? askedRide(layout, question, null) : null;
    },
  };
  const late = new Set(changedAfterwards(log).map(({ id }) => id));
  const rows = log.changes.map(change => {
    const pass = passOf(log, change)?.pass;
    return {
      ...{ when: timeOf(change.atMs), by: change.by ?? '', ...changeWords(names, change) },
      ...{ pair: pass ? names.pairOf(pass.pairId) : '', ridden: pass ? timeOf(pass.riddenAtMs) : '' },
      afterwards: late.has(change.id),
    };
  });
  return download(writeChangesCsv(rows), `${lesson.name} changes`, '.csv', 'text/csv');
});

import { sharedLink } from '@/app/_server/access/sharedLink';
import { answering, problemAnswer } from '@/app/_server/answering';
import { lessonMinutes } from '@/core';
import { listArenas } from '@/data/queries/arenas';
import { listLessons } from '@/data/queries/lessons';
import { lessonCalendar } from '@/files/lessonCalendar';
import { byItsLink } from '../../../_server/access/rules';

/** The lessons of the yard as a feed that a calendar reads again and again: when and where, and nobody's name. */
export const GET = answering(byItsLink, async (_: Request, { params }: { params: Promise<{ token: string }> }) => {
  const { token } = await params;
  const nowMs = Date.now();
  const shared = await sharedLink(token, nowMs);
  if (shared?.link.kind !== 'calendar') return problemAnswer(404, 'There is no calendar at this address any more.');
  const { db, yard } = shared;
  const [lessons, arenas] = await Promise.all([listLessons(db, yard.id), listArenas(db, yard.id)]);
  const calendar = lessonCalendar(
    lessons.map(({ id, name, startsAtMs, arenaId, plan }) => ({
      ...{ id, name, startsAtMs, minutes: lessonMinutes(plan), pairs: [] },
      arena: arenas.find(arena => arena.id === arenaId)?.name ?? '',
      stages: plan.stages.map(stage => stage.name),
    })),
    nowMs,
  );
  return new Response(calendar, {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'private, max-age=300' },
  });
});

import { answering, problemAnswer } from '@/app/_server/answering';
import { openedYard } from '@/app/_server/yardContext';
import { lessonMinutes } from '@/core';
import { isToken } from '@/data/access/tokens';
import { listArenas } from '@/data/queries/arenas';
import { listLessons } from '@/data/queries/lessons';
import { findShareLink, seeShareLink } from '@/data/queries/shareLinks';
import { lessonCalendar } from '@/files/lessonCalendar';
import { byItsLink } from '../../../_server/access/rules';

const SEEN_EVERY_MS = 5 * 60_000;

/** The lessons of the yard as a feed that a calendar reads again and again: when and where, and nobody's name. */
export const GET = answering(byItsLink, async (_: Request, { params }: { params: Promise<{ token: string }> }) => {
  const { token } = await params;
  const { db, write, yard } = await openedYard();
  const nowMs = Date.now();
  const link = isToken(token) ? await findShareLink(db, token, nowMs) : null;
  if (link?.kind !== 'calendar' || link.yardId !== yard.id)
    return problemAnswer(404, 'There is no calendar at this address any more.');
  if (nowMs - (link.lastUsedAtMs ?? 0) > SEEN_EVERY_MS) await write(tx => seeShareLink(tx, link.id, nowMs));
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

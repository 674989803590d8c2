import 'server-only';
import { layoutStages } from '@/data/queries/layoutStages';
import { NO_EARLIER_WORK, type EarlierWork } from '@/core';
import { yardContext } from '@/app/_server/yardContext';
import { weekOf } from '@/app/_server/yardTime';
import { earlierWork } from '@/data/queries/earlierWork';
import { yardRules } from '@/data/queries/settings';
import { present } from '@/data/present';
import { listArenas } from '@/data/queries/arenas';
import { listLayouts } from '@/data/queries/layouts';
import { listPairs } from '@/data/queries/pairs';

/** What a lesson can be made of, and, for one that is planned, what its horses do elsewhere that day. */
export async function lessonChoices(planned: { id: string; startsAtMs: number } | null) {
  const { db, yard } = await yardContext();
  const pairs = present(await listPairs(db, yard.id));
  const byHorse = planned
    ? await earlierWork(db, yard.id, weekOf(planned.startsAtMs, yard.timeZone), planned.id)
    : new Map<string, EarlierWork>();
  const layouts = present(await listLayouts(db, yard.id));
  return {
    arenas: present(await listArenas(db, yard.id)).map(({ id, name }) => ({ id, name })),
    limits: (await yardRules(db, yard.id)).limits,
    earlier: Object.fromEntries(pairs.map(({ id, horseId }) => [id, byHorse.get(horseId) ?? NO_EARLIER_WORK])),
    pairs: pairs.map(({ id, riderName, horseName }) => ({
      id,
      name: `${horseName} with ${riderName}`,
    })),
    layouts: await Promise.all(
      layouts.map(async layout => ({
        ...{ id: layout.id, name: layout.name, arenaId: layout.arena.id },
        stages: await layoutStages(db, yard.id, layout),
      })),
    ),
  };
}

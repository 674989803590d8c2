import 'server-only';
import { layoutStages } from '@/data/queries/layoutStages';
import { yardContext } from '@/app/_server/yardContext';
import { present } from '@/data/present';
import { listArenas } from '@/data/queries/arenas';
import { listLayouts } from '@/data/queries/layouts';
import { listPairs } from '@/data/queries/pairs';

/** What a lesson can be made of. */
export async function lessonChoices() {
  const { db, yard } = await yardContext();
  const layouts = present(await listLayouts(db, yard.id));
  return {
    arenas: present(await listArenas(db, yard.id)).map(({ id, name }) => ({ id, name })),
    pairs: present(await listPairs(db, yard.id)).map(({ id, riderName, horseName }) => ({
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

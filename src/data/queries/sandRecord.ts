import { dayNames, daysOf, sandMap, spotsOf, visitsOf, type Arena, type DayPass } from '@/core';
import { and, eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import type { RoanDatabase } from '../database';
import { layouts, layoutVersions } from '../schema';
import { sumsOf } from './kept/sums';
import type { YardClock } from './reviewPasses';

/** An arena as it was while something was ridden in it, and how many passes that were. */
export type RiddenArena = { arena: Arena; passes: number };

/**
 * Where in an arena things went wrong: its places, those that stand out, and the spots that were tapped. A place is a place of
 * the sand of its day: what was ridden before an arena was given another size is looked at by itself.
 * @param wished - the size that is looked at; left out, today's where it was ridden in, else the one that was ridden in last
 * @param pairId - whose passes are looked at; left out, everyone's
 */
export async function sandRecord(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  { id: arenaId, ...today }: Arena & { id: string },
  clock: YardClock,
  wished?: string,
  pairId?: string,
) {
  const name = `sand ${arenaId} ${wished ?? ''} ${pairId ?? ''}`;
  const wish = { of: { arenaId }, name, key: JSON.stringify(today) };
  return sumsOf(db, yardId, clock, wish, async passes =>
    sandOf(passes, await arenasRidden(db, yardId, arenaId), today, wished, pairId),
  );
}

function sandOf(
  passes: readonly DayPass[],
  arenaOf: ReadonlyMap<string, Arena>,
  today: Arena,
  wished: string | undefined,
  pairId: string | undefined,
) {
  const sizes = new Map<string, RiddenArena>();
  // The one that was ridden in last comes last.
  for (const { layoutVersionId } of passes) {
    const arena = arenaOf.get(layoutVersionId) ?? today;
    const before = sizes.get(sizeKey(arena));
    sizes.delete(sizeKey(arena));
    sizes.set(sizeKey(arena), { arena, passes: (before?.passes ?? 0) + 1 });
  }
  const known = [...sizes.keys()];
  const chosen = [wished, sizeKey(today), known[known.length - 1]].find(key => key !== undefined && sizes.has(key));
  const arena = sizes.get(chosen ?? '')?.arena ?? today;
  const own = passes.filter(
    one =>
      sizeKey(arenaOf.get(one.layoutVersionId) ?? today) === chosen && (pairId === undefined || one.pairId === pairId),
  );
  return {
    passes: own.length,
    days: dayNames(daysOf(own)).length,
    places: sandMap(visitsOf(own)),
    spots: spotsOf(own),
    arena,
    sizes: [...sizes.values()],
  };
}

/** What tells one size of an arena from another. */
export function sizeKey({ widthM, lengthM, letters }: Arena): string {
  return `${widthM}x${lengthM} ${letters}`;
}

const OnPaper = z.object({ widthM: z.number(), lengthM: z.number(), letters: z.enum(['20x60', '20x40', 'none']) });

/** The arena of each version of the layouts that lie in it, as it was when the version was kept. */
async function arenasRidden(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  arenaId: string,
): Promise<Map<string, Arena>> {
  const rows = await db
    .select({
      id: layoutVersions.id,
      // A version from when a layout was one row of poles has its arena beside it.
      arena: sql<
        string | null
      >`coalesce(json_extract(${layoutVersions.frozen}, '$.layout.arena'), json_extract(${layoutVersions.frozen}, '$.arena'))`,
    })
    .from(layoutVersions)
    .innerJoin(layouts, eq(layouts.id, layoutVersions.layoutId))
    .where(and(eq(layoutVersions.yardId, yardId), eq(layouts.arenaId, arenaId)));
  return new Map(
    rows.flatMap(({ id, arena }) => {
      const read = OnPaper.safeParse(arena === null ? null : JSON.parse(arena));
      return read.success ? [[id, read.data] as const] : [];
    }),
  );
}

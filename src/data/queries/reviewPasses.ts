import { riddenGround, type ReviewPass, type RiddenGround } from '@/core';
import { and, asc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { RoanDatabase } from '../openDatabase';
import { layouts, layoutVersions, passes } from '../schema';
import { passesWithMarks, versionsRidden } from './passes';

type Reader = Pick<RoanDatabase, 'select'>;

/** A version never changes, so what is reckoned of it holds as long as Roan runs. */
const grounds = new Map<string, RiddenGround>();
const MOST_GROUNDS = 2000;

export type ReviewWish = { pairIds: readonly string[] } | { arenaId: string } | { layoutId: string } | 'all';

/**
 * The passes that a review looks at, oldest first, with what each was ridden over.
 * @param dayOf - the day of an instant by the yard's clock, "2026-05-04"
 */
export async function reviewPasses(
  db: Reader,
  yardId: string,
  wish: ReviewWish,
  dayOf: (atMs: number) => string,
): Promise<ReviewPass[]> {
  const rows = await db
    .select()
    .from(passes)
    .where(and(eq(passes.yardId, yardId), isNull(passes.undoneAt), wanted(db, wish)))
    .orderBy(asc(passes.riddenAt), sql`rowid`);
  const ridden = await passesWithMarks(db, rows);
  const groundOf = await groundsOf(
    db,
    yardId,
    ridden.map(({ layoutVersionId }) => layoutVersionId),
  );
  const days = new Map<number, string>();
  return ridden.flatMap(pass => {
    const ground = groundOf.get(pass.layoutVersionId);
    // Days are asked for once for each quarter of an hour: no clock changes within one.
    const quarter = Math.floor(pass.riddenAtMs / QUARTER_MS);
    const day = days.get(quarter) ?? dayOf(pass.riddenAtMs);
    days.set(quarter, day);
    return ground ? [{ ...pass, ground, day }] : [];
  });
}

const QUARTER_MS = 15 * 60 * 1000;

function wanted(db: Reader, wish: ReviewWish): SQL | undefined {
  if (wish === 'all') return undefined;
  if ('pairIds' in wish) return inArray(passes.pairId, [...wish.pairIds]);
  const versions = db.select({ id: layoutVersions.id }).from(layoutVersions);
  const own =
    'layoutId' in wish
      ? versions.where(eq(layoutVersions.layoutId, wish.layoutId))
      : versions.innerJoin(layouts, eq(layouts.id, layoutVersions.layoutId)).where(eq(layouts.arenaId, wish.arenaId));
  return inArray(passes.layoutVersionId, own);
}

async function groundsOf(
  db: Reader,
  yardId: string,
  versionIds: readonly string[],
): Promise<Map<string, RiddenGround>> {
  const wished = [...new Set(versionIds)];
  const missing = wished.filter(id => !grounds.has(id));
  const versions = await versionsRidden(db, yardId, missing);
  const found = new Map(wished.flatMap(id => (grounds.has(id) ? [[id, grounds.get(id)!] as const] : [])));
  for (const [id, { layout }] of versions) found.set(id, riddenGround(layout));
  if (grounds.size + versions.size > MOST_GROUNDS) grounds.clear();
  for (const id of versions.keys()) grounds.set(id, found.get(id)!);
  return found;
}

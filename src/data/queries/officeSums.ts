import { and, between, countDistinct, count, eq, inArray, isNull } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { saveSetting, setting } from '../oneSetting';
import { pairs, passes, settings, yards } from '../schema';
import type { Transaction } from '../database';

type Reader = Pick<RoanDatabase, 'select'>;

/** What a yard tells the office of a time: how much, and of nobody. */
export type YardSums = { yardId: string; yard: string; lessons: number; passes: number; pairs: number; horses: number };

const KEY = 'tellsOffice';

/** Whether a yard lets its sums be told; none does until somebody there says so. */
export async function tellsOffice(db: Reader, yardId: string): Promise<boolean> {
  return (await setting(db, yardId, KEY)) === true;
}

export async function tellOffice(tx: Transaction, yardId: string, tells: boolean): Promise<void> {
  await saveSetting(tx, yardId, KEY, tells);
}

/** The sums of every yard of the store that tells them, by name: of what was ridden between two instants. */
export async function officeSums(db: Reader, fromMs: number, untilMs: number): Promise<YardSums[]> {
  const told = await db
    .select({ id: yards.id, name: yards.name, value: settings.value })
    .from(yards)
    .innerJoin(settings, and(eq(settings.yardId, yards.id), eq(settings.key, KEY)));
  const telling = told.filter(({ value }) => value === true);
  if (telling.length === 0) return [];
  const ids = telling.map(({ id }) => id);
  const rows = await db
    .select({
      yardId: passes.yardId,
      ...{ lessons: countDistinct(passes.lessonId), passes: count() },
      ...{ pairs: countDistinct(passes.pairId), horses: countDistinct(pairs.horseId) },
    })
    .from(passes)
    .innerJoin(pairs, eq(pairs.id, passes.pairId))
    .where(
      and(
        ...[inArray(passes.yardId, ids), isNull(passes.undoneAt)],
        between(passes.riddenAt, new Date(fromMs), new Date(untilMs)),
      ),
    )
    .groupBy(passes.yardId);
  return telling
    .map(({ id, name }) => {
      const { lessons, passes, pairs, horses } = rows.find(({ yardId }) => yardId === id) ?? NOTHING;
      return { yardId: id, yard: name, lessons, passes, pairs, horses };
    })
    .sort((a, b) => a.yard.localeCompare(b.yard));
}

const NOTHING = { lessons: 0, passes: 0, pairs: 0, horses: 0 };

import type { SettingTick, TicksAnswer } from '@/files/settingTick';
import { and, eq, gt, lt, max, or, sql } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { settingTicks } from '../schema';
import { latestBelievable, trustedTimes } from '../trustedTime';
import type { Transaction } from '../database';

type Reader = Pick<RoanDatabase, 'select'>;

/**
 * Which pieces of a layout stand, by the latest tap on each.
 * @param known - the number of an answer that is known already: only what changed since then comes, unless that is a number
 *   that these ticks never had, as after a backup was restored: then all of them come, `afresh`
 */
export async function listTicks(db: Reader, yardId: string, layoutId: string, known = -1): Promise<TicksAnswer> {
  const number = await ticksNumber(db, layoutId);
  const afresh = known < 0 || known > number;
  const rows = await db
    .select()
    .from(settingTicks)
    .where(
      and(
        ...[eq(settingTicks.yardId, yardId), eq(settingTicks.layoutId, layoutId)],
        gt(settingTicks.number, afresh ? -1 : known),
      ),
    );
  const ticks = rows.map(({ piece, place, ticked, tappedAt }) => ({
    ...{ piece, place, ticked, tappedAtMs: tappedAt.getTime() },
  }));
  return { number, afresh, ticks };
}

async function ticksNumber(db: Reader, layoutId: string): Promise<number> {
  const [row] = await db
    .select({ number: max(settingTicks.number) })
    .from(settingTicks)
    .where(eq(settingTicks.layoutId, layoutId));
  return row?.number ?? 0;
}

/** Takes taps in, whatever order they come in: of two on the same piece the later one counts. */
export async function addTicks(
  tx: Transaction,
  yardId: string,
  layoutId: string,
  ticks: readonly SettingTick[],
  clock: { nowMs: number; sentAtMs?: number } = { nowMs: Date.now() },
): Promise<void> {
  const trusted = trustedTimes(
    clock.nowMs,
    ticks.map(({ tappedAtMs }) => tappedAtMs),
    clock.sentAtMs,
  );
  const number = (await ticksNumber(tx, layoutId)) + 1;
  for (const { piece, place, ticked, tappedAtMs } of ticks) {
    const tappedAt = trusted(tappedAtMs);
    await tx
      .insert(settingTicks)
      .values({ yardId, layoutId, piece, place, ticked, tappedAt, number })
      .onConflictDoUpdate({
        target: [settingTicks.layoutId, settingTicks.piece],
        set: { place, ticked, tappedAt, number },
        // One from a clock that was far ahead can be taken back too.
        setWhere: or(
          lt(settingTicks.tappedAt, sql`excluded.tapped_at`),
          gt(settingTicks.tappedAt, latestBelievable(clock.nowMs)),
        ),
      });
  }
}

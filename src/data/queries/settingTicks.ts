import type { SettingTick } from '@/files/settingTick';
import { and, eq, gt, lt, or, sql } from 'drizzle-orm';
import type { RoanDatabase } from '../openDatabase';
import { settingTicks } from '../schema';
import { latestBelievable, trustedTimes } from '../trustedTime';
import type { Transaction } from '../writeQueue';

/** Which pieces of a layout stand, by the latest tap on each. */
export async function listTicks(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  layoutId: string,
): Promise<SettingTick[]> {
  const rows = await db
    .select()
    .from(settingTicks)
    .where(and(eq(settingTicks.yardId, yardId), eq(settingTicks.layoutId, layoutId)));
  return rows.map(({ piece, place, ticked, tappedAt }) => ({ piece, place, ticked, tappedAtMs: tappedAt.getTime() }));
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
  for (const { piece, place, ticked, tappedAtMs } of ticks) {
    const tappedAt = trusted(tappedAtMs);
    await tx
      .insert(settingTicks)
      .values({ yardId, layoutId, piece, place, ticked, tappedAt })
      .onConflictDoUpdate({
        target: [settingTicks.layoutId, settingTicks.piece],
        set: { place, ticked, tappedAt },
        // One from a clock that was far ahead can be taken back too.
        setWhere: or(
          lt(settingTicks.tappedAt, sql`excluded.tapped_at`),
          gt(settingTicks.tappedAt, latestBelievable(clock.nowMs)),
        ),
      });
  }
}

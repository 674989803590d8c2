import type { SettingTick } from '@/files/settingTick';
import { and, eq, lt, sql } from 'drizzle-orm';
import type { RoanDatabase } from '../openDatabase';
import { settingTicks } from '../schema';
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
): Promise<void> {
  for (const { piece, place, ticked, tappedAtMs } of ticks) {
    const tappedAt = new Date(tappedAtMs);
    await tx
      .insert(settingTicks)
      .values({ yardId, layoutId, piece, place, ticked, tappedAt })
      .onConflictDoUpdate({
        target: [settingTicks.layoutId, settingTicks.piece],
        set: { place, ticked, tappedAt },
        setWhere: lt(settingTicks.tappedAt, sql`excluded.tapped_at`),
      });
  }
}

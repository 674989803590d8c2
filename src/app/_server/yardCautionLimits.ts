import 'server-only';
import { USUAL_LIMITS, withDayLimits, type CautionLimits } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { yardRules } from '@/data/queries/settings';

/** The limits that cautions look at, with what the yard allows its horses in a day. */
export async function yardCautionLimits(db: RoanDatabase, yardId: string): Promise<CautionLimits> {
  return withDayLimits(USUAL_LIMITS, (await yardRules(db, yardId)).limits);
}

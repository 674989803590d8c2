import 'server-only';
import type { OpenDatabase } from '@/data/openDatabase';
import { latestClockMs, saveLatestClock } from '@/data/queries/settings';
import { currentYard } from '@/data/queries/yards';

/** A clock that is put right by so little has not gone back. */
const SLACK_MS = 10 * 60 * 1000;

/** Kept on the global object: a production build has several copies of this file. */
const holder = globalThis as typeof globalThis & { roanClockBehindMs?: number };

/**
 * Looks at the clock of this machine, against the latest that it ever showed: one that went back writes today's work under a day that
 * was, and one that was ahead has written some under a day to come.
 * @returns by how much it is behind, milliseconds; 0 where nothing is wrong
 */
export async function lookAtClock(database: OpenDatabase, nowMs: number): Promise<number> {
  const yard = await currentYard(database);
  const latestMs = await latestClockMs(database.db, yard.id);
  const behindMs = latestMs !== null && nowMs < latestMs - SLACK_MS ? latestMs - nowMs : 0;
  if (behindMs === 0) await database.write(tx => saveLatestClock(tx, yard.id, nowMs));
  holder.roanClockBehindMs = behindMs;
  return behindMs;
}

/** By how much the clock was behind when it was last looked at, milliseconds. */
export const clockBehindMs = (): number => holder.roanClockBehindMs ?? 0;

/** Takes the clock as it is: it was wrong before. */
export async function trustClock(database: OpenDatabase, nowMs: number): Promise<void> {
  const yard = await currentYard(database);
  await database.write(tx => saveLatestClock(tx, yard.id, nowMs));
  holder.roanClockBehindMs = 0;
}

import 'server-only';
import type { OpenDatabase } from '@/data/database';
import { latestClockMs, saveLatestClock } from '@/data/queries/settings';
import { currentYard } from '@/data/queries/yards';

/** A clock that is put right by so little has not gone back. */
const SLACK_MS = 10 * 60 * 1000;

/**
 * By how much the clock of this machine is behind the latest that it ever showed, milliseconds; 0 where nothing is wrong. One that went
 * back writes today's work under a day that was, and one that was ahead has written some under a day to come.
 */
export async function clockBehindMs(database: OpenDatabase, nowMs: number): Promise<number> {
  const latestMs = await latestClockMs(database.db, (await currentYard(database)).id);
  return latestMs !== null && nowMs < latestMs - SLACK_MS ? latestMs - nowMs : 0;
}

/** Remembers what the clock shows, unless it is behind. */
export async function lookAtClock(database: OpenDatabase, nowMs: number): Promise<void> {
  if ((await clockBehindMs(database, nowMs)) === 0) await trustClock(database, nowMs);
}

/** Takes the clock as it is: it was wrong before. */
export async function trustClock(database: OpenDatabase, nowMs: number): Promise<void> {
  const { id } = await currentYard(database);
  await database.write(tx => saveLatestClock(tx, id, nowMs));
}

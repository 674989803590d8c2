import { LENGTH_UNITS, type LengthUnit, type YardRules } from '@/core';
import { readYardRules } from '@/files/yardRules';
import { z } from 'zod';
import { saveSetting, setting } from '../oneSetting';
import type { RoanDatabase } from '../database';
import type { Transaction } from '../database';
import { formerAt, formerStatesOf, keepFormer } from './formerStates';

const ReadingUnit = z.enum(LENGTH_UNITS).catch('m');

type Reader = Pick<RoanDatabase, 'select'>;

/** The unit this yard reads lengths in; metres until somebody chooses. */
export async function lengthUnit(db: Reader, yardId: string): Promise<LengthUnit> {
  return ReadingUnit.parse(await setting(db, yardId, 'lengthUnit'));
}

export async function saveLengthUnit(tx: Transaction, yardId: string, unit: LengthUnit): Promise<void> {
  await saveSetting(tx, yardId, 'lengthUnit', unit);
}

/** How this yard teaches; the usual way until somebody says otherwise. */
export async function yardRules(db: Reader, yardId: string): Promise<YardRules> {
  return readYardRules(await setting(db, yardId, 'rules'));
}

export async function saveYardRules(tx: Transaction, yardId: string, rules: YardRules): Promise<void> {
  await keepFormer(tx, yardId, 'rules', yardId, await yardRules(tx, yardId));
  await saveSetting(tx, yardId, 'rules', rules);
}

/** How this yard taught at an instant: what was ridden then is judged by the rules and limits of its day. */
export async function yardRulesAt(db: Reader, yardId: string, atMs: number): Promise<YardRules> {
  const was = (await formerAt(db, yardId, 'rules', atMs)).get(yardId);
  return was === undefined ? yardRules(db, yardId) : readYardRules(was);
}

/** How this yard taught, one after the other: until when (null: still), and how; the oldest first. */
export async function rulesSince(db: Reader, yardId: string): Promise<{ untilMs: number | null; rules: YardRules }[]> {
  const former = await formerStatesOf(db, yardId, 'rules', yardId);
  const before = former.map(({ was, untilMs }) => ({ untilMs, rules: readYardRules(was) }));
  return [...before, { untilMs: null, rules: await yardRules(db, yardId) }];
}

const ClockKnown = z.object({ latestMs: z.number().int() }).nullable().catch(null);

/** The latest instant that the clock of this yard's server ever showed; null where it was never looked at. */
export async function latestClockMs(db: Reader, yardId: string): Promise<number | null> {
  return ClockKnown.parse((await setting(db, yardId, 'clock')) ?? null)?.latestMs ?? null;
}

export async function saveLatestClock(tx: Transaction, yardId: string, latestMs: number): Promise<void> {
  await saveSetting(tx, yardId, 'clock', { latestMs });
}

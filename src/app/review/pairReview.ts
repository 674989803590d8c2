import 'server-only';
import { riderWorkDone, type WorkLimits } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { pairRecord } from '@/data/queries/pairRecord';
import type { Pair } from '@/data/queries/pairs';
import { versionsById } from '@/data/queries/layoutVersions';
import { riderStageIds } from '@/data/queries/lessons';
import { rulesSince } from '@/data/queries/settings';
import { may } from '../_server/access/rules';
import { yardContext, yardGaitWords } from '../_server/yardContext';
import { yardClock, yardTime } from '../_server/yardTime';
import { reviewWords } from './reviewWords';

/** Legs that are ridden most often are shown; the numbers have all of them. */
export const SHOWN_LEGS = 8;

/** All that the record says of a pair, with the names and rules of the yard. */
export async function pairReview(pair: Pair) {
  const { db, yard, unit } = await yardContext(may.read);
  const words = reviewWords(pair.horseName, unit, await yardGaitWords(yard.id));
  const record = await pairRecord(db, yard.id, pair, yardClock(yard.timeZone), words);
  const versionIds = [...new Set(record.legs.map(({ layoutVersionId }) => layoutVersionId))];
  const names = await versionsById(db, yard.id, versionIds);
  const stages = await riderStageIds(db, yard.id);
  const layouts =
    stages.size === 0
      ? null
      : await versionsById(
          db,
          yard.id,
          record.passes.map(one => one.layoutVersionId),
        );
  return {
    ...{ ...record, words },
    /** The yard's limits as they were on a day, "2026-05-04". */
    limitsOn: await limitsByDay(db, yard.id, yard.timeZone),
    /** What was ridden with an eye on the rider, each with what its layout is called. */
    riderWork: riderWorkDone(record.passes, stages, id => layouts?.get(id)?.layoutId ?? '').map(work => ({
      ...work,
      name: [...(layouts?.values() ?? [])].find(({ layoutId }) => layoutId === work.layoutId)?.name ?? '',
    })),
    tempos: record.tempos.map(leg => ({ ...leg, name: `${leg.question}, ${leg.from} to ${leg.to}` })),
    legs: record.legs.map(leg => ({
      ...leg,
      name: `${leg.question}, ${leg.from} to ${leg.to}, ${words.format(leg.groundM)}${leg.asked === null ? '' : `, ${leg.asked} asked`}`,
      layoutName: names.get(leg.layoutVersionId)?.name ?? '',
    })),
  };
}

/** What the limits of the yard were, by the day. */
async function limitsByDay(db: RoanDatabase, yardId: string, timeZone: string): Promise<(day: string) => WorkLimits> {
  const periods = (await rulesSince(db, yardId)).map(({ untilMs, rules }) => ({
    until: untilMs === null ? null : yardTime(untilMs, timeZone, 'YYYY-MM-DD'),
    limits: rules.limits,
  }));
  return day => periods.find(({ until }) => until === null || day < until)!.limits;
}

export type PairReview = Awaited<ReturnType<typeof pairReview>>;

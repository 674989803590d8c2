import 'server-only';
import { daysLater, instantOf, yardTime } from '@/app/_server/yardTime';
import { dayNumber, dayOfNumber, lessonState, sumWork, weekdayOf, type SeasonEntry } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { present } from '@/data/present';
import { workDone, type DoneAt } from '@/data/queries/earlierWork';
import { listLessons, timesOfLessons } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { yardRules } from '@/data/queries/settings';

type Yard = { id: string; timeZone: string };

/** A lesson that is still to come, and may be moved. */
export type ComingLesson = { id: string; name: string; day: number; time: string; pairs: string; revision: number };

const WEEK = 7;

/** All that the picture of a season is drawn from: so many weeks back and ahead of the week of a day. */
export async function seasonData(
  db: RoanDatabase,
  yard: Yard,
  { backWeeks, weeks, nowMs }: { backWeeks: number; weeks: number; nowMs: number },
) {
  const today = dayNumber(yardTime(nowMs, yard.timeZone, 'YYYY-MM-DD'));
  const firstDay = today - weekdayOf(today) - backWeeks * WEEK;
  const firstMs = instantOf(`${dayOfNumber(firstDay)}T00:00`, yard.timeZone)!;
  const daysMs = Array.from({ length: weeks * WEEK + 1 }, (_, day) => daysLater(firstMs, day, yard.timeZone));
  const [pairs, lessons, rules, done] = await Promise.all([
    listPairs(db, yard.id).then(present),
    listLessons(db, yard.id),
    yardRules(db, yard.id),
    workDone(db, yard.id, daysMs, nowMs),
  ]);
  const times = await timesOfLessons(db, yard.id, lessons);
  const named = new Map(pairs.map(({ id, horseName }) => [id, horseName]));
  const coming = lessons
    .filter(({ id, archived, startsAtMs }) => {
      const isBefore = lessonState(times.get(id)!, nowMs) === 'planned';
      return !archived && isBefore && startsAtMs < daysMs.at(-1)!;
    })
    .map(({ id, name, startsAtMs, revision, plan }): ComingLesson => ({
      ...{ id, name, revision, time: yardTime(startsAtMs, yard.timeZone, 'HH:mm') },
      day: dayNumber(yardTime(startsAtMs, yard.timeZone, 'YYYY-MM-DD')),
      pairs: plan.pairIds.flatMap(pairId => named.get(pairId) ?? []).join(', '),
    }))
    .sort((a, b) => a.day - b.day || a.time.localeCompare(b.time));
  return {
    ...{ today, firstDay, weeks, coming, limits: rules.limits },
    pairs: pairs.map(({ id, horseId, horseName, riderName }) => ({ id, horseId, horse: horseName, rider: riderName })),
    entries: entriesOf(done, daysMs, firstDay),
  };
}

export type SeasonData = Awaited<ReturnType<typeof seasonData>>;

/** What was done, by pair, lesson and day. */
function entriesOf(done: readonly DoneAt[], daysMs: readonly number[], firstDay: number): SeasonEntry[] {
  const entries = new Map<string, SeasonEntry & { kinds: SeasonEntry['kinds'][number][] }>();
  for (const { pairId, horseId, lessonId, atMs, work, kinds, rein, isPlanned } of done) {
    const day = firstDay + daysMs.findLastIndex(ms => ms <= atMs);
    const key = `${pairId} ${lessonId} ${day} ${isPlanned}`;
    const before = entries.get(key);
    if (!before) {
      const reins = { left: 0, right: 0 };
      if (rein) reins[rein] += 1;
      entries.set(key, { pairId, horseId, lessonId, day, work, kinds: [...kinds], reins, isPlanned });
      continue;
    }
    before.work = sumWork([before.work, work]);
    before.kinds = [...new Set([...before.kinds, ...kinds])];
    if (rein) before.reins[rein] += 1;
  }
  return [...entries.values()];
}

import 'server-only';
import { stepsByPair } from '@/app/_server/suggestMaterial';
import { yardTime } from '@/app/_server/yardTime';
import {
  dayInWords,
  dayNumber,
  goalProgress,
  profileStride,
  shelfFacts,
  type GoalRecord,
  type DayPass,
  type StrideEntryKey,
} from '@/core';
import type { RoanDatabase } from '@/data/database';
import { listGoals } from '@/data/queries/goals';
import { horseOverTime, type Horse } from '@/data/queries/horses';
import { yardRules } from '@/data/queries/settings';
import { typedGoal } from '@/files/goalTyped';
import type { ShownGoal } from './Goals';

type Pair = { id: string; horse: Horse; passes: readonly DayPass[] };

/** The goals of a pair with how far each is. */
export async function shownGoals(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  { id, horse, passes }: Pair,
  nowMs: number,
): Promise<ShownGoal[]> {
  const goals = await listGoals(db, yard.id, [id]);
  if (goals.length === 0) return [];
  const { profileAt } = await horseOverTime(db, yard.id, horse);
  const record: GoalRecord = {
    day: dayNumber(yardTime(nowMs, yard.timeZone, 'YYYY-MM-DD')),
    passes,
    ridden: (await stepsByPair(db, yard)).get(id) ?? [],
    rule: (await yardRules(db, yard.id)).gate,
    factsOf: exercise => shelfFacts().find(facts => facts.exercise === exercise) ?? null,
    thoughtM: (entry: StrideEntryKey, atMs) => profileStride(profileAt(atMs), entry)?.normalM ?? null,
  };
  return goals.map(goal => ({
    ...{ id: goal.id, words: goal.words, typed: typedGoal(goal), progress: goalProgress(goal, record) },
    by: goal.byDay === null ? null : `by ${dayInWords(goal.byDay)}`,
    reachedOn: goal.reachedDay === null ? null : dayInWords(goal.reachedDay),
  }));
}

/** What a goal can be held to: every exercise of the shelf with its stages. */
export function exerciseChoices() {
  return shelfFacts().map(({ exercise, title, stages }) => ({
    ...{ kind: exercise, title, stages: stages.map(({ name }) => name) },
  }));
}

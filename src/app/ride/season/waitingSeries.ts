import 'server-only';
import { goalWeeks } from '@/app/_server/goalSeries';
import { shelfFacts } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { listPairs } from '@/data/queries/pairs';

/** A series whose lessons no longer ask what comes next, in words. */
export type Waiting = { goalId: string; goal: string; pair: string; words: string };

/** The series that wait, since a stage was not earned, or that may go on, since more was. */
export async function waitingSeries(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  nowMs: number,
): Promise<Waiting[]> {
  const pairs = await listPairs(db, yard.id);
  return (await goalWeeks(db, yard, nowMs)).flatMap(({ goal, lessons, now }): Waiting[] => {
    if (!now) return [];
    const stages = shelfFacts().find(({ exercise }) => exercise === goal.measure.exercise)?.stages ?? [];
    const called = (stage: number) => `“${stages[stage]?.name ?? `stage ${stage + 1}`}”`;
    const first = now.asks[0];
    const goesBack = first !== undefined && first.stage < lessons[0]!.stage;
    const words = !first
      ? 'all of it is earned: its lessons are spare'
      : goesBack
        ? `${called(first.stage)} was not earned yet: it is asked again, and the rest comes ${now.moreStages.length === 1 ? 'a week' : `${now.moreStages.length} weeks`} later`
        : `more was earned than was planned: ${called(first.stage)} comes next`;
    const pair = pairs.find(({ id }) => id === goal.pairId)?.horseName ?? '';
    return [{ goalId: goal.id, goal: goal.words, pair, words }];
  });
}

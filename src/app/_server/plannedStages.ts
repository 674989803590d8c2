import 'server-only';
import type { AskedQuestion, Layout, LessonStage } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { listHorses } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import { asToday, layoutOffers, type LayoutOffers } from '@/data/queries/layoutStages';

/** A stage of a lesson over its layout as that is today; nothing is kept of it. */
export type PlannedStage = {
  stage: LessonStage;
  layout: Layout | null;
  /** What it asks, of what its layout still has. */
  asked: AskedQuestion[];
  /** What to look at, and where to stand, where its questions are of an exercise. */
  watch: string[];
};

/** The stages of a lesson as they would be ridden today. */
export async function plannedStages(
  db: RoanDatabase,
  yardId: string,
  stages: readonly LessonStage[],
): Promise<PlannedStage[]> {
  const horses = await listHorses(db, yardId);
  const known = new Map<string, LayoutOffers>();
  for (const id of new Set(stages.flatMap(({ layoutId }) => layoutId ?? []))) {
    const layout = await findLayout(db, yardId, id);
    if (layout) known.set(id, await layoutOffers(db, yardId, layout, horses));
  }
  return stages.map(stage => {
    const here = known.get(stage.layoutId ?? '');
    const asked = stage.questions.flatMap(({ question, ofPairs }): AskedQuestion[] => {
      const now = here ? asToday(question, here.resolved) : null;
      return now ? [{ question: now.question, ofPairs }] : [];
    });
    return {
      ...{ stage, layout: here?.resolved.layout ?? null, asked },
      watch: here ? watchWords(asked, here) : [],
    };
  });
}

/** Only so much is looked at while somebody rides. */
const MOST_WATCHED = 2;

function watchWords(asked: readonly AskedQuestion[], { resolved }: LayoutOffers): string[] {
  const ids = new Set(asked.flatMap(({ question: { what } }) => (what.kind === 'stage' ? what.exerciseId : [])));
  return resolved.exercises
    .filter(({ placed }) => ids.has(placed.id))
    .flatMap(({ guidance: { stand, watchHorse, watchRider } }) => [
      `Stand: ${stand}`,
      `Watch: ${[...watchHorse.slice(0, MOST_WATCHED), ...watchRider.slice(0, MOST_WATCHED)].join('; ')}`,
    ]);
}

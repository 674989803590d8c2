import 'server-only';
import {
  askedLayout,
  layoutCautions,
  outOfReachWords,
  questionWords,
  readForPairs,
  reckonLayout,
  usualCautions,
  type AskedQuestion,
  type Layout,
  type LayoutHorse,
} from '@/core';
import { may } from '../../../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { listHorses } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import type { Layout as YardLayout } from '@/data/queries/layout';
import { asToday, layoutOffers } from '@/data/queries/layoutStages';
import { keptAsItStands } from '@/data/queries/keptAsItStands';
import type { Lesson } from '@/data/queries/lessons';
import { versionsById } from '@/data/queries/layoutVersions';
import type { RunStage } from './runStage';

/**
 * The stages of a lesson as they stand today. Opening a lesson keeps each layout that is ridden in it as it stands, so that
 * its records have something to hang on; the same state is kept once.
 * @param riddenIds - of a lesson that lies back, the versions that were ridden in it, the last one last: what is written down
 *   beside them was ridden over the same
 */
export async function stagesToRide({ plan }: Lesson, riddenIds: readonly string[] = []): Promise<RunStage[]> {
  const { db, yard } = await yardContext(may.help);
  const layoutIds = [...new Set(plan.stages.flatMap(({ layoutId }) => layoutId ?? []))];
  const layouts = (await Promise.all(layoutIds.map(id => findLayout(db, yard.id, id)))).filter(one => one !== null);
  const horses = await listHorses(db, yard.id);
  const kept = new Map<string, string>();
  for (const layout of layouts) {
    kept.set(layout.id, await keptAsItStands(db, yard.id, layout));
  }
  const versions = await versionsById(db, yard.id, [...kept.values(), ...riddenIds]);
  for (const id of riddenIds) {
    const layoutId = versions.get(id)?.layoutId;
    if (layoutId !== undefined) kept.set(layoutId, id);
  }
  const offers = new Map<string, Awaited<ReturnType<typeof layoutOffers>>>();
  for (const layout of layouts) offers.set(layout.id, await layoutOffers(db, yard.id, layout, horses));
  return plan.stages.map(({ questions, ...stage }) => {
    const layout: YardLayout | null = layouts.find(({ id }) => id === stage.layoutId) ?? null;
    const version = versions.get(kept.get(layout?.id ?? '') ?? '') ?? null;
    const resolved = layout && offers.get(layout.id)?.resolved;
    const today = questions.flatMap(({ question, ofPairs }): AskedQuestion[] => {
      const now = resolved ? asToday(question, resolved) : null;
      return now ? [{ question: now.question, ofPairs }] : [];
    });
    return {
      ...{ ...stage, layoutId: layout?.id ?? null, layoutName: layout?.name ?? null, versionId: version?.id ?? null },
      ...{ layout: version?.layout ?? null, questions: today, lacks: questions.length - today.length },
    };
  });
}

type CautionedPair = { id: string; name: string; strides: LayoutHorse };

/**
 * What is looked at before anybody rides: the cautions of everything that is asked, and every pair against every question it
 * will be asked, with what would mend what it cannot ride.
 */
export function lessonCautions(
  stages: readonly Pick<RunStage, 'layout' | 'questions'>[],
  pairs: readonly CautionedPair[],
): string[] {
  const texts = stages.flatMap(stage => {
    const { layout, questions } = stage;
    if (!layout) return [];
    return [
      ...questions.flatMap(asked => [...ofPairs(layout, asked, pairs), ...ofQuestion(layout, asked)]),
      ...usualCautions(layout.items),
    ];
  });
  return [...new Set(texts)];
}

/** What a question raises whoever rides it, once: how often it is ridden is the lesson's to count. */
function ofQuestion(layout: Layout, asked: AskedQuestion): string[] {
  const drawn = askedLayout({ ...layout, horses: [] }, asked.question);
  const built = drawn && { ...drawn, tracks: drawn.tracks.map(track => ({ ...track, passes: 1 })) };
  return built ? layoutCautions(built, reckonLayout(built)).map(({ text }) => text) : [];
}

/** What a pair has no usable count for. */
function ofPairs(layout: Layout, asked: AskedQuestion, pairs: readonly CautionedPair[]): string[] {
  const readings = readForPairs(
    layout,
    asked,
    pairs.map(({ id, strides }) => ({ id, horse: strides })),
  );
  const nameOf = (pairId: string) => pairs.find(({ id }) => id === pairId)!.name;
  const question = questionWords(layout, asked.question);
  return outOfReachWords(readings, nameOf).map(words => `${question}: ${words}`);
}

import { and, eq, isNull, sql } from 'drizzle-orm';
import {
  offeredQuestions,
  resolvePlan,
  type AskedQuestion,
  type Layout,
  type LessonStage,
  type Question,
  type Rein,
  type RideDirection,
} from '@/core';
import { OldLessonOnPaper } from '@/files/lessonPaper';
import { writeLesson } from '@/files/writeLesson';
import { listHorses } from '../queries/horses';
import { findLayout } from '../queries/layouts';
import { findVersion } from '../queries/layoutVersions';
import { keepQuestion } from '../queries/questions';
import { planGround } from '../queries/planGround';
import { lessons, passes } from '../schema';
import type { Transaction } from '../database';
import { bareQuestion, firstTrack, riddenWay, versionQuestion } from './versionQuestion';

/**
 * Brings over what an older Roan kept: lessons that knew layouts and stages, and passes that knew a version and the name of a
 * stage, get the questions that were asked. Nothing is taken away: what was tapped of rein and direction is kept beside what
 * they can have been. Does nothing where there is nothing left to bring over.
 */
export async function upgradeRecords(tx: Transaction): Promise<void> {
  const asked = await upgradeLessons(tx);
  await upgradePasses(tx, asked);
}

/** The exercise and stage that an old lesson's stage meant, by lesson and stage. */
type OldStages = Map<string, OldLessonOnPaper['stages']>;

async function upgradeLessons(tx: Transaction): Promise<OldStages> {
  const old: OldStages = new Map();
  const rows = await tx
    .select()
    .from(lessons)
    .where(sql`json_extract(${lessons.document}, '$.version') = 1`);
  const offers = layoutOffers(tx);
  for (const row of rows) {
    const read = OldLessonOnPaper.safeParse(row.document);
    if (!read.success) continue;
    const { pairs, breakEveryMin } = read.data;
    old.set(row.id, read.data.stages);
    const stages: LessonStage[] = [];
    for (const { exercise, ...stage } of read.data.stages) {
      const layout = stage.layoutId === null ? null : await offers(row.yardId, stage.layoutId);
      const question = layout && oldQuestion(stage.id, exercise, layout);
      stages.push({ ...stage, questions: question ? [{ question, ofPairs: {} } satisfies AskedQuestion] : [] });
    }
    const document = writeLesson({ pairIds: pairs, stages, breakEveryMin });
    await tx.update(lessons).set({ document }).where(eq(lessons.id, row.id));
  }
  return old;
}

type Offers = { layout: Layout; questions: ReturnType<typeof offeredQuestions> };

/** What layouts offer, each laid out once. */
function layoutOffers(tx: Transaction): (yardId: string, layoutId: string) => Promise<Offers | null> {
  const known = new Map<string, Offers | null>();
  return async (yardId, layoutId) => {
    const before = known.get(layoutId);
    if (before !== undefined) return before;
    const found = await findLayout(tx, yardId, layoutId);
    const resolved =
      found && resolvePlan(found.plan, planGround(found.name, found.arena, await listHorses(tx, yardId), null));
    const offers = resolved && { layout: resolved.layout, questions: offeredQuestions(resolved) };
    known.set(layoutId, offers);
    return offers;
  };
}

/** What an old stage asked: a stage of an exercise, or the layout as it is planned, which was its first track. */
function oldQuestion(
  id: string,
  exercise: OldLessonOnPaper['stages'][number]['exercise'],
  { layout, questions }: Offers,
): Question | null {
  if (exercise) {
    const offered = questions.find(
      ({ what }) => what.kind === 'stage' && what.exerciseId === exercise.id && what.stage === exercise.stage,
    );
    return offered ? { ...offered, id } : null;
  }
  const over = firstTrack(layout);
  return over && { ...bareQuestion(over, layout), id, asked: [] };
}

/** Passes that were ridden alike: over one version, at one stage of one lesson, the same way. */
type Alike = {
  yardId: string;
  layoutVersionId: string;
  lessonId: string | null;
  stage: string;
  rein: Rein | null;
  direction: RideDirection;
};

async function upgradePasses(tx: Transaction, old: OldStages): Promise<void> {
  const alike: Alike[] = await tx
    .selectDistinct({
      ...{ yardId: passes.yardId, layoutVersionId: passes.layoutVersionId, lessonId: passes.lessonId },
      ...{ stage: passes.stage, rein: passes.rein, direction: passes.direction },
    })
    .from(passes)
    .where(isNull(passes.questionId));
  const layouts = new Map<string, Layout | null>();
  for (const one of alike) {
    if (!layouts.has(one.layoutVersionId))
      layouts.set(one.layoutVersionId, (await findVersion(tx, one.yardId, one.layoutVersionId))?.layout ?? null);
    const layout = layouts.get(one.layoutVersionId) ?? null;
    const stage = one.lessonId === null ? undefined : old.get(one.lessonId)?.find(({ name }) => name === one.stage);
    await upgradeAlike(tx, one, stage ?? null, layout);
  }
}

async function upgradeAlike(
  tx: Transaction,
  { yardId, layoutVersionId, lessonId, stage: name, rein, direction }: Alike,
  stage: OldLessonOnPaper['stages'][number] | null,
  layout: Layout | null,
): Promise<void> {
  const question = layout && versionQuestion(layout, stage, `${layoutVersionId} ${name}`.slice(0, 80));
  const way = question ? riddenWay(layout, question, rein, direction) : { rein, direction };
  const changed = way.rein !== rein || way.direction !== direction;
  await tx
    .update(passes)
    .set({
      questionId: question ? await keepQuestion(tx, yardId, question) : null,
      stageId: stage?.id ?? null,
      ...way,
      ...(changed ? { tapped: { rein, direction } } : {}),
    })
    .where(
      and(
        ...[eq(passes.yardId, yardId), isNull(passes.questionId), eq(passes.layoutVersionId, layoutVersionId)],
        ...[eq(passes.stage, name), eq(passes.direction, direction)],
        lessonId === null ? isNull(passes.lessonId) : eq(passes.lessonId, lessonId),
        rein === null ? isNull(passes.rein) : eq(passes.rein, rein),
      ),
    );
}

import 'server-only';
import { isAtStage, isVoid, stageGate, type LessonRecord, type StageGot } from '@/core';
import type { RoanDatabase } from '@/data/database';
import type { Lesson } from '@/data/queries/lessons';
import { versionsById } from '@/data/queries/layoutVersions';
import { yardRulesAt } from '@/data/queries/settings';
import { toldStages } from './lessonSheet';

/** How far the pairs of a record came at each stage of its lesson, by the rules of its day. */
export async function stagesGot(
  db: RoanDatabase,
  yardId: string,
  lesson: Lesson,
  record: LessonRecord,
): Promise<Map<string, StageGot>> {
  const { gate } = await yardRulesAt(db, yardId, record.passes.at(-1)?.riddenAtMs ?? lesson.startsAtMs);
  const versions = await versionsById(
    db,
    yardId,
    record.passes.map(({ layoutVersionId }) => layoutVersionId),
  );
  const got = new Map(lesson.plan.stages.map(({ id }) => [id, { rode: 0, earned: 0 }]));
  for (const pairId of new Set(record.passes.map(pass => pass.pairId))) {
    const own = record.passes.filter(pass => pass.pairId === pairId);
    for (const stage of toldStages(lesson, record, own, versions)) {
      const at = own.filter(pass => isAtStage(pass, stage));
      if (at.every(isVoid)) continue;
      const { rode, earned } = got.get(stage.id)!;
      got.set(stage.id, { rode: rode + 1, earned: earned + (stageGate(at, stage.questions, gate).ready ? 1 : 0) });
    }
  }
  return got;
}

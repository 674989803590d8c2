import 'server-only';
import { isAtStage, questionsNow, stageGate, type GateRule, type StageGate } from '@/core';
import { gatedQuestions } from '@/app/ride/gatedQuestions';
import type { RoanDatabase } from '@/data/database';
import { lessonRecord, listLessons } from '@/data/queries/lessons';
import { versionsById } from '@/data/queries/layoutVersions';

export type ReadyPair = { pairId: string; lesson: string; stage: string; gate: StageGate };

/** Whether each pair has earned the next stage: at the last stage it rode, in the last lesson it rode in. */
export async function readyForNext(
  db: RoanDatabase,
  yardId: string,
  pairIds: readonly string[],
  rule: GateRule,
): Promise<ReadyPair[]> {
  const found = new Map<string, ReadyPair>();
  for (const lesson of await listLessons(db, yardId)) {
    if (found.size === pairIds.length) break;
    const open = lesson.plan.pairIds.filter(id => pairIds.includes(id) && !found.has(id));
    if (open.length === 0) continue;
    const { passes, asks } = await lessonRecord(db, yardId, lesson);
    for (const pairId of open) {
      const own = passes.filter(pass => pass.pairId === pairId);
      const last = own[own.length - 1];
      const stage = last && lesson.plan.stages.find(one => isAtStage(last, one));
      if (!stage) continue;
      const version = (await versionsById(db, yardId, [last.layoutVersionId])).get(last.layoutVersionId);
      const questions = questionsNow(stage.questions, asks, stage.id, pairId);
      const gate = stageGate(
        own.filter(pass => isAtStage(pass, stage)),
        version ? gatedQuestions(version.layout, questions) : [],
        rule,
      );
      found.set(pairId, { pairId, lesson: lesson.name, stage: stage.name, gate });
    }
  }
  return [...found.values()];
}

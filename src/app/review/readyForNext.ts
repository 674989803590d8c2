import 'server-only';
import { stageGate, type GateRule, type StageGate } from '@/core';
import type { RoanDatabase } from '@/data/openDatabase';
import { lessonRecord, listLessons } from '@/data/queries/lessons';

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
    const { passes } = await lessonRecord(db, yardId, lesson);
    for (const pairId of open) {
      const own = passes.filter(pass => pass.pairId === pairId);
      const stage = own[own.length - 1]?.stage;
      if (stage === undefined) continue;
      const gate = stageGate(
        own.filter(pass => pass.stage === stage),
        rule,
      );
      found.set(pairId, { pairId, lesson: lesson.name, stage, gate });
    }
  }
  return [...found.values()];
}

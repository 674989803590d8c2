import type { PassRecord } from '../record/passRecord';
import type { LessonPlan } from './lesson';

/** Between two passes of a stage that are written down one after the other (practice). */
const PASS_MS = 60_000;

/**
 * When a pass that is written down afterwards was ridden, as far as the plan tells: in the minutes of its stage, after what is
 * known of the stage already, milliseconds. It can be changed by whoever knows better.
 */
export function writtenDownAtMs(
  { stages }: Pick<LessonPlan, 'stages'>,
  startsAtMs: number,
  stageId: string,
  passes: readonly Pick<PassRecord, 'stageId' | 'riddenAtMs'>[],
): number {
  const index = stages.findIndex(({ id }) => id === stageId);
  const before = stages.slice(0, Math.max(0, index)).reduce((sum, { minutes }) => sum + minutes, 0);
  const stageMs = startsAtMs + before * 60_000;
  const known = passes.filter(pass => pass.stageId === stageId).map(({ riddenAtMs }) => riddenAtMs);
  return known.length === 0 ? stageMs : Math.max(stageMs, ...known) + PASS_MS;
}

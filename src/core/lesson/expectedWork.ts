import type { LessonStage } from './lesson';
import { NO_EARLIER_WORK, type EarlierWork, type PassWork, type WorkCounts } from './workCounts';

/**
 * What a planned lesson comes to for a horse if every stage is ridden as often as planned, with what the horse does
 * elsewhere that day. Each stage is ridden so often on each rein: a small circle of one rein is one of the other the
 * other way round.
 */
export function expectedWork(
  stages: readonly { stage: Pick<LessonStage, 'eachRein'>; work: PassWork | null }[],
  earlier: EarlierWork = NO_EARLIER_WORK,
): WorkCounts {
  const counts = { ...earlier, smallCircleMin: { ...earlier.smallCircleMin } };
  for (const { stage, work } of stages) {
    if (!work) continue;
    const passes = 2 * stage.eachRein;
    counts.lowEfforts += passes * work.lowEfforts;
    counts.highEfforts += passes * work.highEfforts;
    counts.raisedPasses += work.raised ? passes : 0;
    const circlesMin = stage.eachRein * (work.smallCircleMin.left + work.smallCircleMin.right);
    counts.smallCircleMin.left += circlesMin;
    counts.smallCircleMin.right += circlesMin;
  }
  const { otherJumpingDays, ...done } = counts;
  const jumps = done.lowEfforts + done.highEfforts > 0;
  return { ...done, sinceBreakMin: 0, jumpingDays: otherJumpingDays + (jumps ? 1 : 0) };
}

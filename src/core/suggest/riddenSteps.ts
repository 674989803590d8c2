import { dayNumber } from '../words/calendarDay';
import type { DayPass } from '../review/reviewPass';
import { ownExercise, purposesOf } from './ownLayouts';
import { workKindOf } from '../work/workKindOf';
import type { RiddenStep } from './step';

/** What the exercise of a pass is asked of: by version, which layout it is of and which exercises stand on it. */
export type RiddenOver = ReadonlyMap<string, { layoutId: string; kinds: ReadonlyMap<string, string> }>;

/** What was ridden, day by day and stage by stage, as suggestions look at it; oldest first. */
export function riddenSteps(passes: readonly DayPass[], over: RiddenOver): RiddenStep[] {
  const steps = new Map<string, RiddenStep & { passes: RiddenStep['passes'][number][] }>();
  for (const pass of passes) {
    if (pass.isVoid || pass.line !== null) continue;
    const { exercise, stage } = exerciseOfPass(pass, over);
    const key = `${pass.day} ${exercise} ${stage}`;
    const seen = { rein: pass.rein, isClean: pass.faults.length === 0 };
    const before = steps.get(key);
    if (before) before.passes.push(seen);
    else steps.set(key, newStep(pass, exercise, stage, seen));
  }
  return [...steps.values()];
}

function newStep(pass: DayPass, exercise: string, stage: number, seen: RiddenStep['passes'][number]) {
  const kind = workKindOf(pass.ground.work);
  const { gait } = pass.question;
  const purposes = purposesOf(exercise, kind);
  return { day: dayNumber(pass.day), exercise, stage, kind, gait, purposes, passes: [seen] };
}

/** The exercise and stage that a pass asked; what was laid by hand is called by its layout and track. */
export function exerciseOfPass(
  { question: { what }, layoutVersionId }: Pick<DayPass, 'question' | 'layoutVersionId'>,
  over: RiddenOver,
): { exercise: string; stage: number } {
  const { layoutId, kinds } = over.get(layoutVersionId) ?? { layoutId: layoutVersionId, kinds: new Map() };
  if (what.kind === 'stage') {
    const kind = kinds.get(what.exerciseId) as string | undefined;
    if (kind !== undefined) return { exercise: kind, stage: what.stage };
    return { exercise: ownExercise(layoutId, what.over.trackId), stage: 0 };
  }
  return { exercise: ownExercise(layoutId, what.kind === 'made' ? 'made' : what.trackId), stage: 0 };
}

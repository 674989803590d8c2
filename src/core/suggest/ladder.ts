import { cleanAtEnd } from '../lesson/cleanAtEnd';
import type { GateRule } from '../lesson/stageGate';
import type { Share } from '../statistics/proportions';
import { REINS } from '../track/rein';
import type { ExerciseFacts, RiddenStep } from './step';

/** How far a pair came with an exercise the last time it rode it; `stage` is the highest one of that day. */
export type Standing = { at: 'earned' | 'held'; stage: number; day: number; clean: Share };

/** Why a stage is the next one: never ridden, earned, held, too hard, or not come back to for long. */
export type NextWhy = 'new' | 'next' | 'again' | 'easier' | 'back' | 'kept';

/** The stage that comes next for a pair, and what it stands on. */
export type NextStage = { stage: number; why: NextWhy; standing: Standing | null };

/** Common practice, no source: what was left out for so many days is come back to where it was, before it goes on. */
export const LEFT_OUT_DAYS = 28;
/** Held so seldom clean, it was too much: a stage down (common practice, no source). */
const TOO_HARD = 1 / 3;

/** How far a pair came the last time; null where it never rode it. */
export function standingOf(
  { exercise, stages }: Pick<ExerciseFacts, 'exercise' | 'stages'>,
  ridden: readonly RiddenStep[],
  rule: GateRule,
): Standing | null {
  const own = ridden.filter(step => step.exercise === exercise && step.passes.length > 0);
  const day = Math.max(...own.map(step => step.day));
  if (own.length === 0) return null;
  const last = own.filter(step => step.day === day).reduce((a, b) => (b.stage >= a.stage ? b : a));
  const hits = last.passes.filter(({ isClean }) => isClean).length;
  const hasReins = stages[last.stage]?.hasReins ?? false;
  const isEarned = isEarnedBy(last.passes, hasReins && rule.bothReins, rule.cleanEachRein);
  return { at: isEarned ? 'earned' : 'held', stage: last.stage, day, clean: { of: last.passes.length, hits } };
}

/** The same rule as at a lesson’s gate: the last passes clean, on each rein where it has them. */
function isEarnedBy(passes: RiddenStep['passes'], onEachRein: boolean, wanted: number): boolean {
  const enough = (own: RiddenStep['passes']) => cleanAtEnd(own.map(({ isClean }) => isClean)) >= wanted;
  return onEachRein ? REINS.every(rein => enough(passes.filter(pass => pass.rein === rein))) : enough(passes);
}

/** What comes next of an exercise for a pair. */
export function nextStage(
  facts: Pick<ExerciseFacts, 'exercise' | 'stages'>,
  ridden: readonly RiddenStep[],
  rule: GateRule,
  day: number,
): NextStage {
  const standing = standingOf(facts, ridden, rule);
  if (!standing) return { stage: 0, why: 'new', standing };
  const last = facts.stages.length - 1;
  const stage = Math.min(standing.stage, last);
  if (day - standing.day >= LEFT_OUT_DAYS) return { stage, why: 'back', standing };
  if (standing.at === 'earned')
    return { stage: Math.min(stage + 1, last), why: stage < last ? 'next' : 'kept', standing };
  const { hits, of } = standing.clean;
  if (hits / of < TOO_HARD && stage > 0) return { stage: stage - 1, why: 'easier', standing };
  return { stage, why: 'again', standing };
}

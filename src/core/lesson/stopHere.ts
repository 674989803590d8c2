import type { StopRule } from '../exercises/exercise';
import { howMany } from '../words/howMany';
import { improvement } from './improvement';
import { isVoid, lineRidden, passFaults } from '../record/passJudged';
import type { PassRecord } from '../record/passRecord';
import type { Rein } from '../track/rein';

export const STOP_RULES = ['repetitions', 'minutes', 'first clear improvement'] as const;

/** Common practice, no source: minutes for a stage, until somebody says otherwise. */
export const USUAL_STAGE_MIN = 10;

/** A stop rule by its name; the usual one where there is none of it. */
export function stopRule(when: string | null, minutes: number): StopRule {
  if (when === 'minutes') return { when, minutes: minutes > 0 ? minutes : USUAL_STAGE_MIN };
  return { when: when === 'first clear improvement' ? when : 'repetitions' };
}

type Ridden = Pick<PassRecord, 'rein' | 'marks' | 'question' | 'riddenAtMs'>;

export type StopPlan = {
  stop: StopRule;
  /** Passes planned on each rein; 0 where none are. */
  eachRein: number;
  /** Whether the question is asked on each rein; a track that changes the rein is ridden so often in all. */
  hasReins: boolean;
  nowMs: number;
};

/**
 * Whether a stage is over for a pair by its stop rule, and why; null while it is not. Nobody ends on a failure: where the
 * last pass went wrong it says so.
 * @param passes - of one pair and one question at a stage, oldest first
 */
export function stopHere(passes: readonly Ridden[], plan: StopPlan): string | null {
  const counted = passes.filter(pass => !isVoid(pass));
  const last = counted[counted.length - 1];
  if (!last) return null;
  const reason = reasonToStop(counted, plan);
  if (reason === null) return null;
  const failed = passFaults(last).length > 0;
  return failed ? `${reason} Not on a failure: one easier pass first.` : reason;
}

function reasonToStop(counted: readonly Ridden[], { stop, eachRein, hasReins, nowMs }: StopPlan): string | null {
  switch (stop.when) {
    case 'repetitions': {
      const whole = counted.filter(pass => lineRidden(pass) === null);
      const on = (rein: Rein) => whole.filter(pass => pass.rein === rein).length;
      const ridden = hasReins ? Math.min(on('left'), on('right')) : whole.length;
      if (eachRein === 0 || ridden < eachRein) return null;
      const passes = `${eachRein} ${eachRein === 1 ? 'pass' : 'passes'}`;
      return `${passes}${hasReins ? ' on each rein' : ''}: that is what was planned.`;
    }
    case 'minutes': {
      const minutes = (nowMs - counted[0]!.riddenAtMs) / 60_000;
      return minutes < stop.minutes
        ? null
        : `${howMany(Math.floor(minutes), 'minute')} at this: ${howMany(stop.minutes, 'was', 'were')} planned.`;
    }
    case 'first clear improvement': {
      const change = improvement(counted);
      return change && `That was clearly better: a good place to stop. Before: ${change.before}. Now: ${change.after}.`;
    }
  }
}

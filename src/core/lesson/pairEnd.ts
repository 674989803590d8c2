import { isClean, isVoid } from '../record/passJudged';
import { otherRein, type Rein } from '../track/rein';
import { isAtStage } from './atStage';
import { pairSummary, type PairSummary, type ToldPass, type ToldStage } from './pairSummary';
import type { GateRule } from './stageGate';

/** What a rider is told at the end of a lesson: how much was ridden, what was best, which side was stiffer, what comes. */
export type PairEnd = {
  ridden: string;
  /** Null where nothing was clean. */
  best: string | null;
  /** What became clearly better, from what to what; null where nothing did. */
  change: string | null;
  /** Null where too little was ridden on one rein to say anything. */
  reins: string | null;
  next: string[];
  /** Question by question, and pass by pass. */
  summary: PairSummary;
};

/** Fewer passes than this on a rein say nothing of it; nor does less of a difference in what was clean (practice). */
const ENOUGH = 3;
const TELLING = 0.25;

/**
 * A pair's part of a lesson as its rider is told it.
 * @param passes - of one pair, oldest first
 */
export function pairEnd(passes: readonly ToldPass[], stages: readonly ToldStage[], rule?: GateRule): PairEnd {
  const summary = pairSummary(passes, stages, rule);
  const counted = passes.filter(pass => !isVoid(pass));
  return {
    ridden: riddenWords(counted),
    best: bestWords(counted, stages),
    change: changeWords(summary),
    reins: reinWords(counted),
    next: summary.next,
    summary,
  };
}

function riddenWords(counted: readonly ToldPass[]): string {
  if (counted.length === 0) return 'Nothing was ridden.';
  const clean = counted.filter(isClean).length;
  const passes = counted.length === 1 ? 'One pass' : `${counted.length} passes`;
  if (clean === counted.length) return `${passes}, ${clean === 1 ? 'clean' : 'all clean'}.`;
  return `${passes}, ${clean === 0 ? 'none' : clean} of them clean.`;
}

/** The longest run of clean passes at the farthest stage that had one: what was asked last is the hardest. */
function bestWords(counted: readonly ToldPass[], stages: readonly ToldStage[]): string | null {
  const placeOf = (pass: ToldPass) => stages.findIndex(stage => isAtStage(pass, stage));
  const clean = counted.filter(isClean);
  const farthest = clean.reduce<ToldPass | null>(
    (best, pass) => (best === null || placeOf(pass) >= placeOf(best) ? pass : best),
    null,
  );
  if (farthest === null) return null;
  const own = counted.filter(
    pass => placeOf(pass) === placeOf(farthest) && pass.questionWords === farthest.questionWords,
  );
  const run = longestRun(own);
  const reins = [...new Set(run.flatMap(({ rein }) => rein ?? []))];
  const on = reins.length === 2 ? ' on both reins' : reins.length === 1 ? ` on the ${reins[0]!} rein` : '';
  const stage = stages[placeOf(farthest)]?.name ?? farthest.stage;
  const isSaid = stage.toLowerCase().includes(farthest.questionWords.toLowerCase());
  const asked = isSaid ? stage : `${stage}, ${farthest.questionWords}`;
  if (run.length === 1) return `${asked}: clean${on}.`;
  return `${asked}: ${run.length} clean one after the other${on}.`;
}

/** The last question in which something became clearly better. */
function changeWords({ stages }: PairSummary): string | null {
  const found = stages.findLast(({ change }) => change !== null);
  return found?.change ? `${found.question}: from ${found.change.before} to ${found.change.after}.` : null;
}

function longestRun(passes: readonly ToldPass[]): ToldPass[] {
  let best: ToldPass[] = [];
  let run: ToldPass[] = [];
  for (const pass of passes) {
    run = isClean(pass) ? [...run, pass] : [];
    if (run.length > best.length) best = run;
  }
  return best;
}

function reinWords(counted: readonly ToldPass[]): string | null {
  const share = (rein: Rein) => {
    const own = counted.filter(pass => pass.rein === rein);
    return { all: own.length, clean: own.filter(isClean).length };
  };
  const [left, right] = [share('left'), share('right')];
  if (left.all < ENOUGH || right.all < ENOUGH || left.clean + right.clean === 0) return null;
  const byMore = right.clean / right.all - left.clean / left.all;
  if (Math.abs(byMore) < TELLING) return 'Even: as clean on the left rein as on the right.';
  const stiff: Rein = byMore > 0 ? 'left' : 'right';
  const [worse, better] = stiff === 'left' ? [left, right] : [right, left];
  return `Stiffer on the ${stiff} rein: ${worse.clean} of ${worse.all} clean there, ${better.clean} of ${better.all} on the ${otherRein(stiff)}.`;
}

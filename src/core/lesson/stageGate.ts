import { isClean, isVoid, lineRidden, passFaults } from '../record/passJudged';
import type { PassRecord } from '../record/passRecord';
import { cleanAtEnd } from './cleanAtEnd';
import type { Rein } from '../track/rein';

/** The yard's rule for going up a stage (common practice, no source: the last two passes clean on both reins). */
export type GateRule = { cleanEachRein: number; bothReins: boolean };
export const USUAL_GATE: GateRule = { cleanEachRein: 2, bothReins: true };

/** Whether the next stage is offered, and why in words. */
export type StageGate = { ready: boolean; reason: string };

type Ridden = Pick<PassRecord, 'rein' | 'marks' | 'question'>;

/** A question that a stage asks, as its gate looks at it. */
export type GatedQuestion = {
  id: string;
  name: string;
  /** Whether it is asked on each rein; a track that changes the rein has none. */
  hasReins: boolean;
};

/**
 * Whether a pair has earned the next stage: the last passes of each question of this one were clean, on each rein where it has
 * reins. Passes given up before the line, and those over one line only, do not count either way.
 * @param passes - of one pair at one stage, oldest first
 */
export function stageGate(
  passes: readonly Ridden[],
  questions: readonly GatedQuestion[],
  rule: GateRule = USUAL_GATE,
): StageGate {
  const counted = passes.filter(pass => !isVoid(pass) && lineRidden(pass) === null);
  if (counted.length === 0) return { ready: false, reason: 'Nothing ridden at this stage yet.' };
  const gates = questions.map(question => {
    const own = counted.filter(pass => pass.question.id === question.id);
    return { question, gate: questionGate(own, question, rule) };
  });
  const open = gates.find(({ gate }) => !gate.ready);
  const [told] = open ? [open] : gates;
  if (!told) return { ready: false, reason: 'Nothing is asked at this stage.' };
  if (gates.length === 1) return told.gate;
  if (!open) return { ready: true, reason: 'Every question of this stage was clean at its last passes.' };
  return { ready: false, reason: `${told.question.name}: ${told.gate.reason}` };
}

function questionGate(counted: readonly Ridden[], { hasReins }: GatedQuestion, rule: GateRule): StageGate {
  if (counted.length === 0) return { ready: false, reason: 'Not ridden yet.' };
  const reins: (Rein | null)[] = !hasReins ? [null] : rule.bothReins ? ['left', 'right'] : reinsOf(counted);
  const open = reins.flatMap(rein => {
    const last = counted.filter(pass => rein === null || pass.rein === rein).slice(-rule.cleanEachRein);
    const missing = missingIn(last, rule.cleanEachRein);
    return missing === null ? [] : [rein === null ? missing : `${rein} rein: ${missing}`];
  });
  if (open.length > 0) return { ready: false, reason: `Not yet. ${sentence(open.join('; '))}.` };
  const times = rule.cleanEachRein === 1 ? 'pass was' : `${rule.cleanEachRein} passes were`;
  const where = !hasReins ? '' : rule.bothReins ? ' on both reins' : ` on the ${reins[0] ?? 'left'} rein`;
  return { ready: true, reason: `The last ${times} clean${where}.` };
}

function reinsOf(passes: readonly Ridden[]): Rein[] {
  const reins = [...new Set(passes.flatMap(({ rein }) => rein ?? []))];
  return reins.length === 0 ? ['left'] : reins;
}

function missingIn(last: readonly Ridden[], wanted: number): string | null {
  const clean = cleanAtEnd(last.map(isClean));
  if (clean >= wanted) return null;
  const fault = last.map(pass => passFaults(pass)[0]).findLast(Boolean);
  const more = wanted - clean;
  const words = `${more} more clean ${more === 1 ? 'pass' : 'passes'}`;
  return fault ? `${words}, the last trouble was ${fault.what}` : words;
}

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

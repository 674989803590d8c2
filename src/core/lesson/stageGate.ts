import { isClean, isVoid, lineRidden, passFaults } from '../record/passJudged';
import type { PassRecord } from '../record/passRecord';
import type { Rein } from '../track/rein';

/** The yard's rule for going up a stage (common practice, no source: the last two passes clean on both reins). */
export type GateRule = { cleanEachRein: number; bothReins: boolean };
export const USUAL_GATE: GateRule = { cleanEachRein: 2, bothReins: true };

/** Whether the next stage is offered, and why in words. */
export type StageGate = { ready: boolean; reason: string };

type Ridden = Pick<PassRecord, 'rein' | 'marks'>;

/**
 * Whether a pair has earned the next stage: the last passes on each rein were clean. Passes given up before the line,
 * and those over one line only, do not count either way.
 * @param passes - of one pair at one stage, oldest first
 * @param asked - the count asked of each leg; null where none was
 */
export function stageGate(
  passes: readonly Ridden[],
  rule: GateRule = USUAL_GATE,
  asked: readonly (number | null)[] = [],
): StageGate {
  const counted = passes.filter(pass => !isVoid(pass) && lineRidden(pass) === null);
  const reins: Rein[] = rule.bothReins ? ['left', 'right'] : reinsOf(counted);
  const open = reins.flatMap(rein => {
    const last = counted.filter(pass => pass.rein === rein).slice(-rule.cleanEachRein);
    const missing = missingOn(last, rule.cleanEachRein, asked);
    return missing === null ? [] : [`${rein} rein: ${missing}`];
  });
  if (counted.length === 0) return { ready: false, reason: 'Nothing ridden at this stage yet.' };
  if (open.length > 0) return { ready: false, reason: `Not yet. ${sentence(open.join('; '))}.` };
  const times = rule.cleanEachRein === 1 ? 'pass was' : `${rule.cleanEachRein} passes were`;
  const where = rule.bothReins ? 'on both reins' : `on the ${reins[0] ?? 'left'} rein`;
  return { ready: true, reason: `The last ${times} clean ${where}.` };
}

function reinsOf(passes: readonly Ridden[]): Rein[] {
  const reins = [...new Set(passes.map(({ rein }) => rein))];
  return reins.length === 0 ? ['left'] : reins;
}

function missingOn(last: readonly Ridden[], wanted: number, asked: readonly (number | null)[]): string | null {
  const clean = cleanAtEnd(last, asked);
  if (clean >= wanted) return null;
  const fault = last.map(pass => passFaults(pass, asked)[0]).findLast(Boolean);
  const more = wanted - clean;
  const words = `${more} more clean ${more === 1 ? 'pass' : 'passes'}`;
  return fault ? `${words}, the last trouble was ${fault.what}` : words;
}

/** How many passes at the end were clean one after the other. */
function cleanAtEnd(passes: readonly Ridden[], asked: readonly (number | null)[]): number {
  let clean = 0;
  for (const pass of [...passes].reverse()) {
    if (!isClean(pass, asked)) break;
    clean += 1;
  }
  return clean;
}

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

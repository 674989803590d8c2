import { isVoid, passFaults } from '../record/passJudged';
import { standingMarks } from '../record/passMark';
import type { PassRecord } from '../record/passRecord';

type Ridden = Pick<PassRecord, 'rein' | 'marks' | 'question'>;

/** What was ridden before a change for the better, and what after it, in words. */
export type Improvement = { before: string; after: string };

/**
 * What the last pass did better than those before it on its rein: clean after a fault, or a better mark for quality than any;
 * null where it did not.
 * @param passes - of one pair and one question, oldest first
 */
export function improvement(passes: readonly Ridden[]): Improvement | null {
  const counted = passes.filter(pass => !isVoid(pass));
  const last = counted[counted.length - 1];
  if (!last || passFaults(last).length > 0) return null;
  const before = counted.slice(0, -1).filter(({ rein }) => rein === last.rein);
  const [previous] = before.slice(-1);
  if (!previous) return null;
  if (passFaults(previous).length > 0) return { before: passInShort(previous), after: passInShort(last) };
  const marked = before.filter(pass => qualityOf(pass) !== null);
  const best = Math.max(0, ...marked.map(pass => qualityOf(pass)!));
  const now = qualityOf(last);
  if (now === null || best === 0 || now <= best) return null;
  return { before: passInShort(marked[marked.length - 1]!), after: passInShort(last) };
}

/** The first change for the better among passes of one pair and one question, oldest first; null where there was none. */
export function firstImprovement(passes: readonly Ridden[]): Improvement | null {
  for (let count = 2; count <= passes.length; count += 1) {
    const found = improvement(passes.slice(0, count));
    if (found) return found;
  }
  return null;
}

function passInShort(pass: Ridden): string {
  const faults = [...new Set(passFaults(pass).map(({ what }) => what))];
  const quality = qualityOf(pass);
  return [...(faults.length > 0 ? faults : ['clean']), ...(quality === null ? [] : [`quality ${quality} of 5`])].join(
    ', ',
  );
}

function qualityOf({ marks }: Pick<Ridden, 'marks'>): number | null {
  return standingMarks(marks).find(mark => mark.kind === 'quality')?.value ?? null;
}

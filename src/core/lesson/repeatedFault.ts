import { isVoid, passFaults } from '../record/passJudged';
import type { PassRecord } from '../record/passRecord';

/** The same fault at the same place again and again, and what to look at (common practice, no source). */
export type RepeatedFault = { what: string; place: number | null; times: number; suggestion: string };

/** Common practice, no source: the third time it is a question about the distance, the line, the footing or the rider. */
const TIMES = 3;

/** What to try, by what goes wrong. Distances are changed by a little only, and one thing at a time. */
function suggestionFor(what: string): string {
  switch (what) {
    case 'deep take-off':
    case 'strides left out':
      return 'The distance rides short here: open it by 10 cm, or ask for one stride more.';
    case 'long take-off':
    case 'strides added':
      return 'The distance rides long here: close it by 10 cm, or ask for one stride fewer.';
    case 'hit':
    case 'down':
      return 'Lower this one, or lay it as a pole, and leave the rest.';
    case 'refusal':
      return 'A stage down for this one; let the horse stand and look, and look at the footing before it.';
    case 'run-out left':
    case 'run-out right':
    case 'aim off to the left':
    case 'aim off to the right':
      return 'Look at the line: a guide rail on that side, a straighter way to it, or a mark to ride at.';
    case 'drift left':
    case 'drift right':
      return 'Guide rails as a V on the fence, or tunnel poles behind it.';
    case 'break of gait':
    case 'ran into it':
    case 'wrong lead':
      return 'Stop, back up and start again from a circle; a gait down until it is calm.';
    case 'spooked':
      return 'Look at what stands there: lead past it, or ride it away from home first.';
    case 'rush':
      return 'Close the gaps a little, walk between passes, and ride it away from home.';
    default:
      return 'Look at the distance, the line, the footing, and the rider, in that order.';
  }
}

/**
 * Faults that a pair had at the same place in three passes or more of those that count, the most frequent first.
 * @param passes - of one pair at one stage, oldest first
 */
export function repeatedFaults(
  passes: readonly Pick<PassRecord, 'marks'>[],
  asked: readonly (number | null)[] = [],
): RepeatedFault[] {
  const counts = new Map<string, { what: string; place: number | null; times: number }>();
  for (const pass of passes) {
    if (isVoid(pass)) continue;
    const once = new Map(passFaults(pass, asked).map(fault => [`${fault.what} ${fault.place}`, fault]));
    for (const [key, fault] of once) counts.set(key, { ...fault, times: (counts.get(key)?.times ?? 0) + 1 });
  }
  return [...counts.values()]
    .filter(({ times }) => times >= TIMES)
    .sort((a, b) => b.times - a.times)
    .map(fault => ({ ...fault, suggestion: suggestionFor(fault.what) }));
}

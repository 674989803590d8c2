import { trackKey } from '../question/questionKey';
import type { LoggedPass, RecordLog } from './recordLog';

/** Two passes of one pair that two people began within so long were one (practice): nobody rides a track twice in that time. */
const SAME_MS = 25_000;

/** Passes that two people each recorded, where the pair rode once: the earlier one and the later one. */
export function doubledPasses({ passes }: Pick<RecordLog, 'passes'>): [LoggedPass, LoggedPass][] {
  const counting = passes.filter(({ counts }) => counts).sort((a, b) => a.pass.riddenAtMs - b.pass.riddenAtMs);
  return counting.flatMap((one, at): [LoggedPass, LoggedPass][] => {
    const twin = counting
      .slice(at + 1)
      .find(
        other =>
          other.pass.riddenAtMs - one.pass.riddenAtMs < SAME_MS &&
          other.pass.pairId === one.pass.pairId &&
          other.by !== one.by &&
          trackKey(other.pass.question) === trackKey(one.pass.question),
      );
    return twin ? [[one, twin]] : [];
  });
}

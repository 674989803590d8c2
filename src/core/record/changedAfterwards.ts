import type { RecordChange } from './recordChange';
import type { RecordLog } from './recordLog';

/** What is changed so much later than it was said is changed afterwards, not while it was ridden. */
const AFTER_MS = 60 * 60 * 1000;

/**
 * The changes that were made afterwards: once the lesson was ended, of a pass that lay back, or of the lesson itself. What was
 * taken back with an undo while it was ridden is none.
 */
export function changedAfterwards({ changes, passes, endedAtMs }: RecordLog): RecordChange[] {
  const riddenAt = new Map(
    passes.flatMap(({ pass, marks }) =>
      [pass.id, ...marks.map(({ mark }) => mark.id)].map(id => [id, pass.riddenAtMs]),
    ),
  );
  return changes.filter(change => {
    if (change.on === 'lesson') return true;
    if (endedAtMs !== null && change.atMs > endedAtMs) return true;
    const ridden = change.what === 'time' ? Math.min(change.was, change.to) : riddenAt.get(change.of);
    return ridden !== undefined && change.atMs - ridden > AFTER_MS;
  });
}

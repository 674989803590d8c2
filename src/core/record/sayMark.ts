import { markSubject, type PassMark, type TappedMark } from './passMark';
import type { RecordEvent } from './recordEvent';
import type { RecordLog } from './recordLog';
import { changeOver, reversal, type Tap } from './tapHistory';

export type Saying = { newId: () => string; atMs: number; by: string | null };

/**
 * A mark in a pass: a new one, or, where something counts of the same thing already, that one said otherwise, so that nobody
 * loses what was said before.
 */
export function sayMark(log: RecordLog, passId: string, said: TappedMark, own: Saying): RecordEvent {
  const subject = markSubject(said);
  const pass = log.passes.find(one => one.pass.id === passId);
  const before =
    subject === null ? undefined : pass?.marks.findLast(one => one.counts && markSubject(one.mark) === subject);
  if (!before) {
    const id = own.newId();
    const mark = { id, ...said } as PassMark;
    return { type: 'mark', id: own.newId(), passId, mark, atMs: own.atMs, by: own.by };
  }
  return amend(
    log,
    pass!.pass.lessonId,
    { on: 'mark', of: before.mark.id, what: 'said', was: bare(before.mark), to: said },
    own,
  );
}

/** Something of the record said otherwise, as an event. */
export function amend(
  log: Pick<RecordLog, 'changes'>,
  lessonId: string | null,
  value: Parameters<typeof changeOver>[1],
  own: Saying,
): RecordEvent {
  const change = changeOver(log, value, null, own);
  return { type: 'change', id: change.id, lessonId, change };
}

/** A tap taken back, or done again where it was an undo, as events. */
export function reverseTap(log: RecordLog, lessonId: string | null, tap: Tap, own: Saying): RecordEvent[] {
  return reversal(log, tap, own).map(change => ({ type: 'change', id: change.id, lessonId, change }));
}

/** A mark without its id. */
export function bare({ id: _, ...said }: PassMark): TappedMark {
  return said as TappedMark;
}

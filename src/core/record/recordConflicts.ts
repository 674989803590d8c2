import { markSubject } from './passMark';
import { bare } from './sayMark';
import type { LoggedMark, RecordLog } from './recordLog';
import { changedThing, lastChanges, standingChange, type RecordChange } from './recordChange';

/** What one of two said of something that the other one said otherwise, neither knowing of the other. */
export type ConflictWord = { by: string | null; atMs: number; value: RecordChange['to'] };

/** Two words on one thing. One of them stands; both are kept. */
export type RecordConflict = {
  passId: string | null;
  on: RecordChange['on'];
  what: RecordChange['what'];
  of: string;
  standing: ConflictWord;
  others: ConflictWord[];
};

/** Where two people said different things of one thing without knowing of each other. */
export function recordConflicts(log: RecordLog): RecordConflict[] {
  return [...ofChanges(log), ...log.passes.filter(({ counts }) => counts).flatMap(ofMarks)];
}

function ofChanges(log: RecordLog): RecordConflict[] {
  const things = new Map<string, RecordChange[]>();
  for (const change of log.changes) {
    const name = changedThing(change);
    things.set(name, [...(things.get(name) ?? []), change]);
  }
  return [...things.values()].flatMap((changes): RecordConflict[] => {
    const standing = standingChange(changes)!;
    const others = lastChanges(changes).filter(
      one => one.id !== standing.id && JSON.stringify(one.to) !== JSON.stringify(standing.to),
    );
    if (others.length === 0) return [];
    const { on, what, of } = standing;
    return [{ passId: passOf(log, on, of), on, what, of, standing: wordOf(standing), others: others.map(wordOf) }];
  });
}

const wordOf = ({ by, atMs, to }: RecordChange): ConflictWord => ({ by, atMs, value: to });

function passOf({ passes }: RecordLog, on: RecordChange['on'], of: string): string | null {
  if (on === 'pass') return of;
  if (on !== 'mark') return null;
  return passes.find(({ marks }) => marks.some(({ mark }) => mark.id === of))?.pass.id ?? null;
}

/** Two marks of one thing in one pass, by two devices that each thought theirs the first. */
function ofMarks({ pass, marks }: RecordLog['passes'][number]): RecordConflict[] {
  const bySubject = new Map<string, LoggedMark[]>();
  for (const one of marks) {
    const subject = one.counts ? markSubject(one.mark) : null;
    if (subject !== null) bySubject.set(subject, [...(bySubject.get(subject) ?? []), one]);
  }
  return [...bySubject.values()].flatMap((own): RecordConflict[] => {
    const sorted = [...own].sort((a, b) => a.saidAtMs - b.saidAtMs);
    const last = sorted[sorted.length - 1]!;
    const others = sorted.filter(
      one => one !== last && one.by !== last.by && JSON.stringify(bare(one.mark)) !== JSON.stringify(bare(last.mark)),
    );
    if (others.length === 0) return [];
    const word = (one: LoggedMark): ConflictWord => ({ by: one.by, atMs: one.saidAtMs, value: bare(one.mark) });
    return [
      { passId: pass.id, on: 'mark', what: 'said', of: last.mark.id, standing: word(last), others: others.map(word) },
    ];
  });
}

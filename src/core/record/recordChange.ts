import type { Question } from '../question/question';
import type { RideWay } from '../question/waysToRide';
import type { TappedMark } from './passMark';

/** The stage of a lesson that a pass belongs to, and what that was called then. */
export type StageOfPass = { stageId: string | null; stage: string };

type Counts<On> = { on: On; what: 'counts'; was: boolean; to: boolean };

/** What was said otherwise afterwards, from what it was to what it is. */
export type ChangedValue =
  /** Taken back, or brought back. */
  | Counts<'pass'>
  | Counts<'mark'>
  | Counts<'break'>
  | Counts<'ask'>
  | { on: 'pass'; what: 'way'; was: RideWay; to: RideWay }
  | { on: 'pass'; what: 'pair'; was: string; to: string }
  | { on: 'pass'; what: 'stage'; was: StageOfPass; to: StageOfPass }
  | { on: 'pass'; what: 'question'; was: Question; to: Question }
  /** When it was ridden, or walked. */
  | { on: 'pass'; what: 'time'; was: number; to: number }
  | { on: 'break'; what: 'time'; was: number; to: number }
  | { on: 'mark'; what: 'said'; was: TappedMark; to: TappedMark }
  /** Whether a pair rides in the lesson. */
  | { on: 'pair'; what: 'rides'; was: boolean; to: boolean }
  /** When a lesson was ended; null where it is open. */
  | { on: 'lesson'; what: 'ended'; was: number | null; to: number | null }
  /** In which order pairs ride, by their ids. */
  | { on: 'lesson'; what: 'order'; was: string[]; to: string[] }
  /** The day and time of a lesson. */
  | { on: 'lesson'; what: 'day'; was: number; to: number }
  | { on: 'lesson'; what: 'archived'; was: boolean; to: boolean }
  /** What of its plan was changed once it had a record, in words. */
  | { on: 'lesson'; what: 'plan'; was: string; to: string };

/**
 * One change of something in the record. It names the changes that it was made over, so that one which comes late undoes none
 * that was made knowing more.
 */
export type RecordChange = ChangedValue & {
  id: string;
  /** Of which pass, mark, break, ask, pair or lesson: its id. */
  of: string;
  /** The changes of the same thing that whoever made this one saw last; none where nothing was changed before. */
  from: readonly string[];
  atMs: number;
  /** Who said so: a person, else a device; null where nobody was told. */
  by: string | null;
  /** The tap that this one undoes, by the id of its event or change; null for a change of its own. */
  undoes: string | null;
};

/** What can be changed by itself: `pass 5 way`. Changes of two of them never contradict each other. */
export function changedThing({ on, of, what }: Pick<RecordChange, 'on' | 'of' | 'what'>): string {
  return `${on} ${of} ${what}`;
}

/** Of changes of one thing, those that no other was made over: one, or several that did not know of each other. */
export function lastChanges<Change extends Pick<RecordChange, 'id' | 'from'>>(changes: readonly Change[]): Change[] {
  const over = new Set(changes.flatMap(({ from }) => from));
  return changes.filter(({ id }) => !over.has(id));
}

/** The change of one thing that stands: of those that did not know of each other the later one, the same one everywhere. */
export function standingChange<Change extends Pick<RecordChange, 'id' | 'from' | 'atMs'>>(
  changes: readonly Change[],
): Change | null {
  return lastChanges(changes).reduce<Change | null>(
    (best, one) => (best === null || one.atMs > best.atMs || (one.atMs === best.atMs && one.id > best.id) ? one : best),
    null,
  );
}

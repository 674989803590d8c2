import { markWords, type PassRecord } from '@/core';
import { placeName, type AskedRide } from '@/app/ride/askedRide';
import type { LessonState } from '../_state/useLesson';
import classes from './RunLesson.module.css';

type LessonFootProps = {
  lesson: LessonState;
  open: PassRecord | null;
  canRide: boolean;
  /** What a pass was over: what is undone is told by its own pass. */
  rideOf: (pass: PassRecord) => AskedRide | null;
  onBreak: () => void;
  onEnd: () => void;
};

/** Always in reach of the thumb: undo, a walk break, the end of the pass, and whether everything is saved. */
export function LessonFoot({ lesson, open, canRide, rideOf, onBreak, onEnd }: LessonFootProps) {
  const { undoable, ready } = lesson;
  return (
    <footer className={classes.foot}>
      <Delivery lesson={lesson} />
      <div className={classes.footKeys}>
        <button type="button" className={classes.key} disabled={!undoable || !ready} onClick={lesson.undo}>
          Undo
          <small>{undoWords(lesson, rideOf)}</small>
        </button>
        <button type="button" className={classes.key} disabled={!ready} onClick={onBreak}>
          Walk break
          <small>for this pair</small>
        </button>
        <button type="button" className={classes.main} disabled={!ready || !canRide} onClick={onEnd}>
          {open ? 'Pass done' : 'Clean pass'}
          <small>{open ? `${open.marks.length} marked` : 'nothing to mark'}</small>
        </button>
      </div>
    </footer>
  );
}

function undoWords({ undoable, record }: LessonState, rideOf: LessonFootProps['rideOf']): string {
  if (!undoable) return 'nothing yet';
  if (undoable.type === 'break') return 'the walk break';
  if (undoable.type === 'ask') return 'what was asked otherwise';
  if (undoable.type === 'pass') return 'the last pass';
  const pass = record.passes.find(({ id }) => id === undoable.passId);
  const ride = pass ? rideOf(pass) : null;
  return markWords(undoable.mark, place => placeName(ride, place));
}

/** Says "saved" only when everything is in the database. */
function Delivery({ lesson: { ready, unsent, problem } }: { lesson: LessonState }) {
  if (!ready) return <p role="status">Opening …</p>;
  if (unsent === 0)
    return (
      <p role="status" data-delivery="saved">
        Saved
      </p>
    );
  return (
    <p role="status" data-delivery="waiting" data-unsent={unsent}>
      {problem === null ? 'Saving …' : `${unsent} not saved yet, kept on this device. ${problem}`}
    </p>
  );
}

import { markWords, type PassRecord } from '@/core';
import type { LessonState } from '../_state/useLesson';
import classes from './RunLesson.module.css';

type LessonFootProps = {
  lesson: LessonState;
  open: PassRecord | null;
  canRide: boolean;
  nameOf: (place: number) => string;
  onBreak: () => void;
  onEnd: () => void;
};

/** Always in reach of the thumb: undo, a walk break, the end of the pass, and whether everything is saved. */
export function LessonFoot({ lesson, open, canRide, nameOf, onBreak, onEnd }: LessonFootProps) {
  const { undoable, ready } = lesson;
  return (
    <footer className={classes.foot}>
      <Delivery lesson={lesson} />
      <div className={classes.footKeys}>
        <button type="button" className={classes.key} disabled={!undoable || !ready} onClick={lesson.undo}>
          Undo
          <small>{undoWords(undoable, nameOf)}</small>
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

function undoWords(undoable: LessonState['undoable'], nameOf: (place: number) => string): string {
  if (!undoable) return 'nothing yet';
  if (undoable.type === 'mark') return markWords(undoable.mark, nameOf);
  return undoable.type === 'pass' ? 'the last pass' : 'the walk break';
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

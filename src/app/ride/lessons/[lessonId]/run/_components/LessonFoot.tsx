import { Delivery } from '@/components/sync/Delivery';
import { useWhoSays } from '@/components/who/whoSays';
import type { PassRecord, Tap } from '@/core';
import { tapWords, type RecordNames } from '@/app/ride/recordWords';
import type { LessonRecordState } from '../../_state/useLesson';
import classes from './RunLesson.module.css';

type LessonFootProps = {
  lesson: LessonRecordState;
  open: PassRecord | null;
  canRide: boolean;
  /** What was tapped of this pair at this stage. */
  history: { undo: readonly Tap[]; redo: readonly Tap[] };
  names: RecordNames;
  onBreak: () => void;
  onEnd: () => void;
};

/** Always in reach of the thumb: undo and redo, a walk break, the end of the pass, and whether everything is saved. */
export function LessonFoot({ lesson, open, canRide, history, names, onBreak, onEnd }: LessonFootProps) {
  const { ready } = lesson;
  const me = useWhoSays();
  const [undo, redo] = [history.undo, history.redo].map(taps => taps[taps.length - 1]);
  return (
    <footer className={classes.foot}>
      <Delivery ready={lesson.ready} waits={lesson.waits} />
      <div className={classes.footKeys}>
        <button
          type="button"
          className={classes.key}
          disabled={!undo || !ready}
          onClick={() => undo && lesson.reverse(undo)}
        >
          Undo
          <small>{undo ? `${tapWords(names, undo)}${ofWhom(undo, me)}` : 'nothing here'}</small>
        </button>
        <button
          type="button"
          className={classes.key}
          disabled={!redo || !ready}
          onClick={() => redo && lesson.reverse(redo)}
        >
          Redo
          <small>{redo ? tapWords(names, redo) : 'nothing here'}</small>
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

/** Whose tap it was, where it was not this device's. */
function ofWhom({ acts }: Tap, me: string | null): string {
  const by = acts[0]?.by ?? null;
  return by === null || me === null || by === me ? '' : `, tapped by ${by}`;
}

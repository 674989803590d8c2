import { useSay } from '@/components/Lengths/LengthsProvider';
import { tapWords, type RecordNames } from '@/app/ride/recordWords';
import type { Tap } from '@/core';
import classes from './Record.module.css';

type UndoRedoProps = {
  history: { undo: readonly Tap[]; redo: readonly Tap[] };
  names: RecordNames;
  ready: boolean;
  onReverse: (tap: Tap) => void;
};

/** The last tap about what is shown taken back, or done again; each says what that is. */
export function UndoRedo({ history, names, ready, onReverse }: UndoRedoProps) {
  const say = useSay();
  const key = (label: 'Undo' | 'Redo', taps: readonly Tap[]) => {
    const tap = taps[taps.length - 1];
    return (
      <button type="button" className={classes.key} disabled={!ready || !tap} onClick={() => tap && onReverse(tap)}>
        {label}
        {tap ? say(`: ${tapWords(names, tap)}`) : ''}
      </button>
    );
  };
  return (
    <>
      {key('Undo', history.undo)}
      {key('Redo', history.redo)}
    </>
  );
}

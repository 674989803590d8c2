import { Delivery } from '@/components/sync/Delivery';
import { SyncStarter } from '@/components/sync/SyncStarter';
import type { Waits } from '@/components/sync/waits';
import type { TapRun } from '@/core';
import classes from './Pad.module.css';

type PadFootProps = {
  ready: boolean;
  waits: Waits;
  /** Strides that are being tapped: an undo takes the last of them back. */
  run: TapRun | null;
  /** What an undo and a redo would take back and do again, in words; null where there is nothing. */
  undo: string | null;
  redo: string | null;
  onUndo: () => void;
  onRedo: () => void;
  /** Null where nobody is counted for it. */
  onBreak: (() => void) | null;
  /** How much is marked in the open pass; null where none is open. */
  marked: number | null;
  canRide: boolean;
  onDone: () => void;
  /** Who rides next where pairs ride in turn: one key ends the pass and has that pair ride. Null where nobody else is there. */
  then: { horse: string; onDone: () => void } | null;
};

/** Always under the thumb: undo with what it undoes, redo, a walk break, and the end of the pass. */
export function PadFoot({ ready, waits, run, undo, redo, marked, canRide, then, ...on }: PadFootProps) {
  const isBegun = marked !== null || run !== null;
  return (
    <footer className={classes.foot}>
      <div className={classes.footKeys}>
        <button
          type="button"
          className={classes.key}
          disabled={(!undo && !run) || !ready}
          aria-keyshortcuts="z"
          onClick={on.onUndo}
        >
          Undo
          <small>{run ? `stride ${run.tapsMs.length}` : (undo ?? 'nothing here')}</small>
        </button>
        {redo !== null && (
          <button type="button" className={classes.key} disabled={!ready} onClick={on.onRedo}>
            Redo
            <small>{redo}</small>
          </button>
        )}
        {on.onBreak && (
          <button type="button" className={classes.key} data-early="walk" onClick={() => ready && on.onBreak?.()}>
            Walk break
          </button>
        )}
        {/* A redo takes its room: five keys are too narrow for a glove. The end of the pass stays at the thumb’s edge. */}
        {then && redo === null && (
          <button
            type="button"
            className={classes.main}
            disabled={!canRide}
            data-early="done, next"
            onClick={() => ready && then.onDone()}
          >
            {isBegun ? 'Done,' : 'Clean,'} next {then.horse}
          </button>
        )}
        <button
          type="button"
          className={classes.main}
          disabled={!canRide}
          aria-keyshortcuts="Enter"
          data-early="done"
          onClick={() => ready && on.onDone()}
        >
          {isBegun ? 'Pass done' : 'Clean pass'}
          <small>{isBegun ? `${marked ?? 0} marked` : 'nothing to mark'}</small>
        </button>
      </div>
      <div className={classes.status}>
        <Delivery ready={ready} waits={waits} className={classes.delivery} />
        {/* What waits of other pages: the bar that tells it elsewhere is left away here. */}
        {waits.unsent + waits.refused === 0 && <SyncStarter />}
      </div>
    </footer>
  );
}

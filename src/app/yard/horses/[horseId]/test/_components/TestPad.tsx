'use client';

import pads from '@/app/ride/_components/pad/Pad.module.css';
import { shake } from '@/app/ride/_components/pad/shake';
import { Sheet } from '@/app/ride/_components/pad/Sheet';
import { useHand } from '@/app/ride/_components/pad/useHand';
import { useWakeLock } from '@/app/ride/_components/pad/useWakeLock';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { TEST_PACES, type TestLane } from '@/core';
import { useState, type ReactNode } from 'react';
import { ENTRY_LABELS, FOOT_LABELS } from '../../../../entryLabels';
import type { DraftChange, TestDraft } from '../_state/testDraft';
import { useSpaceBar } from '../_state/useSpaceBar';
import classes from './StrideTestBoard.module.css';

type TestPadProps = {
  horse: string;
  draft: TestDraft;
  change: (step: DraftChange) => void;
  onClose: () => void;
  /** What the test is of, in a sheet: gait, lane, foot. */
  settings: ReactNode;
};

/** A stride test on one screen: it says which gait, pace and lane is counted, and the pass is kept with one tap. */
export function TestPad({ horse, draft, change, onClose, settings }: TestPadProps) {
  const [isOpen, setIsOpen] = useState(false);
  const { format } = useLengths();
  const hand = useHand();
  useWakeLock();
  useSpaceBar(() => change({ kind: 'tap' }));
  const { count, pace, passes, entry, lane, foot } = draft;
  const kept = (of: TestDraft['pace']) => passes.filter(pass => pass.pace === of && !pass.voided);
  return (
    <div className={pads.pad} data-whole-screen data-hand={hand}>
      <header className={pads.stage}>
        <button type="button" className={pads.stageKey} aria-haspopup="dialog" onClick={() => setIsOpen(true)}>
          <h1>
            {ENTRY_LABELS[entry]} <small>{horse}</small>
          </h1>
          <small>
            {laneWords(lane, format)} · {FOOT_LABELS[foot]}
          </small>
        </button>
        <button type="button" className={pads.key} onClick={onClose}>
          Results
        </button>
      </header>
      <div className={pads.strip} role="group" aria-label="Pace">
        {TEST_PACES.map(value => (
          <button
            key={value}
            type="button"
            className={classes.pace}
            aria-pressed={value === pace}
            // What is counted is never relabelled: a pace is chosen before the first tap.
            disabled={count > 0 && value !== pace}
            onClick={() => change({ kind: 'pace', pace: value })}
          >
            {value}
            <small>
              {kept(value)
                .map(pass => pass.count)
                .join(', ') || 'none yet'}
            </small>
          </button>
        ))}
      </div>
      <button
        type="button"
        className={classes.bigPad}
        aria-keyshortcuts="Space"
        onClick={() => {
          shake();
          change({ kind: 'tap' });
        }}
      >
        <strong aria-live="polite">{count}</strong>
        <span>
          Tap each time the {FOOT_LABELS[foot]} lands: {ENTRY_LABELS[entry].toLowerCase()}, {pace},{' '}
          {laneWords(lane, format)}
        </span>
      </button>
      <footer className={pads.foot}>
        <div className={pads.footKeys}>
          <button type="button" className={pads.key} disabled={count === 0} onClick={() => change({ kind: 'untap' })}>
            One back
          </button>
          <button type="button" className={pads.key} onClick={() => change({ kind: 'keep', voided: true })}>
            Void<small>the gait broke</small>
          </button>
          <button
            type="button"
            className={pads.key}
            disabled={draft.undo.length === 0}
            onClick={() => change({ kind: 'undo' })}
          >
            Take back<small>the last pass</small>
          </button>
          <button
            type="button"
            className={pads.main}
            disabled={count === 0}
            onClick={() => change({ kind: 'keep', voided: false })}
          >
            Keep this pass<small>{pace}</small>
          </button>
        </div>
      </footer>
      <Sheet title="The test" opened={isOpen} onClose={() => setIsOpen(false)}>
        {settings}
      </Sheet>
    </div>
  );
}

function laneWords(lane: TestLane, format: (lengthM: number) => string): string {
  return lane.kind === 'taped' ? `a lane of ${format(lane.lengthM)}` : `a lane of ${lane.steps} own steps`;
}

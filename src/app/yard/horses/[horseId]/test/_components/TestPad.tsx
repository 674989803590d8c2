'use client';

import pads from '@/app/ride/_components/pad/Pad.module.css';
import { shake } from '@/app/ride/_components/pad/shake';
import { Sheet } from '@/app/ride/_components/pad/Sheet';
import { useHand } from '@/app/ride/_state/pad/useHand';
import { useWakeLock } from '@/app/ride/_state/pad/useWakeLock';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { TEST_PACES, TEST_QUALITIES, type TestLane } from '@/core';
import { useState, type ReactNode } from 'react';
import { ENTRY_LABELS, FOOT_LABELS } from '../../../../entryLabels';
import type { DraftChange, TestDraft } from '../_state/testDraft';
import { useSpaceBar } from '../_state/useSpaceBar';
import classes from './StrideTestBoard.module.css';

type TestPadProps = {
  /** Whose strides are counted now. */
  horse: string;
  /** The horses on this sheet, where there are two; the other one is a tap away. */
  turns: readonly { horseId: string | null; name: string }[];
  draft: TestDraft;
  change: (step: DraftChange) => void;
  onClose: () => void;
  /** What the test is of, in a sheet: gait, lane, foot. */
  settings: ReactNode;
};

/** A stride test on one screen: it says which gait, pace and lane is counted, and the pass is kept with one tap. */
export function TestPad({ horse, turns, draft, change, onClose, settings }: TestPadProps) {
  const [isOpen, setIsOpen] = useState(false);
  const { format, say } = useLengths();
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
            {say(ENTRY_LABELS[entry])} <small>{horse}</small>
          </h1>
          <small>
            {laneWords(lane, format)} · {FOOT_LABELS[foot]}
          </small>
        </button>
        <button type="button" className={pads.key} onClick={onClose}>
          Results
        </button>
      </header>
      {turns.length > 1 && (
        <div className={`${pads.strip} ${classes.turns}`} role="group" aria-label="Horses in turn">
          {turns.map(turn => (
            <button
              key={turn.horseId ?? 'own'}
              type="button"
              className={classes.pace}
              aria-pressed={turn.horseId === draft.horseId}
              disabled={count > 0 && turn.horseId !== draft.horseId}
              onClick={() => change({ kind: 'set', changes: { horseId: turn.horseId } })}
            >
              {turn.name}
            </button>
          ))}
        </div>
      )}
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
          Tap each time the {FOOT_LABELS[foot]} lands: {say(ENTRY_LABELS[entry]).toLowerCase()}, {pace},{' '}
          {laneWords(lane, format)}
        </span>
      </button>
      {count === 0 && passes.length > 0 && <HowItWent draft={draft} change={change} />}
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

/** How the pass that was kept last went, until the next one is counted. */
function HowItWent({ draft: { passes }, change }: Pick<TestPadProps, 'draft' | 'change'>) {
  const index = passes.length - 1;
  const last = passes[index]!;
  if (last.voided) return null;
  return (
    <section className={classes.went} aria-label="How the last pass went">
      {TEST_QUALITIES.map(quality => (
        <div key={quality} role="group" aria-label={`${quality} of the last pass`}>
          <span>{quality}</span>
          {[1, 2, 3, 4, 5].map(score => (
            <button
              key={score}
              type="button"
              className={pads.key}
              aria-label={`${quality} ${score}`}
              aria-pressed={last[quality] === score}
              onClick={() =>
                change({ kind: 'judge', index, quality: { [quality]: last[quality] === score ? null : score } })
              }
            >
              {score}
            </button>
          ))}
        </div>
      ))}
    </section>
  );
}

function laneWords(lane: TestLane, format: (lengthM: number) => string): string {
  return lane.kind === 'taped' ? `a lane of ${format(lane.lengthM)}` : `a lane of ${lane.steps} own steps`;
}

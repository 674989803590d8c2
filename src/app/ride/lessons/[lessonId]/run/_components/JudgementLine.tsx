'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { placeName, type AskedRide } from '@/app/ride/askedRide';
import classes from '@/app/ride/_components/pad/Pad.module.css';
import type { JudgementLine as Line } from '../judgementLine';
import type { RunStage } from '../runStage';
import { legEnds, rowEnds, useAdjust } from '../_state/useAdjust';

type JudgementLineProps = {
  line: Line;
  stage: RunStage;
  ride: AskedRide;
  /** Null at the first stage. */
  onStageDown: (() => void) | null;
  onNextStage: () => void;
  onLine: (from: number, to: number) => void;
  onEnd: () => void;
  onClose: () => void;
};

/** What should happen now: a line, its reason, and one key that does it. */
export function JudgementLine({ line, stage, ride, onClose, ...on }: JudgementLineProps) {
  const { say, formatChange } = useLengths();
  const { adjust, busy, problem } = useAdjust(stage.layoutId);
  const { words, reason, answer } = line;
  const track = ride.track;
  const key = ((): { label: string; onTap: () => void } | null => {
    switch (answer?.kind) {
      case 'distance': {
        const leg = track?.legs[answer.leg];
        if (!track || !leg) return null;
        const ends = legEnds(track.planned, answer.leg);
        return { label: `Set ${formatChange(answer.byM)}`, onTap: () => adjust([ends], answer.byM) };
      }
      case 'row':
        return track && track.legs.length > 0
          ? { label: `All gaps ${formatChange(answer.byM)}`, onTap: () => adjust(rowEnds(track.planned), answer.byM) }
          : null;
      case 'stage down':
        return on.onStageDown && { label: 'A stage down', onTap: on.onStageDown };
      case 'only this line':
        return {
          label: `Only ${placeName(ride, answer.from)} to ${placeName(ride, answer.to)}`,
          onTap: () => on.onLine(answer.from, answer.to),
        };
      case 'next stage':
        return { label: 'Next stage', onTap: on.onNextStage };
      case 'end':
        return { label: 'End the lesson', onTap: on.onEnd };
      default:
        return null;
    }
  })();
  return (
    <div className={classes.word} role="status" aria-label="What now">
      <p>
        <strong>{say(words)}</strong> <small>{say(reason)}</small>
        {problem && <em>{problem}</em>}
      </p>
      {key && (
        <button type="button" className={classes.wordKey} disabled={busy} onClick={key.onTap}>
          {key.label}
        </button>
      )}
      <button type="button" className={classes.close} aria-label="Not now" onClick={onClose}>
        ×
      </button>
    </div>
  );
}

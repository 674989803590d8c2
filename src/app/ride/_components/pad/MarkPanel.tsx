'use client';

import type { PassMark, TappedMark, TrackGait } from '@/core';
import { isOfGaited, type AskedRide } from '@/app/ride/askedRide';
import { useRef } from 'react';
import { MoreMarks } from './MoreMarks';
import { PadKeys } from './PadKeys';
import { PadSand } from './PadSand';
import type { RideSand } from './rideSand';
import { usePad } from '../../_state/pad/usePad';
import classes from './Pad.module.css';

type MarkPanelProps = {
  ride: AskedRide;
  sand: RideSand | null;
  marks: readonly PassMark[];
  passId: string;
  gait: TrackGait;
  backwards: boolean;
  faults: readonly string[];
  riderMarks: readonly string[];
  ready: boolean;
  onMark: (said: TappedMark) => void;
  onMarks: (said: readonly TappedMark[]) => void;
  onUnmark: (markId: string) => void;
};

/** The pad of a pass that lies back, with all that can be marked of it below. */
export function MarkPanel(props: MarkPanelProps) {
  const { ride, sand, marks, passId, gait, ready, onMark } = props;
  const isGaited = isOfGaited(ride);
  const more = useRef<HTMLDivElement>(null);
  const pad = usePad({
    ...{ steps: sand?.steps ?? [], track: ride.track, marks, passKey: passId, ready },
    ...{ onMarks: props.onMarks, onUnmark: props.onUnmark },
  });
  return (
    <div className={classes.panel}>
      {sand && <PadSand sand={sand} pad={pad} onMark={onMark} onSwipe={null} />}
      {sand && (
        <PadKeys
          {...{ pad, gait, isGaited, backwards: props.backwards, listens: false }}
          onMore={() => more.current?.scrollIntoView({ block: 'nearest' })}
        >
          {pad.run && (
            <div className={classes.row}>
              <button
                type="button"
                className={classes.main}
                onClick={() => {
                  props.onMarks(pad.pending());
                  pad.clear();
                }}
              >
                Keep the count
              </button>
            </div>
          )}
        </PadKeys>
      )}
      <div ref={more}>
        <MoreMarks {...{ pad, gait, isGaited, ready, onMark, faults: props.faults, riderMarks: props.riderMarks }} />
      </div>
    </div>
  );
}

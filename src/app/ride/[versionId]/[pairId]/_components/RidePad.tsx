'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { askedRide, isOfGaited } from '@/app/ride/askedRide';
import { Doubt, doubtfulCount } from '@/app/ride/_components/pad/Doubt';
import pads from '@/app/ride/_components/pad/Pad.module.css';
import { PadFoot } from '@/app/ride/_components/pad/PadFoot';
import { PadKeys } from '@/app/ride/_components/pad/PadKeys';
import { PadSand } from '@/app/ride/_components/pad/PadSand';
import { otherWay, ReinKey } from '@/app/ride/_components/pad/ReinKey';
import { rideSand } from '@/app/ride/_components/pad/rideSand';
import { useEarlyTaps } from '@/app/ride/_state/pad/useEarlyTaps';
import { useFootLetters } from '@/app/ride/_state/pad/useFootLetters';
import { useHand } from '@/app/ride/_state/pad/useHand';
import { usePad } from '@/app/ride/_state/pad/usePad';
import { useWakeLock } from '@/app/ride/_state/pad/useWakeLock';
import { tapWords } from '@/app/ride/recordWords';
import type { Tap } from '@/core';
import { useState } from 'react';
import { useRide } from '../_state/useRide';
import { CARE, type RidePadProps, type RideSheet } from './ridePadProps';
import { RideSheets } from './RideSheets';

/** One pair over one thing, on the pad of a lesson: pass by pass, on one screen. */
export function RidePad(props: RidePadProps) {
  const { pair, versionId, layoutName, stage, question, ways, first, putRight } = props;
  const ride = useRide({ pairId: pair.id, layoutVersionId: versionId, stage, question, ways, first });
  const [opened, setOpened] = useState<RideSheet>(null);
  const [careRead, setCareRead] = useState(false);
  const [sure, setSure] = useState<ReadonlySet<string>>(new Set());
  const hand = useHand();
  useWakeLock();
  const say = useSay();
  const early = useEarlyTaps(ride.ready);
  const sand = rideSand(putRight.layout, question, ride.way.direction);
  const asked = askedRide(putRight.layout, question, putRight.horse);
  const marks = ride.open?.marks ?? [];
  const pad = usePad({
    ...{ steps: sand?.steps ?? [], track: asked?.track ?? null, marks, passKey: `${question.id} ${ride.round}` },
    ...{ onMarks: said => ride.mark(...said), onUnmark: ride.unmark, ready: ride.ready },
  });
  const [undo, redo] = [ride.history.undo, ride.history.redo].map(taps => taps[taps.length - 1]);
  const words = (tap: Tap) =>
    say(tapWords({ log: ride.log, rideOf: () => asked, pairOf: () => '', timeOf: String }, tap));
  const done = () => {
    ride.endPass(pad.pending());
    pad.clear();
  };
  const undoLast = () => (pad.run ? pad.untap() : undo && ride.reverse(undo));
  useFootLetters(opened === null, {
    onDone: done,
    onUndo: undoLast,
    onRein: () => ride.steer(otherWay(ways, ride.way)),
  });
  const doubt = asked?.track && doubtfulCount(asked.track, marks, sure);
  return (
    <div className={pads.pad} data-whole-screen data-hand={hand} {...early}>
      <header className={pads.stage}>
        <button type="button" className={pads.stageKey} aria-haspopup="dialog" onClick={() => setOpened('ride')}>
          <h1>
            {pair.horseName} <small>with {pair.riderName}</small>
          </h1>
          <small>{say([layoutName, asked?.words].filter(Boolean).join(' · '))}</small>
        </button>
        <ReinKey ways={ways} way={ride.way} ready={ride.ready} onSteer={ride.steer} />
      </header>
      <div className={pads.words}>
        {doubt && asked?.track ? (
          <Doubt
            {...{ track: asked.track, marks, sure, onMark: said => ride.mark(said) }}
            onSure={id => setSure(new Set([...sure, id]))}
          />
        ) : (
          !careRead && (
            <div className={pads.word} role="note">
              <p>{CARE}</p>
              <button type="button" className={pads.close} aria-label="Read" onClick={() => setCareRead(true)}>
                ×
              </button>
            </div>
          )
        )}
      </div>
      {sand && <PadSand sand={sand} pad={pad} onMark={said => ride.mark(said)} onSwipe={null} />}
      <PadKeys
        pad={pad}
        gait={question.gait}
        isGaited={isOfGaited(asked)}
        backwards={ride.way.direction === 'other-way'}
        onMore={() => setOpened('more')}
        listens={opened === null}
      />
      <PadFoot
        then={null}
        {...{ ready: ride.ready, waits: ride.waits, run: pad.run, canRide: true, onBreak: null }}
        undo={undo ? words(undo) : null}
        redo={redo ? words(redo) : null}
        onUndo={undoLast}
        onRedo={() => redo && ride.reverse(redo)}
        marked={ride.open ? ride.open.marks.length : null}
        onDone={done}
      />
      <RideSheets {...props} {...{ ride, asked, pad, opened }} onClose={() => setOpened(null)} />
    </div>
  );
}

'use client';

import { FitMark } from '@/components/FitMark/FitMark';
import { useLengths, useSay } from '@/components/Lengths/LengthsProvider';
import { askedRide, isOfGaited, type AskedRide } from '@/app/ride/askedRide';
import { Doubt, doubtfulCount } from '@/app/ride/_components/pad/Doubt';
import { MoreMarks } from '@/app/ride/_components/pad/MoreMarks';
import pads from '@/app/ride/_components/pad/Pad.module.css';
import { PadFoot } from '@/app/ride/_components/pad/PadFoot';
import { PadKeys } from '@/app/ride/_components/pad/PadKeys';
import { PadSand } from '@/app/ride/_components/pad/PadSand';
import { otherWay, ReinKey } from '@/app/ride/_components/pad/ReinKey';
import { rideSand } from '@/app/ride/_components/pad/rideSand';
import { Sheet } from '@/app/ride/_components/pad/Sheet';
import { useEarlyTaps } from '@/app/ride/_components/pad/useEarlyTaps';
import { useFootLetters } from '@/app/ride/_components/pad/useFootLetters';
import { useHand } from '@/app/ride/_components/pad/useHand';
import { usePad } from '@/app/ride/_components/pad/usePad';
import { useWakeLock } from '@/app/ride/_components/pad/useWakeLock';
import { tapWords } from '@/app/ride/recordWords';
import { DISCLAIMER, gaitWord, type Question, type RideWay, type RowFit, type Tap, type TrackGait } from '@/core';
import type { Pair } from '@/data/queries/pairs';
import Link from 'next/link';
import { useState } from 'react';
import { useRide, type Ride, type RideSetting } from '../useRide';
import { Steering } from '@/app/ride/_components/Steering';
import { PassList } from './PassList';
import { RidePutRight, type PutRight } from './RidePutRight';
import classes from './RidePad.module.css';

type RidePadProps = {
  pair: Pair;
  versionId: string;
  layoutName: string;
  gait: TrackGait | null;
  /** What the track goes over; 0 on the flat. */
  poles: number;
  /** From pole to pole, or null where it is no even row of poles. */
  spacingM: number | null;
  stage: string;
  question: Question;
  /** Everything that can be ridden over this layout, by its place in the address. */
  asks: readonly string[];
  askedIndex: number;
  ways: readonly RideWay[];
  /** What the row asks of this pair's horse, where it is a row. */
  fit: RowFit | null;
  /** The plan has changed since this ride began. */
  planChanged: boolean;
  /** The yard’s own words. */
  faults: readonly string[];
  riderMarks: readonly string[];
  first: RideSetting['first'];
  /** What a pass is put right with. */
  putRight: PutRight;
};

const CARE =
  'A pole that a horse keeps hitting comes down or out. Stop at signs of pain, tiredness or unevenness, and ask a vet.';

/** One pair over one thing, on the pad of a lesson: pass by pass, on one screen. */
export function RidePad(props: RidePadProps) {
  const { pair, versionId, layoutName, stage, question, ways, first, putRight } = props;
  const ride = useRide({ pairId: pair.id, layoutVersionId: versionId, stage, question, ways, first });
  const [opened, setOpened] = useState<'ride' | 'more' | null>(null);
  const [careRead, setCareRead] = useState(false);
  const [sure, setSure] = useState<ReadonlySet<string>>(new Set());
  const hand = useHand();
  useWakeLock();
  const say = useSay();
  useEarlyTaps(ride.ready);
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
    <div className={pads.pad} data-whole-screen data-hand={hand}>
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
      <Sheet title="More to mark" opened={opened === 'more'} onClose={() => setOpened(null)}>
        <MoreMarks
          {...{ pad, faults: props.faults, riderMarks: props.riderMarks, ready: ride.ready, gait: question.gait }}
          isGaited={isOfGaited(asked)}
          onMark={said => ride.mark(said)}
        />
      </Sheet>
      <Sheet title="This ride" opened={opened === 'ride'} onClose={() => setOpened(null)}>
        <RideToday {...props} ride={ride} asked={asked} />
      </Sheet>
    </div>
  );
}

/** What is ridden and how, what was ridden so far, and the way out. */
function RideToday(props: RidePadProps & { ride: Ride; asked: AskedRide | null }) {
  const { ride, ways, pair, planChanged, putRight } = props;
  const [putRightId, setPutRightId] = useState<string | null>(null);
  return (
    <div className={classes.today}>
      <Fit {...props} />
      {planChanged && (
        <p className={classes.notice}>
          The plan has changed since this ride began. These marks stay with the row as it was.{' '}
          <Link href="/ride">Ride it as it is now</Link>
        </p>
      )}
      <Asked {...props} />
      <Steering ways={ways} way={ride.way} homeRad={null} headingRad={null} onSteer={ride.steer} />
      <PassList ride={ride} asked={props.asked} onPutRight={setPutRightId} />
      {putRightId !== null && (
        <RidePutRight {...{ ride, passId: putRightId, pair }} {...putRight} onClose={() => setPutRightId(null)} />
      )}
      <p className={classes.cautions}>
        {CARE} {DISCLAIMER}
      </p>
      <p>
        <Link href="/ride">Leave the pad</Link>
      </p>
    </div>
  );
}

/** What is ridden, where the layout has more than one thing. */
function Asked({ versionId, pair, asks, askedIndex }: RidePadProps) {
  if (asks.length < 2) return null;
  return (
    <nav aria-label="What is ridden" className={classes.asks}>
      {asks.map((words, index) => (
        <Link
          key={words + String(index)}
          href={`/ride/${versionId}/${pair.id}?ask=${index + 1}`}
          replace
          aria-current={index === askedIndex ? 'true' : undefined}
          className={classes.ask}
        >
          {words}
        </Link>
      ))}
    </nav>
  );
}

function Fit({ pair, gait, poles, spacingM, fit }: RidePadProps) {
  const { format, say } = useLengths();
  if (spacingM === null || fit === null)
    return <p>{poles === 0 ? 'On the flat' : say(`Over ${poles}, in ${gait === null ? '' : gaitWord(gait)}`)}</p>;
  const stepName = gait === 'canter' ? 'stride' : 'step';
  return (
    <p>
      {poles} {gait} {poles === 1 ? 'pole' : 'poles'}
      {poles > 1 && (
        <>
          , {format(spacingM)} apart: <FitMark word={fit.word} /> for {pair.horseName}, whose own {stepName} is{' '}
          {format(fit.normalM)}
        </>
      )}
    </p>
  );
}

'use client';

import { Delivery } from '@/components/sync/Delivery';
import { FitMark } from '@/components/FitMark/FitMark';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { DISCLAIMER, type Question, type RideWay, type RowFit, type TrackGait } from '@/core';
import type { Pair } from '@/data/queries/pairs';
import Link from 'next/link';
import { useState } from 'react';
import { useRide, type Ride, type RideSetting } from '../useRide';
import { Steering } from '@/app/ride/_components/Steering';
import { FootfallPad } from './FootfallPad';
import { NotePad } from './NotePad';
import { PassList } from './PassList';
import { RidePutRight, type PutRight } from './RidePutRight';
import type { Tap } from '@/core';
import { tapWords } from '@/app/ride/recordWords';
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
  first: RideSetting['first'];
  /** What a pass is put right with. */
  putRight: PutRight;
};

/** Pass by pass, one tap each, with one undo that always works. Made for a phone and gloves. */
export function RidePad(props: RidePadProps) {
  const { pair, versionId, layoutName, poles, spacingM, stage, question, ways, planChanged, first } = props;
  const ride = useRide({ pairId: pair.id, layoutVersionId: versionId, stage, question, ways, first });
  const [putRightId, setPutRightId] = useState<string | null>(null);
  return (
    <div className={classes.pad}>
      <header className={classes.head}>
        <h1>
          {pair.horseName} <span>with {pair.riderName}</span>
        </h1>
        <p>{layoutName}</p>
        <Fit {...props} />
        {planChanged && (
          <p className={classes.notice}>
            The plan has changed since this ride began. These marks stay with the row as it was.{' '}
            <Link href="/ride">Ride it as it is now</Link>
          </p>
        )}
      </header>
      <Asked {...props} />
      <Steering ways={ways} way={ride.way} homeRad={null} headingRad={null} onSteer={ride.steer} />
      {spacingM !== null && <FootfallPad ride={ride} gaps={poles - 1} />}
      {poles > 0 && <PolesHit ride={ride} poles={poles} isRow={spacingM !== null} />}
      <NotePad onNote={words => ride.mark({ kind: 'note', words })} disabled={!ride.ready} />
      <PassList ride={ride} onPutRight={setPutRightId} />
      {putRightId !== null && (
        <RidePutRight {...{ ride, passId: putRightId, pair }} {...props.putRight} onClose={() => setPutRightId(null)} />
      )}
      <p className={classes.cautions}>
        A pole that a horse keeps hitting comes down or out. Stop at signs of pain, tiredness or unevenness, and ask a
        vet. {DISCLAIMER}
      </p>
      <Foot ride={ride} />
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
  const { format } = useLengths();
  if (spacingM === null || fit === null)
    return <p>{poles === 0 ? 'On the flat' : `Over ${poles}, in ${(gait ?? '').replace('-', ' ')}`}</p>;
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

function PolesHit({ ride, poles, isRow }: { ride: Ride; poles: number; isRow: boolean }) {
  const one = isRow ? 'Pole' : 'Number';
  return (
    <section aria-label={isRow ? 'Poles hit' : 'Hit'}>
      <h2>{isRow ? 'Poles hit' : 'Hit'}</h2>
      <div className={classes.hits}>
        {Array.from({ length: poles }, (_, index) => index + 1).map(pole => {
          const hit = ride.open?.marks.findLast(mark => mark.kind === 'hit' && mark.place === pole);
          return (
            <button
              key={pole}
              type="button"
              className={classes.key}
              aria-pressed={hit !== undefined}
              aria-label={`${one} ${pole} hit`}
              disabled={!ride.ready}
              onClick={() => (ride.open && hit ? ride.unmark(hit.id) : ride.mark({ kind: 'hit', place: pole }))}
            >
              {pole}
            </button>
          );
        })}
      </div>
    </section>
  );
}

function Foot({ ride }: { ride: Ride }) {
  const [undo, redo] = [ride.history.undo, ride.history.redo].map(taps => taps[taps.length - 1]);
  const words = (tap: Tap) => tapWords({ log: ride.log, rideOf: () => null, pairOf: () => '', timeOf: String }, tap);
  return (
    <footer className={classes.foot}>
      <Delivery ready={ride.ready} waits={ride.waits} className={classes.delivery} />
      <div className={classes.footKeys}>
        <button
          type="button"
          className={classes.key}
          disabled={!undo || !ride.ready}
          onClick={() => undo && ride.reverse(undo)}
        >
          Undo
          <small>{undo ? words(undo) : 'nothing yet'}</small>
        </button>
        <button
          type="button"
          className={classes.key}
          disabled={!redo || !ride.ready}
          onClick={() => redo && ride.reverse(redo)}
        >
          Redo
          <small>{redo ? words(redo) : 'nothing yet'}</small>
        </button>
        <button type="button" className={classes.main} disabled={!ride.ready} onClick={ride.endPass}>
          {ride.open ? 'Pass done' : 'Pass, nothing to mark'}
          <small>{ride.open ? `${ride.open.marks.length} marked` : 'counts as ridden'}</small>
        </button>
      </div>
    </footer>
  );
}

'use client';

import { FitMark } from '@/components/FitMark/FitMark';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { isOfGaited, type AskedRide } from '@/app/ride/askedRide';
import { MoreOver } from '@/app/ride/_components/pad/MoreOver';
import { Sheet } from '@/app/ride/_components/pad/Sheet';
import type { Pad } from '@/app/ride/_state/pad/usePad';
import { Steering } from '@/app/ride/_components/Steering';
import { DISCLAIMER, gaitWord } from '@/core';
import Link from 'next/link';
import { useState } from 'react';
import type { Ride } from '../_state/useRide';
import { PassList } from './PassList';
import { CARE, type RidePadProps, type RideSheet } from './ridePadProps';
import { RidePutRight } from './RidePutRight';
import classes from './RidePad.module.css';

type RideSheetsProps = RidePadProps & {
  ride: Ride;
  asked: AskedRide | null;
  pad: Pad;
  opened: RideSheet;
  onClose: () => void;
};

/** What is seldom marked, and what is asked of the ride. */
export function RideSheets({ pad, opened, onClose, ...props }: RideSheetsProps) {
  const { ride, asked, question, faults, riderMarks } = props;
  return (
    <>
      <Sheet title="More to mark" opened={opened === 'more'} onClose={onClose}>
        <MoreOver
          {...{ pad, faults, riderMarks, ready: ride.ready, gait: question.gait }}
          isGaited={isOfGaited(asked)}
          onMark={said => ride.mark(said)}
        />
      </Sheet>
      <Sheet title="This ride" opened={opened === 'ride'} onClose={onClose}>
        <RideToday {...props} />
      </Sheet>
    </>
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

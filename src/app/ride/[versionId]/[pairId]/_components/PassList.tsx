'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { standingMarks, type PassRecord } from '@/core';
import type { AskedRide } from '@/app/ride/askedRide';
import { markOfPassWords } from '@/app/ride/recordWords';
import type { Ride } from '../_state/useRide';
import classes from './RidePad.module.css';

type PassListProps = { ride: Ride; asked: AskedRide | null; onPutRight: (passId: string) => void };

/** The passes so far, newest first; a pass can be taken up again. */
export function PassList({ ride, asked, onPutRight }: PassListProps) {
  const say = useSay();
  return (
    <section aria-label="Passes">
      <h2>
        {ride.passes.length} {ride.passes.length === 1 ? 'pass' : 'passes'} so far
      </h2>
      <ol className={classes.passes} reversed start={ride.passes.length}>
        {[...ride.passes].reverse().map(pass => (
          <li key={pass.id} aria-current={pass.id === ride.open?.id}>
            <span>
              <strong>{pass.rein === null ? 'Ridden' : `${pass.rein} rein`}</strong>
              {directionWords(pass.direction)}: {say(passWords(pass, asked))}
            </span>
            {pass.id !== ride.open?.id && (
              <button type="button" className={classes.small} onClick={() => ride.reopen(pass.id)}>
                Go on with it
              </button>
            )}
            <button type="button" className={classes.small} onClick={() => onPutRight(pass.id)}>
              Put right
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

function directionWords(direction: PassRecord['direction']): string {
  return { 'as-drawn': '', 'other-way': ', other way', mirrored: ', mirror image' }[direction];
}

function passWords({ marks }: PassRecord, asked: AskedRide | null): string {
  const words = standingMarks(marks).map(mark => markOfPassWords(mark, asked));
  return words.length > 0 ? words.join(' · ') : 'nothing to mark';
}

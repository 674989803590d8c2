'use client';

import { meanFootfall, passFootfalls, polesHit, type PassRecord } from '@/core';
import type { Ride } from '../useRide';
import { fractionWords } from '@/core';
import classes from './RidePad.module.css';

/** The passes so far, newest first; a pass can be taken up again. */
export function PassList({ ride, onPutRight }: { ride: Ride; onPutRight: (passId: string) => void }) {
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
              {directionWords(pass.direction)}: {passWords(pass)}
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

function passWords(pass: PassRecord): string {
  const mean = meanFootfall(passFootfalls(pass));
  const hit = polesHit(pass);
  const notes = pass.marks.flatMap(mark => (mark.kind === 'note' ? [`“${mark.words}”`] : []));
  const words = [
    ...(mean === null ? [] : [`foot at ${fractionWords(mean)}`]),
    ...(hit.length > 0 ? [`hit ${hit.join(', ')}`] : []),
    ...notes,
  ];
  return words.length > 0 ? words.join(' · ') : 'nothing to mark';
}

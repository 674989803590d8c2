import { markWords, standingMarks, type PassRecord } from '@/core';
import { placeName, type AskedRide } from '@/app/ride/askedRide';
import classes from './RunLesson.module.css';

type PassesSoFarProps = {
  passes: readonly PassRecord[];
  /** What a pass was over; null until it is known. */
  rideOf: (pass: PassRecord) => AskedRide | null;
};

/** What the pair rode at this stage, pass by pass, each in the words of what it was asked. */
export function PassesSoFar({ passes, rideOf }: PassesSoFarProps) {
  if (passes.length === 0) return null;
  return (
    <section aria-label="Ridden at this stage">
      <h2>Ridden at this stage</h2>
      <ol className={classes.passes}>
        {passes.map(pass => {
          const ride = rideOf(pass);
          const words = standingMarks(pass.marks).map(mark =>
            markWords(mark, place => placeName(ride, place), ride?.inWords ?? String),
          );
          return (
            <li key={pass.id}>
              {ride?.words ?? pass.stage}
              {pass.rein === null ? '' : `, ${pass.rein} rein`}:{' '}
              {words.length === 0 ? 'nothing to mark' : words.join(', ')}
            </li>
          );
        })}
      </ol>
    </section>
  );
}

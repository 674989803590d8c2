import { useSay } from '@/components/Lengths/LengthsProvider';
import type { PassRecord } from '@/core';
import { markOfPassWords } from '@/app/ride/recordWords';
import type { AskedRide } from '@/app/ride/askedRide';
import { RiddenPictures } from '@/components/pictures/RiddenPictures';
import { riddenShown, standingMarks } from '@/core';
import Link from 'next/link';
import classes from './RunLesson.module.css';

type PassesSoFarProps = {
  lessonId: string;
  passes: readonly PassRecord[];
  /** What a pass was over; null until it is known. */
  rideOf: (pass: PassRecord) => AskedRide | null;
};

/** What the pair rode at this stage, pass by pass, each in the words of what it was asked; a tap puts it right. */
export function PassesSoFar({ lessonId, passes, rideOf }: PassesSoFarProps) {
  const say = useSay();
  if (passes.length === 0) return null;
  return (
    <section aria-label="Ridden at this stage">
      <h2>Ridden at this stage</h2>
      <RiddenPictures shown={riddenShown(passes, pass => rideOf(pass)?.track?.legs ?? [])} />
      <ol className={classes.passes}>
        {passes.map(pass => {
          const ride = rideOf(pass);
          const words = standingMarks(pass.marks).map(mark => markOfPassWords(mark, ride));
          return (
            <li key={pass.id}>
              {say(ride?.words ?? pass.stage)}
              {pass.rein === null ? '' : `, ${pass.rein} rein`}:{' '}
              {words.length === 0 ? 'nothing to mark' : say(words.join(', '))}{' '}
              <Link href={`/ride/lessons/${lessonId}/record?pass=${pass.id}`} className={classes.putRight}>
                Put right
              </Link>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

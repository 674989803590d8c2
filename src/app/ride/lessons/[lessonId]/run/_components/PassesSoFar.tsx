import { markWords, type PassRecord } from '@/core';
import classes from './RunLesson.module.css';

type PassesSoFarProps = { passes: readonly PassRecord[]; nameOf: (place: number) => string };

/** What the pair rode at this stage, pass by pass. */
export function PassesSoFar({ passes, nameOf }: PassesSoFarProps) {
  if (passes.length === 0) return null;
  return (
    <section aria-label="Ridden at this stage">
      <h2>Ridden at this stage</h2>
      <ol className={classes.passes}>
        {passes.map(pass => (
          <li key={pass.id}>
            {pass.rein} rein:{' '}
            {pass.marks.length === 0 ? 'nothing to mark' : pass.marks.map(one => markWords(one, nameOf)).join(', ')}
          </li>
        ))}
      </ol>
    </section>
  );
}

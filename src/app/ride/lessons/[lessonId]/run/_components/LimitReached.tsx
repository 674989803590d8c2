'use client';

import classes from '@/app/ride/_components/pad/Pad.module.css';
import { limitKind, saySeen, useSeen } from '../_state/useSeen';

type LimitReachedProps = { lessonId: string; pairId: string; horse: string; warnings: readonly string[] };

/** A limit of a pair that was reached: said once, large; from then on its mark in the strip says so. */
export function LimitReached({ lessonId, pairId, horse, warnings }: LimitReachedProps) {
  const seen = useSeen(lessonId);
  const fresh = seen === null ? [] : warnings.filter(warning => !seen.includes(limitKind(pairId, warning)));
  if (fresh.length === 0) return null;
  return (
    <div className={classes.limit} role="alert">
      <p>
        <strong>Take care of {horse}</strong>
      </p>
      <p>{fresh.join(' ')}</p>
      <button
        type="button"
        className={classes.key}
        onClick={() =>
          saySeen(
            lessonId,
            fresh.map(warning => limitKind(pairId, warning)),
          )
        }
      >
        Seen
      </button>
    </div>
  );
}

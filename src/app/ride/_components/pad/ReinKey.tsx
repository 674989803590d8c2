import { turnWords } from '@/app/ride/wayWords';
import { nearestWay, otherRein, type RideWay } from '@/core';
import classes from './Pad.module.css';

type ReinKeyProps = { ways: readonly RideWay[]; way: RideWay; ready: boolean; onSteer: (way: RideWay) => void };

const ARROWS = { left: '↶', right: '↷' } as const;

/** The other rein, or, where there is none, the other way round; the same where there is one way only. */
export function otherWay(ways: readonly RideWay[], way: RideWay): RideWay {
  if (way.rein === null) return ways.find(({ direction }) => direction !== way.direction) ?? way;
  return nearestWay(ways, { rein: otherRein(way.rein), direction: way.direction });
}

/** The rein that is ridden, with its arrow: a tap is the other rein, or, where there is none, the other way round. */
export function ReinKey({ ways, way, ready, onSteer }: ReinKeyProps) {
  if (ways.length < 2) return null;
  const { rein } = way;
  return (
    <button
      type="button"
      className={classes.key}
      aria-keyshortcuts="c"
      aria-label={rein === null ? turnWords(way) || 'as drawn' : `${rein} rein`}
      data-early="rein"
      onClick={() => ready && onSteer(otherWay(ways, way))}
    >
      {rein === null ? '⇄' : ARROWS[rein]}
      <small>{rein ?? (way.direction === 'as-drawn' ? 'as drawn' : 'back')}</small>
    </button>
  );
}

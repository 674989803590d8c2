import { turnWords } from '@/app/ride/wayWords';
import { hasReins, nearestWay, type Rein, type RideWay } from '@/core';
import { Keys } from './Keys';

type SteeringProps = {
  /** The ways that there are. */
  ways: readonly RideWay[];
  way: RideWay;
  /** The way home, and the way the first leg goes as drawn, radians; null where nobody has said. */
  homeRad: number | null;
  headingRad: number | null;
  onSteer: (way: RideWay) => void;
};

/**
 * Which rein, and which way. On a straight line they are two things; on a track that turns the rein says the way; a track
 * that changes the rein has none.
 */
export function Steering({ ways, way, homeRad, headingRad, onSteer }: SteeringProps) {
  const reins = (['left', 'right'] as const).filter(rein => ways.some(one => one.rein === rein));
  const onRein = ways.filter(({ rein }) => rein === way.rein);
  const toRein = (rein: Rein) => nearestWay(ways, { rein, direction: way.direction });
  const home = (one: RideWay) => homeWords(one, homeRad, headingRad);
  const turns = hasReins(ways) && onRein.length === 1 && ways.some(({ direction }) => direction !== 'as-drawn');
  return (
    <>
      {reins.length > 0 && (
        <Keys
          label="Rein"
          value={way.rein}
          options={reins.map(rein => {
            const turned = turns ? turnWords(toRein(rein)) : '';
            return { value: rein, label: `${ARROWS[rein]} ${rein} rein${turned && `, ${turned}`}` };
          })}
          onChoose={rein => onSteer(toRein(rein))}
        />
      )}
      {onRein.length > 1 && (
        <Keys
          label="Direction"
          value={way.direction}
          options={onRein.map(one => ({
            value: one.direction,
            label: `${one.direction === 'as-drawn' ? 'As drawn' : 'Other way'}${home(one)}`,
          }))}
          onChoose={direction => onSteer(onRein.find(one => one.direction === direction)!)}
        />
      )}
    </>
  );
}

const ARROWS = { left: '↶', right: '↷' } as const;

function homeWords({ direction }: RideWay, homeRad: number | null, headingRad: number | null): string {
  if (homeRad === null || headingRad === null || direction === 'mirrored') return '';
  const drawnHome = Math.cos(headingRad - homeRad) >= 0;
  return drawnHome === (direction === 'as-drawn') ? ', towards home' : ', from home';
}

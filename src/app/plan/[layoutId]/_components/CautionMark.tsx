import type { PaperPoint } from '@/components/Sand/sandView';
import type { Caution } from '@/core';
import type { CautionSpot } from '../_state/cautionSpots';
import classes from './PlanSand.module.css';

type CautionMarkProps = {
  spot: CautionSpot;
  cautions: readonly Caution[];
  at: PaperPoint;
  sizeM: number;
  onPress: () => void;
};

/** Something to take care of, where it is: pressed, it is read beside the sand. */
export function CautionMark({ spot, cautions, at, sizeM, onPress }: CautionMarkProps) {
  const half = sizeM / 2;
  const words = spot.cautions.map(index => cautions[index]?.text ?? '').join(' ');
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`Caution: ${words}`}
      className={classes.caution}
      data-caution={spot.level}
      onClick={onPress}
      onKeyDown={event => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        event.stopPropagation();
        onPress();
      }}
    >
      <title>{words}</title>
      <path d={`M${at.x} ${at.y - half}L${at.x + half} ${at.y + half * 0.8}H${at.x - half}Z`} />
      <path d={`M${at.x} ${at.y - half * 0.35}v${half * 0.5}m0 ${half * 0.22}v0.01`} strokeWidth={sizeM * 0.1} />
    </g>
  );
}

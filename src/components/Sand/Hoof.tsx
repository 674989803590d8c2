import { memo } from 'react';
import classes from './Hoof.module.css';

type HoofProps = {
  x: number;
  y: number;
  degrees: number;
  sizeM: number;
  kind: 'landing' | 'stride' | 'take-off';
};

/** A hoof print, toe ahead; landing and take-off are filled, so that a leg can be counted at a glance. */
export const Hoof = memo(function Hoof({ x, y, degrees, sizeM, kind }: HoofProps) {
  return (
    <path
      d="M-0.45 -0.42Q0.55 -0.62 0.55 0Q0.55 0.62 -0.45 0.42"
      transform={`translate(${x} ${y}) rotate(${degrees}) scale(${sizeM})`}
      className={classes.hoof}
      data-hoof={kind}
    />
  );
});

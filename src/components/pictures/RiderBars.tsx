import type { RiderMark } from '@/core';
import { PICTURE_WIDTH, shortened } from './pictureWords';
import classes from './picture.module.css';

type RiderBarsProps = { marks: readonly RiderMark[]; label: string };

const SIZE = { left: 2, row: 46, bar: 8 };

/** Each thing seen of the rider as two bars: in which share of the passes at first, outlined, and lately, filled. */
export function RiderBars({ marks, label }: RiderBarsProps) {
  const wide = PICTURE_WIDTH - 2 * SIZE.left;
  return (
    <svg
      viewBox={`0 0 ${PICTURE_WIDTH} ${marks.length * SIZE.row}`}
      className={classes.picture}
      role="img"
      aria-label={label}
    >
      {marks.map(({ what, passes, early, late }, index) => (
        <g key={what} transform={`translate(0 ${index * SIZE.row})`}>
          <text x={SIZE.left} y={13}>
            {shortened(`${what}: ${passes} ${passes === 1 ? 'pass' : 'passes'}`, wide)}
          </text>
          {early.of > 0 && (
            <rect
              x={SIZE.left}
              y={19}
              width={(early.hits / early.of) * wide}
              height={SIZE.bar}
              className={classes.band}
            />
          )}
          {late.of > 0 && (
            <rect x={SIZE.left} y={29} width={(late.hits / late.of) * wide} height={SIZE.bar} className={classes.bar} />
          )}
        </g>
      ))}
    </svg>
  );
}

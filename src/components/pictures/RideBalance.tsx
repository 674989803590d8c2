import type { GroupReview } from '@/core';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { PICTURE_WIDTH, shortened } from './pictureWords';
import classes from './picture.module.css';

type RideBalanceProps = {
  pairs: readonly (GroupReview['balance'][number] & {
    name: string;
    /** Too much or too little of what. */
    told: readonly string[];
  })[];
  label: string;
};

const SIZE = { left: 8, right: 8, top: 4, row: 76 };

/** A bar of fences, poles and flat for each pair, and under it how its reins are shared. */
export function RideBalance({ pairs, label }: RideBalanceProps) {
  const height = SIZE.top + pairs.length * SIZE.row;
  const x = scaleLinear([0, max(pairs, ({ passes }) => passes) || 1], [0, PICTURE_WIDTH - SIZE.left - SIZE.right]);
  return (
    <svg viewBox={`0 0 ${PICTURE_WIDTH} ${height}`} className={classes.picture} role="img" aria-label={label}>
      {pairs.map(({ pairId, name, told, passes, jumping, poles, flat, byRein }, index) => {
        const y = SIZE.top + index * SIZE.row;
        const parts = [
          { n: jumping, className: classes.high, words: 'fences' },
          { n: poles, className: classes.bar, words: 'poles' },
          { n: flat, className: classes.band, words: 'flat' },
        ];
        const starts = parts.map((_, at) => parts.slice(0, at).reduce((sum, { n }) => sum + n, 0));
        const reins = byRein.left + byRein.right;
        const middle = SIZE.left + (reins === 0 ? 0.5 : byRein.left / reins) * (PICTURE_WIDTH - SIZE.left - SIZE.right);
        return (
          <g key={pairId}>
            <text x={SIZE.left} y={y + 13} className={classes.strong}>
              {shortened([name, ...told].join(': '), PICTURE_WIDTH - 2 * SIZE.left)}
            </text>
            <text x={SIZE.left} y={y + 29}>
              {shortened(
                parts
                  .filter(({ n }) => n > 0)
                  .map(({ n, words }) => `${n} ${words}`)
                  .join(', ') || 'nothing',
                PICTURE_WIDTH - 2 * SIZE.left,
              )}
            </text>
            {parts.map(({ n, className, words }, at) => (
              <rect
                key={words}
                x={SIZE.left + x(starts[at]!)}
                width={x(n)}
                y={y + 36}
                height="12"
                className={className}
              />
            ))}
            {passes > 0 && (
              <g>
                <line x1={SIZE.left} x2={PICTURE_WIDTH - SIZE.right} y1={y + 57} y2={y + 57} className={classes.axis} />
                <path
                  d="M-7 0L1 -5V5Z"
                  transform={`translate(${middle - 1} ${y + 57})`}
                  className={classes.left}
                  stroke="none"
                />
                <path
                  d="M7 0L-1 -5V5Z"
                  transform={`translate(${middle + 1} ${y + 57})`}
                  className={classes.right}
                  stroke="none"
                />
              </g>
            )}
          </g>
        );
      })}
    </svg>
  );
}

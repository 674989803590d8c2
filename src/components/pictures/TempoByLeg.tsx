import type { TempoReview } from '@/core';
import { max, min } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { PICTURE_WIDTH, shortened } from './pictureWords';
import classes from './picture.module.css';

type TempoByLegProps = { legs: (TempoReview & { name: string })[]; label: string };

const SIZE = { left: 2, right: 16, top: 24, row: 50 };

/** Each leg as a line of strides a second: a dot a pass with how far it may be off; above the line where it quickened. */
export function TempoByLeg({ legs, label }: TempoByLegProps) {
  const height = SIZE.top + legs.length * SIZE.row;
  const seen = legs.flatMap(leg => leg.seen.map(({ tempo }) => tempo));
  const least = min(seen, ({ perSecond, offBy }) => perSecond - offBy) ?? 1;
  const most = max(seen, ({ perSecond, offBy }) => perSecond + offBy) ?? 2;
  const x = scaleLinear([least, most], [SIZE.left + 6, PICTURE_WIDTH - SIZE.right]).nice(5);
  return (
    <svg viewBox={`0 0 ${PICTURE_WIDTH} ${height}`} className={classes.picture} role="img" aria-label={label}>
      {x.ticks(5).map(tick => (
        <g key={tick}>
          <line x1={x(tick)} x2={x(tick)} y1={SIZE.top - 8} y2={height} className={classes.axis} />
          <text x={x(tick)} y={SIZE.top - 12} textAnchor="middle" className={classes.tick}>
            {tick}
          </text>
        </g>
      ))}
      {legs.map(({ name, seen: passes, layoutVersionId, from }, index) => {
        const y = SIZE.top + index * SIZE.row + 30;
        return (
          <g key={`${layoutVersionId} ${from} ${index}`}>
            <text x={SIZE.left} y={y - 18}>
              {shortened(name, PICTURE_WIDTH - SIZE.left)}
            </text>
            <line x1={x.range()[0]} x2={x.range()[1]} y1={y} y2={y} className={classes.axis} />
            {passes.map(({ passId, tempo: { perSecond, offBy, change } }) => (
              <g key={passId}>
                <line x1={x(perSecond - offBy)} x2={x(perSecond + offBy)} y1={y} y2={y} className={classes.axis} />
                <circle cx={x(perSecond)} cy={y} r={5} className={classes.bar} />
                {change === 'quickened' && (
                  <path d="M-5 0H5L0 -7Z" transform={`translate(${x(perSecond)} ${y - 8})`} className={classes.high} />
                )}
                {change === 'slowed' && (
                  <path d="M-5 0H5L0 7Z" transform={`translate(${x(perSecond)} ${y + 8})`} className={classes.high} />
                )}
              </g>
            ))}
          </g>
        );
      })}
    </svg>
  );
}

import classes from '@/components/Chart/chart.module.css';
import type { LegReview } from '@/core';
import { max } from 'd3-array';
import { scaleLinear, scaleSqrt } from 'd3-scale';

type LegCountsProps = { legs: (LegReview & { name: string })[]; label: string };

const SIZE = { width: 440, left: 10, right: 20, top: 24, row: 44 };

/** Each leg as a line of counts: a disc as large as the count was often ridden, a post where the stride is even. */
export function LegCounts({ legs, label }: LegCountsProps) {
  const height = SIZE.top + legs.length * SIZE.row;
  const most =
    Math.ceil(
      Math.max(1, max(legs, leg => Math.max(leg.predicted ?? 0, max(leg.counts, one => one.count) ?? 0)) ?? 1),
    ) + 1;
  const times = max(legs, leg => max(leg.counts, one => one.times) ?? 1) ?? 1;
  const x = scaleLinear([0, most], [SIZE.left + 6, SIZE.width - SIZE.right]);
  const radius = scaleSqrt([0, times], [0, 11]);
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${height}`} className={classes.chart} role="img" aria-label={label}>
      {x
        .ticks(Math.min(most, 10))
        .filter(Number.isInteger)
        .map(tick => (
          <g key={tick}>
            <line x1={x(tick)} x2={x(tick)} y1={SIZE.top - 8} y2={height} className={classes.axis} />
            <text x={x(tick)} y={SIZE.top - 12} textAnchor="middle" className={classes.tick}>
              {tick}
            </text>
          </g>
        ))}
      {legs.map(({ name, layoutVersionId, from, predicted, counts }, index) => {
        const y = SIZE.top + index * SIZE.row + 28;
        return (
          <g key={`${layoutVersionId} ${from}`}>
            <text x={SIZE.left} y={y - 16}>
              {name}
            </text>
            <line x1={x(0)} x2={x(most)} y1={y} y2={y} className={classes.axis} />
            {counts.map(({ count, times: often }) => (
              <circle key={count} cx={x(count)} cy={y} r={Math.max(2, radius(often))} className={classes.bar} />
            ))}
            {predicted !== null && (
              <path d="M-5 -13H5L0 -6Z" transform={`translate(${x(predicted)} ${y})`} className={classes.high} />
            )}
          </g>
        );
      })}
    </svg>
  );
}

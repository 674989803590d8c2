import classes from '@/components/Chart/chart.module.css';
import { max } from 'd3-array';
import { scaleBand, scaleLinear } from 'd3-scale';

export type WorkBar = { day: string; label: string; low: number; high: number };

type WorkByWeekProps = { days: WorkBar[]; limit: number; highLimit: number; label: string };

const SIZE = { width: 440, height: 190, left: 32, right: 10, top: 14, bottom: 26 };

/** Efforts day by day, the high ones at the foot of each bar, and the yard's limits as lines. */
export function WorkByWeek({ days, limit, highLimit, label }: WorkByWeekProps) {
  const x = scaleBand(
    days.map(({ day }) => day),
    [SIZE.left, SIZE.width - SIZE.right],
  ).padding(0.25);
  const most = Math.max(limit, max(days, ({ low, high }) => low + high) ?? 0);
  const y = scaleLinear([0, most * 1.08], [SIZE.height - SIZE.bottom, SIZE.top]);
  const shown = Math.ceil(days.length / 8);
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} className={classes.chart} role="img" aria-label={label}>
      {y.ticks(4).map(tick => (
        <g key={tick}>
          <line x1={SIZE.left} x2={SIZE.width - SIZE.right} y1={y(tick)} y2={y(tick)} className={classes.axis} />
          <text x={SIZE.left - 6} y={y(tick)} dy="0.35em" textAnchor="end" className={classes.tick}>
            {tick}
          </text>
        </g>
      ))}
      {days.map(({ day, label: words, low, high }, index) => (
        <g key={day}>
          <rect
            x={x(day)}
            width={x.bandwidth()}
            y={y(low + high)}
            height={y(high) - y(low + high)}
            className={classes.bar}
          />
          <rect x={x(day)} width={x.bandwidth()} y={y(high)} height={y(0) - y(high)} className={classes.high} />
          {index % shown === 0 && (
            <text
              x={(x(day) ?? 0) + x.bandwidth() / 2}
              y={SIZE.height - 8}
              textAnchor="middle"
              className={classes.tick}
            >
              {words}
            </text>
          )}
        </g>
      ))}
      {[
        { at: limit, words: `${limit} efforts` },
        { at: highLimit, words: `${highLimit} at 0.9 m and over` },
      ].map(({ at, words }) => (
        <g key={words}>
          <line x1={SIZE.left} x2={SIZE.width - SIZE.right} y1={y(at)} y2={y(at)} className={classes.limit} />
          <text x={SIZE.width - SIZE.right} y={y(at) - 3} textAnchor="end" className={classes.halo}>
            {words}
          </text>
        </g>
      ))}
    </svg>
  );
}

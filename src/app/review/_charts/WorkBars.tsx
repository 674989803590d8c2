import classes from '@/components/Chart/chart.module.css';
import { max } from 'd3-array';
import { scaleBand, scaleLinear } from 'd3-scale';
import { YTicks } from './YTicks';

export type WorkBar = { key: string; label: string; low: number; high: number };

type WorkBarsProps = { bars: WorkBar[]; limits: { at: number; words: string }[]; label: string };

const SIZE = { width: 440, height: 190, left: 32, right: 10, top: 14, bottom: 26 };
const MOST_LABELS = 8;

/** A bar for each day or week, what was high at its foot, and the yard's limits as lines. */
export function WorkBars({ bars, limits, label }: WorkBarsProps) {
  const [from, to] = [SIZE.left, SIZE.width - SIZE.right];
  const x = scaleBand(
    bars.map(({ key }) => key),
    [from, to],
  ).padding(0.25);
  const most = Math.max(...limits.map(({ at }) => at), max(bars, ({ low, high }) => low + high) ?? 0);
  const y = scaleLinear([0, most * 1.08], [SIZE.height - SIZE.bottom, SIZE.top]);
  const every = Math.ceil(bars.length / MOST_LABELS);
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} className={classes.chart} role="img" aria-label={label}>
      <YTicks ticks={y.ticks(4).filter(Number.isInteger)} y={y} from={from} to={to} />
      {bars.map(({ key, label: words, low, high }, index) => (
        <g key={key} transform={`translate(${x(key)} 0)`}>
          <rect width={x.bandwidth()} y={y(low + high)} height={y(high) - y(low + high)} className={classes.bar} />
          <rect width={x.bandwidth()} y={y(high)} height={y(0) - y(high)} className={classes.high} />
          {index % every === 0 && (
            <text x={x.bandwidth() / 2} y={SIZE.height - 8} textAnchor="middle" className={classes.tick}>
              {words}
            </text>
          )}
        </g>
      ))}
      {limits.map(({ at, words }) => (
        <g key={words}>
          <line x1={from} x2={to} y1={y(at)} y2={y(at)} className={classes.limit} />
          <text x={to} y={y(at) - 3} textAnchor="end" className={classes.halo}>
            {words}
          </text>
        </g>
      ))}
    </svg>
  );
}

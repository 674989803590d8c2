import classes from '@/components/Chart/chart.module.css';
import { max } from 'd3-array';
import { scaleBand, scaleLinear } from 'd3-scale';
import { END_ROOM } from './endLines';
import { EndWords } from './EndWords';
import { YTicks } from './YTicks';

export type WorkBar = { key: string; label: string; low: number; high: number };

/** A limit of the yard: what it was on the day or in the week of a bar, and what it is called today. */
type WorkLimit = { at: (key: string) => number; words: string };
type WorkBarsProps = { bars: WorkBar[]; limits: WorkLimit[]; label: string };

const SIZE = { width: 440, height: 190, left: 32, right: END_ROOM, top: 14, bottom: 26 };
const MOST_LABELS = 8;

/** A bar for each day or week, what was high at its foot, and the yard's limits of then as lines. */
export function WorkBars({ bars, limits, label }: WorkBarsProps) {
  const [from, to] = [SIZE.left, SIZE.width - SIZE.right];
  const x = scaleBand(
    bars.map(({ key }) => key),
    [from, to],
  ).padding(0.25);
  const allowed = limits.flatMap(({ at }) => bars.map(({ key }) => at(key)));
  const most = Math.max(...allowed, max(bars, ({ low, high }) => low + high) ?? 0);
  const y = scaleLinear([0, most * 1.08], [SIZE.height - SIZE.bottom, SIZE.top]);
  /** From bar to bar as high as it was then. */
  const limitPath = (at: WorkLimit['at']) => {
    const half = (x.step() - x.bandwidth()) / 2;
    return bars
      .map(({ key }, index) => {
        const left = index === 0 ? from : x(key)! - half;
        const right = index === bars.length - 1 ? to : x(key)! + x.bandwidth() + half;
        return `${index === 0 ? 'M' : 'L'}${left} ${y(at(key))}H${right}`;
      })
      .join('');
  };
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
          <path d={limitPath(at)} className={classes.limit} fill="none" />
          <EndWords words={words} x={to} y={y(at(bars[bars.length - 1]!.key))} />
        </g>
      ))}
    </svg>
  );
}

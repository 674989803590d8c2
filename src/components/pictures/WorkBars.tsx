import { max } from 'd3-array';
import { scaleBand, scaleLinear } from 'd3-scale';
import { LineWords } from './LineWords';
import { PICTURE_WIDTH } from './pictureWords';
import classes from './picture.module.css';
import { TimeWords } from './TimeWords';
import { tickRoom, YTicks } from './YTicks';

export type WorkBar = { key: string; label: string; low: number; high: number };

/** A limit of the yard: what it was on the day or in the week of a bar, and what it is called today. */
type WorkLimit = { at: (key: string) => number; words: string };
type WorkBarsProps = { bars: readonly WorkBar[]; limits: readonly WorkLimit[]; label: string };

const SIZE = { height: 160, right: 4, top: 10, bottom: 24, key: 18 };

/** A bar for each day or week, what was high at its foot, and the yard's limits of then as lines. */
export function WorkBars({ bars, limits, label }: WorkBarsProps) {
  const allowed = limits.flatMap(({ at }) => bars.map(({ key }) => at(key)));
  const most = Math.max(...allowed, max(bars, ({ low, high }) => low + high) ?? 0);
  const y = scaleLinear([0, most * 1.08], [SIZE.height - SIZE.bottom, SIZE.top]);
  const ticks = y.ticks(4).filter(Number.isInteger);
  const [from, to] = [tickRoom(ticks), PICTURE_WIDTH - SIZE.right];
  const x = scaleBand(
    bars.map(({ key }) => key),
    [from, to],
  ).padding(0.25);
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
  const lineOf = (index: number) => (index === 0 ? classes.limit : classes.lowerLimit);
  const height = SIZE.height + limits.length * SIZE.key;
  return (
    <svg viewBox={`0 0 ${PICTURE_WIDTH} ${height}`} className={classes.picture} role="img" aria-label={label}>
      <YTicks ticks={ticks} y={y} from={from} to={to} />
      {bars.map(({ key, low, high }) => (
        <g key={key} transform={`translate(${x(key)} 0)`}>
          <rect width={x.bandwidth()} y={y(low + high)} height={y(high) - y(low + high)} className={classes.bar} />
          <rect width={x.bandwidth()} y={y(high)} height={y(0) - y(high)} className={classes.high} />
        </g>
      ))}
      <TimeWords
        marks={bars.map(({ key, label: words }) => ({ key, at: x(key)! + x.bandwidth() / 2, words }))}
        y={SIZE.height - 6}
      />
      {limits.map(({ at, words }, index) => (
        <g key={words}>
          <path d={limitPath(at)} className={lineOf(index)} fill="none" />
          <LineWords words={words} y={SIZE.height + index * SIZE.key + 12} className={lineOf(index)} />
        </g>
      ))}
    </svg>
  );
}

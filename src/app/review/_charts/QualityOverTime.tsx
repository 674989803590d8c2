import classes from '@/components/Chart/chart.module.css';
import { extent } from 'd3-array';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';
import { YTicks } from './YTicks';

export type QualityDay = { day: string; quality: number; clean: number; passes: number };

type QualityOverTimeProps = { days: QualityDay[]; monthName: (month: string) => string; label: string };

const SIZE = { width: 440, height: 180, left: 24, right: 16, top: 12, bottom: 26 };
const atMs = (day: string) => Date.parse(`${day}T12:00:00Z`);

/** The mean mark of each day, its disc as full as its passes were clean. */
export function QualityOverTime({ days, monthName, label }: QualityOverTimeProps) {
  const [first = 0, last = 1] = extent(days, ({ day }) => atMs(day));
  const x = scaleUtc([first, Math.max(last, first + 1)], [SIZE.left + 8, SIZE.width - SIZE.right]);
  const y = scaleLinear([1, 5], [SIZE.height - SIZE.bottom, SIZE.top]);
  const path = line<QualityDay>(
    one => x(atMs(one.day)),
    one => y(one.quality),
  )(days);
  const months = [...new Set(days.map(({ day }) => day.slice(0, 7)))];
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} className={classes.chart} role="img" aria-label={label}>
      <YTicks ticks={[1, 2, 3, 4, 5]} y={y} from={SIZE.left} to={SIZE.width - SIZE.right} />
      {path && <path d={path} className={classes.trend} />}
      {days.map(({ day, quality, clean, passes }) => (
        <g key={day} transform={`translate(${x(atMs(day))} ${y(quality)})`}>
          <circle r="5" fill="var(--roan-sheet)" stroke="var(--roan-ink)" strokeWidth="1.3" />
          <circle r={5 * Math.sqrt(passes === 0 ? 0 : clean / passes)} className={classes.mark} />
        </g>
      ))}
      {months.map(month => (
        <text
          key={month}
          x={x(atMs(days.find(({ day }) => day.startsWith(month))!.day))}
          y={SIZE.height - 8}
          textAnchor="middle"
          className={classes.tick}
        >
          {monthName(month)}
        </text>
      ))}
    </svg>
  );
}

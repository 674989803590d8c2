import classes from '@/components/Chart/chart.module.css';
import { extent } from 'd3-array';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';

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
      {[1, 2, 3, 4, 5].map(tick => (
        <g key={tick}>
          <line x1={SIZE.left} x2={SIZE.width - SIZE.right} y1={y(tick)} y2={y(tick)} className={classes.axis} />
          <text x={SIZE.left - 6} y={y(tick)} dy="0.35em" textAnchor="end" className={classes.tick}>
            {tick}
          </text>
        </g>
      ))}
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

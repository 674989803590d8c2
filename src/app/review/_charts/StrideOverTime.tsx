import classes from '@/components/Chart/chart.module.css';
import type { StrideReview } from '@/core';
import { extent } from 'd3-array';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';
import { END_ROOM } from './endLines';
import { EndWords } from './EndWords';
import { YTicks } from './YTicks';

type StrideOverTimeProps = {
  review: StrideReview;
  thoughtM: number | null;
  format: (lengthM: number) => string;
  monthName: (month: string) => string;
  label: string;
};

const SIZE = { width: 440, height: 210, left: 56, right: END_ROOM, top: 16, bottom: 26 };
const MONTH_MS = 30 * 24 * 3600 * 1000;

/** A learned stride month by month with its intervals, all of it as a band, and the stride of the profile as a line. */
export function StrideOverTime({ review, thoughtM, format, monthName, label }: StrideOverTimeProps) {
  const { byMonth, learned } = review;
  const [first = 0, last = 1] = extent(byMonth, ({ atMs }) => atMs);
  const x = scaleUtc([first - MONTH_MS / 2, last + MONTH_MS / 2], [SIZE.left, SIZE.width - SIZE.right]);
  const lengths = byMonth.flatMap(({ learned: { lowM, highM } }) => [lowM, highM]);
  const [least = 0, most = 1] = extent([
    ...lengths,
    learned.lowM,
    learned.highM,
    ...(thoughtM === null ? [] : [thoughtM]),
  ]);
  const y = scaleLinear([least, most], [SIZE.height - SIZE.bottom, SIZE.top]).nice(4);
  const path = line<(typeof byMonth)[number]>(
    month => x(month.atMs),
    month => y(month.learned.strideM),
  )(byMonth);
  const [from, to] = [SIZE.left, SIZE.width - SIZE.right];
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} className={classes.chart} role="img" aria-label={label}>
      <rect
        x={from}
        width={to - from}
        y={y(learned.highM)}
        height={Math.max(1, y(learned.lowM) - y(learned.highM))}
        className={classes.band}
      />
      <YTicks ticks={y.ticks(4)} y={y} from={from} to={to} words={format} />
      {thoughtM !== null && (
        <g>
          <line x1={from} x2={to} y1={y(thoughtM)} y2={y(thoughtM)} className={classes.thought} />
          <EndWords words={`profile ${format(thoughtM)}`} x={to} y={y(thoughtM)} className={classes.thoughtWords} />
        </g>
      )}
      {path && <path d={path} className={classes.trend} />}
      {byMonth.map(({ month, atMs, learned: { strideM, lowM, highM } }) => (
        <g key={month}>
          <line x1={x(atMs)} x2={x(atMs)} y1={y(lowM)} y2={y(highM)} className={classes.interval} />
          <circle cx={x(atMs)} cy={y(strideM)} r="4.5" className={classes.mark} />
          <text x={x(atMs)} y={SIZE.height - 8} textAnchor="middle" className={classes.tick}>
            {monthName(month)}
          </text>
        </g>
      ))}
    </svg>
  );
}

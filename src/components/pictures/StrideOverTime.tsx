import type { StrideReview } from '@/core';
import { extent } from 'd3-array';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';
import { LineWords } from './LineWords';
import { monthMarks } from './monthMarks';
import { PICTURE_WIDTH } from './pictureWords';
import classes from './picture.module.css';
import { TimeWords } from './TimeWords';
import { tickRoom, YTicks } from './YTicks';

type StrideOverTimeProps = {
  review: Pick<StrideReview, 'byMonth' | 'learned'>;
  thoughtM: number | null;
  format: (lengthM: number) => string;
  label: string;
};

const SIZE = { height: 178, right: 6, top: 12, bottom: 24, key: 20 };
const MONTH_MS = 30 * 24 * 3600 * 1000;

/** A learned stride month by month with its intervals, all of it as a band, and the stride of the profile as a line. */
export function StrideOverTime({ review: { byMonth, learned }, thoughtM, format, label }: StrideOverTimeProps) {
  const lengths = byMonth.flatMap(({ learned: { lowM, highM } }) => [lowM, highM]);
  const thought = thoughtM === null ? [] : [thoughtM];
  const [least = 0, most = 1] = extent([...lengths, learned.lowM, learned.highM, ...thought]);
  const y = scaleLinear([least, most], [SIZE.height - SIZE.bottom, SIZE.top]).nice(4);
  const ticks = y.ticks(4);
  const [from, to] = [tickRoom(ticks, format), PICTURE_WIDTH - SIZE.right];
  const [first = 0, last = 1] = extent(byMonth, ({ atMs }) => atMs);
  const x = scaleUtc([first - MONTH_MS / 2, last + MONTH_MS / 2], [from, to]);
  const path = line<(typeof byMonth)[number]>(
    month => x(month.atMs),
    month => y(month.learned.strideM),
  )(byMonth);
  const height = SIZE.height + (thoughtM === null ? 1 : 2) * SIZE.key;
  return (
    <svg viewBox={`0 0 ${PICTURE_WIDTH} ${height}`} className={classes.picture} role="img" aria-label={label}>
      <rect
        x={from}
        width={to - from}
        y={y(learned.highM)}
        height={Math.max(1, y(learned.lowM) - y(learned.highM))}
        className={classes.band}
      />
      <YTicks ticks={ticks} y={y} from={from} to={to} words={format} />
      {thoughtM !== null && (
        <line x1={from} x2={to} y1={y(thoughtM)} y2={y(thoughtM)} className={classes.thought} data-line="profile" />
      )}
      {path && <path d={path} className={classes.trend} />}
      {byMonth.map(({ month, atMs, learned: { strideM, lowM, highM } }) => (
        <g key={month}>
          <line x1={x(atMs)} x2={x(atMs)} y1={y(lowM)} y2={y(highM)} className={classes.interval} />
          <circle cx={x(atMs)} cy={y(strideM)} r="4.5" className={classes.mark} />
        </g>
      ))}
      <TimeWords marks={monthMarks(byMonth.map(({ month, atMs }) => ({ month, at: x(atMs) })))} y={SIZE.height - 6} />
      <rect x={2} y={SIZE.height + 3} width={28} height={11} className={classes.band} />
      <text x={36} y={SIZE.height + 13} className={classes.tick}>
        ridden {format(learned.strideM)}
      </text>
      {thoughtM !== null && (
        <LineWords words={`profile ${format(thoughtM)}`} y={SIZE.height + SIZE.key + 13} className={classes.thought} />
      )}
    </svg>
  );
}

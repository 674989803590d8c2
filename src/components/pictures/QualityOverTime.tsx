import { extent } from 'd3-array';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';
import { Disc } from './Disc';
import { monthMarks } from './monthMarks';
import { PICTURE_WIDTH } from './pictureWords';
import classes from './picture.module.css';
import { TimeWords } from './TimeWords';
import { YTicks } from './YTicks';

export type QualityDay = { day: string; quality: number; clean: number; passes: number };

type QualityOverTimeProps = { days: readonly QualityDay[]; label: string };

const SIZE = { height: 160, left: 18, right: 8, top: 10, bottom: 24 };
const atMs = (day: string) => Date.parse(`${day}T12:00:00Z`);

/** The mean mark of each day, its disc as full as its passes were clean. */
export function QualityOverTime({ days, label }: QualityOverTimeProps) {
  const [first = 0, last = 1] = extent(days, ({ day }) => atMs(day));
  const x = scaleUtc([first, Math.max(last, first + 1)], [SIZE.left + 8, PICTURE_WIDTH - SIZE.right]);
  const y = scaleLinear([1, 5], [SIZE.height - SIZE.bottom, SIZE.top]);
  const path = line<QualityDay>(
    one => x(atMs(one.day)),
    one => y(one.quality),
  )(days);
  const months = [...new Set(days.map(({ day }) => day.slice(0, 7)))];
  const firstIn = (month: string) => days.find(({ day }) => day.startsWith(month))!;
  return (
    <svg viewBox={`0 0 ${PICTURE_WIDTH} ${SIZE.height}`} className={classes.picture} role="img" aria-label={label}>
      <YTicks ticks={[1, 2, 3, 4, 5]} y={y} from={SIZE.left} to={PICTURE_WIDTH - SIZE.right} />
      {path && <path d={path} className={classes.trend} />}
      {days.map(({ day, quality, clean, passes }) => (
        <Disc key={day} x={x(atMs(day))} y={y(quality)} r={5} hits={clean} of={passes} />
      ))}
      <TimeWords
        marks={monthMarks(months.map(month => ({ month, at: x(atMs(firstIn(month).day)) })))}
        y={SIZE.height - 6}
      />
    </svg>
  );
}

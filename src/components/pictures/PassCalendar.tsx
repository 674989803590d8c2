import { CALENDAR_WEEKS, type CalendarWeek } from '@/core';
import { Disc } from './Disc';
import { monthMarks } from './monthMarks';
import { PICTURE_WIDTH } from './pictureWords';
import classes from './picture.module.css';
import { TimeWords } from './TimeWords';

type PassCalendarProps = {
  weeks: readonly CalendarWeek[];
  /** The most passes of a day, over all sheets: that disc is full size. */
  most: number;
  label: string;
};

const SIZE = { left: 22, top: 4, bottom: 20 };
const CELL = (PICTURE_WIDTH - SIZE.left) / CALENDAR_WEEKS;
const LARGEST = CELL / 2 - 0.4;
const SMALLEST = 2;
const WEEKDAYS = ['Mo', '', 'We', '', 'Fr', '', 'Su'];

/** Half a year, a week a column: a disc for each day of riding, as large as it was ridden, as full as it went clean. */
export function PassCalendar({ weeks, most, label }: PassCalendarProps) {
  const height = SIZE.top + 7 * CELL + SIZE.bottom;
  const centre = (index: number) => SIZE.left + (index + 0.5) * CELL;
  const months = weeks.flatMap(({ monday }, index) =>
    index === 0 || monday.slice(0, 7) !== weeks[index - 1]!.monday.slice(0, 7)
      ? [{ month: monday.slice(0, 7), at: centre(index) }]
      : [],
  );
  return (
    <svg viewBox={`0 0 ${PICTURE_WIDTH} ${height}`} className={classes.picture} role="img" aria-label={label}>
      {WEEKDAYS.map((words, day) => (
        <g key={day}>
          <line
            x1={SIZE.left}
            x2={PICTURE_WIDTH}
            y1={SIZE.top + (day + 0.5) * CELL}
            y2={SIZE.top + (day + 0.5) * CELL}
            className={classes.axis}
          />
          <text x={0} y={SIZE.top + (day + 0.5) * CELL} dy="0.35em" className={classes.tick}>
            {words}
          </text>
        </g>
      ))}
      {weeks.map(({ monday, days }, week) =>
        days.map(
          (one, day) =>
            one && (
              <Disc
                key={`${monday} ${day}`}
                x={centre(week)}
                y={SIZE.top + (day + 0.5) * CELL}
                r={Math.max(SMALLEST, LARGEST * Math.sqrt(one.passes / most))}
                hits={one.clean}
                of={one.passes}
              />
            ),
        ),
      )}
      <TimeWords marks={monthMarks(months)} y={height - 4} />
    </svg>
  );
}

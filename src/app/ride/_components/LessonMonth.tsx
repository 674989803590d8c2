'use client';

import { daysInMonth, monthsOn, monthWeeks } from '@/core';
import { ActionIcon } from '@mantine/core';
import { IconChevronLeft, IconChevronRight } from '@tabler/icons-react';
import { useState, type ReactNode } from 'react';
import type { ListedLesson } from './listedLesson';
import classes from './LessonMonth.module.css';
import { MonthWork } from './MonthWork';

type LessonMonthProps = {
  lessons: readonly ListedLesson[];
  today: string;
  /** The lessons of the day that is chosen, or of all that is shown. */
  children: (isShown: (day: string) => boolean) => ReactNode;
};

const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October'];
const MONTH_NAMES = [...MONTHS, 'November', 'December'];
/** In so many days of a month what was ridden last lies in the month before, as often as not. */
const FIRST_DAYS = 7;
const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** What was and what comes, month by month: a day shows its lessons, and pressed, lists them. */
export function LessonMonth({ lessons, today, children }: LessonMonthProps) {
  const [month, setMonth] = useState(() => today.slice(0, 7));
  const [day, setDay] = useState<string | null>(null);
  const [year, of] = month.split('-').map(Number) as [number, number];
  const go = (by: number) => {
    setMonth(monthsOn(month, by));
    setDay(null);
  };
  // In the first days of a month one looks for what was last week.
  const isBegun = today.startsWith(month) && Number(today.slice(8)) <= FIRST_DAYS;
  const weeks = monthWeeks(month, isBegun ? 1 : 0);
  const isLastWeek = (one: string) => isBegun && one >= weeks[0]![0]! && one < today;
  const isBeside = (one: string) => !one.startsWith(month);
  const isShown = (one: string) => (day === null ? !isBeside(one) || isLastWeek(one) : one === day);
  return (
    <section aria-label="Calendar" className={classes.month}>
      <div className={classes.head}>
        <ActionIcon variant="default" size={44} aria-label="The month before" onClick={() => go(-1)}>
          <IconChevronLeft size={18} />
        </ActionIcon>
        <h2 aria-live="polite">
          {MONTH_NAMES[of - 1]} {year}
        </h2>
        <ActionIcon variant="default" size={44} aria-label="The month after" onClick={() => go(1)}>
          <IconChevronRight size={18} />
        </ActionIcon>
      </div>
      <table>
        <thead>
          <tr>
            {WEEKDAYS.map(weekday => (
              <th key={weekday} scope="col">
                {weekday}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeks.map(week => (
            <tr key={week[0]}>
              {week.map(one => (
                <td key={one} data-today={one === today ? '' : undefined} data-beside={isBeside(one) || undefined}>
                  <Day
                    date={one}
                    isBeside={isBeside(one)}
                    lessons={lessons.filter(lesson => lesson.day === one)}
                    isChosen={day === one}
                    onChoose={() => setDay(day === one ? null : one)}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {children(isShown)}
      <MonthWork month={month} days={daysInMonth(year, of)} />
    </section>
  );
}

type DayProps = {
  date: string;
  /** Of a month beside the one that is shown. */
  isBeside: boolean;
  lessons: readonly ListedLesson[];
  isChosen: boolean;
  onChoose: () => void;
};

function Day({ date, isBeside, lessons, isChosen, onChoose }: DayProps) {
  const [, month, day] = date.split('-').map(Number) as [number, number, number];
  const words = isBeside ? `${day} ${MONTH_NAMES[month - 1]!.slice(0, 3)}` : day;
  if (lessons.length === 0) return <span className={classes.date}>{words}</span>;
  return (
    <button type="button" className={classes.day} aria-pressed={isChosen} onClick={onChoose}>
      <span className={classes.date}>{words}</span>
      {lessons.map(({ id, name, state }) => (
        <span key={id} className={classes.lesson} data-state={state}>
          {name}
        </span>
      ))}
    </button>
  );
}

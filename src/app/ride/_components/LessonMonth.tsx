'use client';

import { daysInMonth, monthDays, monthsOn } from '@/core';
import { ActionIcon } from '@mantine/core';
import { IconChevronLeft, IconChevronRight } from '@tabler/icons-react';
import { useState, type ReactNode } from 'react';
import type { ListedLesson } from './listedLesson';
import classes from './LessonMonth.module.css';
import { MonthWork } from './MonthWork';

type LessonMonthProps = {
  lessons: readonly ListedLesson[];
  today: string;
  /** The lessons of a day or of a whole month, "2026-11-28" or "2026-11". */
  children: (days: string) => ReactNode;
};

const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October'];
const MONTH_NAMES = [...MONTHS, 'November', 'December'];
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
  const on = (of: number) => `${month}-${String(of).padStart(2, '0')}`;
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
          {monthDays(year, of).map((week, index) => (
            <tr key={index}>
              {week.map((date, weekday) => (
                <td key={weekday} data-today={date !== null && on(date) === today ? '' : undefined}>
                  {date !== null && (
                    <Day
                      date={date}
                      lessons={lessons.filter(lesson => lesson.day === on(date))}
                      isChosen={day === on(date)}
                      onChoose={() => setDay(day === on(date) ? null : on(date))}
                    />
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {children(day ?? month)}
      <MonthWork month={month} days={daysInMonth(year, of)} />
    </section>
  );
}

type DayProps = { date: number; lessons: readonly ListedLesson[]; isChosen: boolean; onChoose: () => void };

function Day({ date, lessons, isChosen, onChoose }: DayProps) {
  if (lessons.length === 0) return <span className={classes.date}>{date}</span>;
  return (
    <button type="button" className={classes.day} aria-pressed={isChosen} onClick={onChoose}>
      <span className={classes.date}>{date}</span>
      {lessons.map(({ id, name, state }) => (
        <span key={id} className={classes.lesson} data-state={state}>
          {name}
        </span>
      ))}
    </button>
  );
}

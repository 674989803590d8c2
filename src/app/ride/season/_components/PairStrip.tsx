'use client';

import {
  dayInWords,
  howMany,
  type Overload,
  type SeasonDay,
  type SeasonEntry,
  type SeasonWeek,
  seasonWeeks,
} from '@/core';
import { useDraggable } from '@dnd-kit/core';
import Link from 'next/link';
import type { SeasonData } from '../seasonData';
import classes from './Season.module.css';

/** How wide a day is drawn. */
export const DAY_PX = 9;
const WEEK_PX = 7 * DAY_PX;
/** A day’s work comes to this line. */
const FULL_PX = 30;
const LEAST_PX = 9;
const HIGH_PX = 56;
const GROUND_PX = 42;
/** How far down a day its lessons are dragged. */
const MARK_PX = 46;

type Pair = SeasonData['pairs'][number];

/** The weeks by their first days, and where today is. */
export function WeekHeads({ season: { firstDay, weeks, today } }: { season: SeasonData }) {
  return (
    <div className={classes.row}>
      <span className={classes.label} />
      <svg width={weeks * WEEK_PX} height={34} aria-hidden="true" className={classes.heads}>
        {Array.from({ length: weeks }, (_, week) => (
          <text key={week} x={week * WEEK_PX + 2} y={14}>
            {short(firstDay + 7 * week)}
          </text>
        ))}
        <path d={`M ${(today - firstDay + 0.5) * DAY_PX} 33 l -5 -9 h 10 z`} className={classes.today} />
      </svg>
    </div>
  );
}

const short = (day: number) => dayInWords(day).replace(/^(\d+ \w{3})\w*$/, '$1');

type PairStripProps = {
  pair: Pair;
  season: SeasonData;
  /** As they are while a lesson is dragged. */
  entries: readonly SeasonEntry[];
  loads: readonly Overload[];
  /** While a move is on its way nothing else is dragged. */
  busy: boolean;
};

/** What one pair did and will do, day by day: how much, what sort, on which rein; what is planned can be dragged. */
export function PairStrip({ pair, season, entries, loads, busy }: PairStripProps) {
  const { firstDay, weeks, today, limits } = season;
  const strip = seasonWeeks(entries, pair.id, firstDay, weeks, limits);
  const own = loads.filter(({ horseId }) => horseId === pair.horseId);
  const days = strip.flatMap(week => week.days);
  const marks = marksOf(pair, season, entries);
  return (
    <div className={classes.row}>
      <span className={classes.label}>
        <Link href={`/review/${pair.id}`}>{pair.horse}</Link>
        <small>{pair.rider}</small>
      </span>
      <div className={classes.strip} style={{ width: weeks * WEEK_PX }}>
        <svg width={weeks * WEEK_PX} height={HIGH_PX} role="img" aria-label={stripWords(pair, strip, own)}>
          {strip.map((week, index) => (
            <Week key={week.firstDay} {...{ week, index }} />
          ))}
          <line x1={0} x2={weeks * WEEK_PX} y1={GROUND_PX} y2={GROUND_PX} className={classes.ground} />
          <line
            x1={0}
            x2={weeks * WEEK_PX}
            y1={GROUND_PX - FULL_PX}
            y2={GROUND_PX - FULL_PX}
            className={classes.full}
          />
          <line
            x1={(today - firstDay + 0.5) * DAY_PX}
            x2={(today - firstDay + 0.5) * DAY_PX}
            y1={0}
            y2={HIGH_PX}
            className={classes.now}
          />
          {days.map(day => (
            <DayBar key={day.day} day={day} x={(day.day - firstDay) * DAY_PX} />
          ))}
          {own.map(({ day }) => (
            <path key={day} d={`M ${(day - firstDay + 0.5) * DAY_PX} 1 l 5 9 h -10 z`} className={classes.over} />
          ))}
        </svg>
        {marks.map(({ id, name, day, to, share, of }) => (
          <Mark
            key={id}
            {...{ id: `${id} ${pair.id}`, name, busy, left: (day - firstDay) * DAY_PX, movedPx: (to - day) * DAY_PX }}
            {...{ top: (MARK_PX * share) / of, height: MARK_PX / of }}
          />
        ))}
      </div>
    </div>
  );
}

/** Passes by rein, from the middle of the week out to their sides. */
function Week({ week: { reins }, index }: { week: SeasonWeek; index: number }) {
  const x = index * WEEK_PX;
  const most = Math.max(1, reins.left, reins.right);
  const wide = (count: number) => (count / most) * (WEEK_PX / 2 - 4);
  return (
    <g>
      <rect x={x} y={0} width={WEEK_PX} height={HIGH_PX} className={index % 2 ? classes.odd : classes.even} />
      {reins.left + reins.right > 0 && (
        <>
          <rect
            x={x + WEEK_PX / 2 - wide(reins.left)}
            y={47}
            width={wide(reins.left)}
            height={4}
            className={classes.left}
          />
          <rect x={x + WEEK_PX / 2} y={47} width={wide(reins.right)} height={4} className={classes.right} />
          <line x1={x + WEEK_PX / 2} x2={x + WEEK_PX / 2} y1={45} y2={53} className={classes.middle} />
        </>
      )}
    </g>
  );
}

/** A day’s work: as high as its share of what is enough; its sorts one over the other. */
function DayBar({ day: { kinds, share, isPlanned }, x }: { day: SeasonDay; x: number }) {
  const high = Math.max(LEAST_PX, Math.min(1.1, share) * FULL_PX);
  const sorts = kinds.length > 0 ? kinds : (['flat'] as const);
  const each = high / sorts.length;
  return (
    <g data-planned={isPlanned || undefined} className={classes.day}>
      {sorts.map((kind, index) => (
        <rect
          key={kind}
          x={x + 1}
          y={GROUND_PX - each * (index + 1)}
          width={DAY_PX - 2}
          height={each}
          data-kind={kind}
          fill={kind === 'poles' ? 'url(#season-poles)' : undefined}
        />
      ))}
    </g>
  );
}

/** Where the lessons of a pair that are to come lie, whatever else there is of these days; those of one day share its height. */
function marksOf(pair: Pair, { coming }: SeasonData, entries: readonly SeasonEntry[]) {
  const planned = entries.filter(({ pairId, isPlanned }) => pairId === pair.id && isPlanned);
  const found = coming.flatMap(({ id, name, day }) => {
    const to = planned.find(({ lessonId }) => lessonId === id)?.day;
    return to === undefined ? [] : [{ id, name, day, to }];
  });
  return found.map(one => {
    const ofDay = found.filter(({ to }) => to === one.to);
    return { ...one, share: ofDay.indexOf(one), of: ofDay.length };
  });
}

type MarkProps = {
  id: string;
  name: string;
  busy: boolean;
  left: number;
  movedPx: number;
  top: number;
  height: number;
};

/**
 * What a lesson is dragged by. It stays where it lies until it is moved for good, and is only shown elsewhere: how far it was dragged
 * is measured from there.
 */
function Mark({ id, name, busy, movedPx, ...place }: MarkProps) {
  const { attributes, listeners, setNodeRef } = useDraggable({ id, disabled: busy });
  return (
    <button
      type="button"
      ref={setNodeRef}
      className={classes.mark}
      style={{ ...place, width: DAY_PX, transform: `translateX(${movedPx}px)` }}
      title={name}
      {...attributes}
      {...listeners}
      aria-label={`Move “${name}”`}
    />
  );
}

function stripWords({ horse, rider }: Pair, weeks: readonly SeasonWeek[], loads: readonly Overload[]): string {
  const days = weeks.flatMap(week => week.days);
  const planned = days.filter(({ isPlanned }) => isPlanned).length;
  const efforts = days.reduce((sum, day) => sum + day.efforts, 0);
  const too = loads.length === 0 ? '' : `; too much on ${loads.map(({ day }) => dayInWords(day)).join(', ')}`;
  return `${horse} with ${rider}: ${howMany(days.length - planned, 'day')} ridden, ${planned} planned, ${howMany(efforts, 'effort')}${too}`;
}

/** The stripes of poles, for every bar of the page. */
export function PolesPattern() {
  return (
    <svg width={0} height={0} aria-hidden="true" className={classes.pattern}>
      <defs>
        <pattern id="season-poles" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="4" height="4" className={classes.polesGround} />
          <rect width="2" height="4" className={classes.polesStripe} />
        </pattern>
      </defs>
    </svg>
  );
}

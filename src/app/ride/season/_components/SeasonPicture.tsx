'use client';

import type { Overload, SeasonEntry } from '@/core';
import { DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors, type Announcements } from '@dnd-kit/core';
import { useCallback } from 'react';
import type { SeasonData } from '../seasonData';
import { DAY_PX, PairStrip, PolesPattern, WeekHeads } from './PairStrip';
import classes from './Season.module.css';

export type DraggedLesson = { lessonId: string; days: number };

type SeasonPictureProps = {
  season: SeasonData;
  entries: readonly SeasonEntry[];
  loads: readonly Overload[];
  busy: boolean;
  onDrag: (dragged: DraggedLesson | null) => void;
  onMove: (lessonId: string, days: number) => void;
};

/** A strip of weeks for each pair, its lessons to be dragged along it. */
export default function SeasonPicture({ season, entries, loads, busy, onDrag, onMove }: SeasonPictureProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: byDays }),
  );
  // Where the picture is wider than the screen it begins with last week.
  const toThisWeek = useCallback(
    (picture: HTMLDivElement | null) => {
      if (picture) picture.scrollLeft = (season.today - season.firstDay - 10) * DAY_PX;
    },
    [season.today, season.firstDay],
  );
  return (
    <DndContext
      id="season"
      sensors={sensors}
      autoScroll={SCROLLS}
      accessibility={{ announcements: saidAloud(season) }}
      onDragMove={({ active, delta }) => onDrag({ lessonId: lessonOf(active.id), days: Math.round(delta.x / DAY_PX) })}
      onDragCancel={() => onDrag(null)}
      onDragEnd={({ active, delta }) => onMove(lessonOf(active.id), Math.round(delta.x / DAY_PX))}
    >
      <PolesPattern />
      <div ref={toThisWeek} className={classes.picture} tabIndex={0} role="group" aria-label="Weeks by pairs">
        <WeekHeads season={season} />
        {season.pairs.map(pair => (
          <PairStrip key={pair.id} {...{ pair, season, entries, loads, busy }} />
        ))}
      </div>
    </DndContext>
  );
}

/** At its edges the picture goes on slowly enough to stop at a week. */
const SCROLLS = { threshold: { x: 0.1, y: 0.1 }, acceleration: 1.5 };

/** What is said to somebody who drags without seeing it; the day it comes to is said below the picture. */
function saidAloud({ coming }: SeasonData): Announcements {
  const named = (id: string | number) => `“${coming.find(one => one.id === lessonOf(id))?.name ?? 'A lesson'}”`;
  return {
    onDragStart: ({ active }) => `${named(active.id)} is picked up.`,
    onDragOver: () => undefined,
    onDragEnd: () => undefined,
    onDragCancel: ({ active }) => `${named(active.id)} stays where it was.`,
  };
}

/** A mark is one pair's part of a lesson: all of them move with it. */
const lessonOf = (id: string | number) => String(id).split(' ')[0]!;

type Coordinates = { x: number; y: number };

/** The arrow keys move by a day, with shift by a week. */
function byDays(
  event: KeyboardEvent,
  { currentCoordinates }: { currentCoordinates: Coordinates },
): Coordinates | undefined {
  const by = (event.shiftKey ? 7 : 1) * DAY_PX;
  if (event.code === 'ArrowRight') return { ...currentCoordinates, x: currentCoordinates.x + by };
  if (event.code === 'ArrowLeft') return { ...currentCoordinates, x: currentCoordinates.x - by };
  return undefined;
}

import { createEvents, type EventAttributes } from 'ics';

export type CalendarLesson = {
  id: string;
  name: string;
  startsAtMs: number;
  minutes: number;
  arena: string;
  /** Who rides, in a line each. */
  pairs: readonly string[];
  stages: readonly string[];
};

/** Lessons as an iCalendar file (RFC 5545), times in UTC. */
export function lessonCalendar(lessons: readonly CalendarLesson[], nowMs: number): string {
  const { error, value } = createEvents(
    lessons.map(lesson => eventOf(lesson, nowMs)),
    { productId: 'roan', calName: 'Roan' },
  );
  if (error || value === undefined) throw error ?? new Error('lessonCalendar: nothing was written');
  return value;
}

function eventOf(
  { id, name, startsAtMs, minutes, arena, pairs, stages }: CalendarLesson,
  nowMs: number,
): EventAttributes {
  return {
    uid: `${id}@roan`,
    title: name,
    start: utcParts(startsAtMs),
    startInputType: 'utc',
    startOutputType: 'utc',
    duration: { hours: Math.floor(minutes / 60), minutes: Math.round(minutes % 60) },
    location: arena,
    description: [...pairs, '', ...stages].join('\n').trim(),
    created: utcParts(nowMs),
  };
}

function utcParts(atMs: number): [number, number, number, number, number] {
  const at = new Date(atMs);
  return [at.getUTCFullYear(), at.getUTCMonth() + 1, at.getUTCDate(), at.getUTCHours(), at.getUTCMinutes()];
}

import 'server-only';
import { askedToShow, dayInWords, dayNumber, grouped, type AskedToShow, type DayPass } from '@/core';
import type { KeptVersions } from '@/data/queries/layoutVersions';

/** A lesson of a pair as one frame: what was ridden most of it, and how it went. */
export type Frame = {
  key: string;
  /** Null for a ride by itself. */
  lessonId: string | null;
  day: string;
  words: string;
  clean: number;
  of: number;
  show: AskedToShow | null;
};

/** So many frames are drawn at first; what lies farther back is a key away. */
export const FIRST_FRAMES = 12;

/** What one frame is made of, by its key: the passes of a lesson that count. */
type LessonPasses = [key: string, passes: DayPass[]];

/** The latest lessons of a pair, in order, and how many there are. */
export function latestLessons(passes: readonly DayPass[], most: number): { lessons: LessonPasses[]; of: number } {
  const groups = grouped(
    passes.filter(({ isVoid }) => !isVoid),
    ({ lessonId, day, layoutVersionId }) => lessonId ?? `${day} ${layoutVersionId}`,
  );
  return { lessons: [...groups].slice(-most), of: groups.size };
}

/** The layout version that each of some lessons is drawn as. */
export const versionsDrawn = (lessons: readonly LessonPasses[]): string[] =>
  lessons.map(([, own]) => own.at(-1)!.layoutVersionId);

/** Lessons in order, each drawn as what was asked last in it: that was the hardest. */
export function seasonFrames(lessons: readonly LessonPasses[], versions: KeptVersions): Frame[] {
  return lessons.map(([key, own]) => {
    const last = own.at(-1)!;
    const layout = versions.get(last.layoutVersionId)?.layout;
    return {
      ...{ key, lessonId: last.lessonId, day: dayInWords(dayNumber(last.day)), words: last.questionWords },
      ...{ clean: own.filter(({ faults }) => faults.length === 0).length, of: own.length },
      show: layout ? askedToShow(layout, last.question, null) : null,
    };
  });
}

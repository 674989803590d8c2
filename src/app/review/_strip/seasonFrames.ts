import 'server-only';
import { askedToShow, dayInWords, dayNumber, grouped, type AskedToShow, type ReviewPass } from '@/core';
import type { KeptVersions } from '@/data/queries/passes';

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

/** So many frames are drawn; what lies farther back is in the numbers. */
const MOST_FRAMES = 40;

/** The lessons of a pair in order, each drawn as what was asked last in it: that was the hardest. */
export function seasonFrames(passes: readonly ReviewPass[], versions: KeptVersions): Frame[] {
  const groups = grouped(
    passes.filter(({ isVoid }) => !isVoid),
    ({ lessonId, day, layoutVersionId }) => lessonId ?? `${day} ${layoutVersionId}`,
  );
  return [...groups].slice(-MOST_FRAMES).map(([key, own]) => {
    const last = own.at(-1)!;
    const layout = versions.get(last.layoutVersionId)?.layout;
    return {
      ...{ key, lessonId: last.lessonId, day: dayInWords(dayNumber(last.day)), words: last.questionWords },
      ...{ clean: own.filter(({ faults }) => faults.length === 0).length, of: own.length },
      show: layout ? askedToShow(layout, last.question, null) : null,
    };
  });
}

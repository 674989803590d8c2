import type { HorseLevel } from '../horse/horseLevel';
import { HORSE_LEVELS } from '../horse/horseLevel';
import type { LessonStage } from './lesson';
import { USUAL_BREAK_MIN } from './lesson';
import { stageMinutes, type RideTime } from './stageMinutes';

/** How a stage went the last time that some of the pairs rode it. */
export type LastTime = {
  /** Of the pairs that ride now: how many rode it, and how many had earned the next stage. */
  rode: number;
  earned: number;
  /** Minutes from one pass to the next; null where there were too few to tell. */
  eachMin: number | null;
};

/** A stage with what it is fitted by. */
export type StageToFit = {
  stage: LessonStage;
  rides: readonly RideTime[];
  /** Whom its exercise is made for; null for a track by itself. */
  level: HorseLevel | null;
  last: LastTime | null;
  /** The share of a horse's day of efforts that each repetition takes, both reins together. */
  dayShare: number;
};

/** A stage as it suits those who ride, and why, in sentences. */
export type FittedStage = { stage: LessonStage; why: string[] };

/** Common practice, no source: a green horse walks sooner, an advanced one later. */
const BREAK_MIN: Record<HorseLevel, number> = { green: 8, novice: USUAL_BREAK_MIN, advanced: 12 };

const rank = (level: HorseLevel) => HORSE_LEVELS.indexOf(level);

/** The level that a lesson is planned for: that of the horse that has learned least; novice where nobody rides yet. */
export function lessonLevel(levels: readonly HorseLevel[]): HorseLevel {
  return (
    levels.reduce<HorseLevel | null>((least, one) => (least && rank(least) <= rank(one) ? least : one), null) ??
    'novice'
  );
}

/** Minutes between walk breaks for those who ride. */
export function breakEvery(levels: readonly HorseLevel[]): number {
  return BREAK_MIN[lessonLevel(levels)];
}

/** What the stages may take together: minutes, and the share of a horse's day that is not spoken for. */
export type LessonRoom = { minutes: number; dayShare: number };

/** Common practice, no source: what was not earned yet is ridden twice on each rein at least, or nobody can earn it. */
const LEAST_TO_EARN = 2;

/**
 * Stages with the repetitions, minutes and policy that suit those who ride: by what the exercise brings, by how much the
 * horses have learned, and by how it went last time (common practice, no source). Where that is more than there is room for, what
 * is ridden most often is ridden less.
 */
export function fitStages(
  stages: readonly StageToFit[],
  levels: readonly HorseLevel[],
  room: LessonRoom = { minutes: Infinity, dayShare: Infinity },
): FittedStage[] {
  const level = lessonLevel(levels);
  const wished = stages.map(({ stage, level: madeFor, last }) => repetitions(stage, madeFor, level, last));
  const minutesOf = (at: number, eachRein: number) => {
    const { stage, rides, last } = stages[at]!;
    return rides.length === 0 ? stage.minutes : stageMinutes(rides, eachRein, levels.length, last?.eachMin);
  };
  const times = withinRoom(
    wished.map(({ eachRein }) => eachRein),
    counts =>
      counts.reduce((sum, count, at) => sum + minutesOf(at, count), 0) <= room.minutes &&
      counts.reduce((sum, count, at) => sum + count * stages[at]!.dayShare, 0) < room.dayShare,
  );
  return stages.map(({ stage, level: madeFor }, at) => {
    const eachRein = times[at]!;
    const tooHard = madeFor !== null && rank(level) < rank(madeFor);
    const policy = tooHard && stage.policy === 'same question again' ? 'lower only what failed' : stage.policy;
    const minutes = minutesOf(at, eachRein);
    const stop = stage.stop.when === 'minutes' ? { ...stage.stop, minutes } : stage.stop;
    const less =
      eachRein < wished[at]!.eachRein
        ? [`${eachRein} instead of ${wished[at]!.eachRein}, so that the hour and the day’s work hold.`]
        : [];
    return { stage: { ...stage, eachRein, minutes, policy, stop }, why: [...wished[at]!.why, ...less] };
  });
}

/** Counts with the greatest of them, the last one first, one less at a time until they fit, or nothing can be less. */
function withinRoom(wished: readonly number[], fits: (counts: readonly number[]) => boolean): number[] {
  const counts = [...wished];
  while (!fits(counts)) {
    const most = Math.max(...counts);
    if (most <= LEAST_TO_EARN) break;
    counts[counts.lastIndexOf(most)]! -= 1;
  }
  return counts;
}

function repetitions(stage: LessonStage, madeFor: HorseLevel | null, level: HorseLevel, last: LastTime | null) {
  const { eachRein } = stage;
  if (eachRein === 0) return { eachRein, why: [] };
  if (last !== null && last.rode > 0 && last.earned === last.rode)
    return { eachRein: 1, why: ['Clean last time: once is enough to come back to it.'] };
  if (last !== null && last.rode > 0)
    return {
      eachRein: Math.max(2, eachRein),
      why: [`Not earned last time by ${last.rode - last.earned} of ${last.rode}: here it goes on.`],
    };
  if (madeFor === null) return { eachRein, why: [] };
  const step = rank(madeFor) - rank(level);
  if (step > 0) return { eachRein: eachRein + 1, why: [`It is made for ${madeFor} horses: once more on each rein.`] };
  if (step < -1 && eachRein > 1)
    return { eachRein: eachRein - 1, why: ['Easy for these horses: once less on each rein.'] };
  return { eachRein, why: [] };
}

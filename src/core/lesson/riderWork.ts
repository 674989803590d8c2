import type { Seat } from '../exercises/exercise';
import type { LessonStage } from './lesson';

/** Work of the rider's own: one thing to think of, in which seat, for how long, and what is tapped of the rider. */
export type RiderWork = {
  name: string;
  focus: string;
  /** Null where it is ridden in whichever seat the stage has. */
  seat: Seat | null;
  minutes: number;
  marks: string[];
};

/** A yard keeps so much work of its own, and so many marks have room under a thumb. */
export const MOST_RIDER_WORK = 30;
export const MOST_RIDER_MARKS = 4;

/** A stage with work of the rider's own: what it goes over stays. */
export function withRiderWork(stage: LessonStage, { name, focus, seat, minutes, marks }: RiderWork): LessonStage {
  return {
    ...stage,
    ...{ name, focus, minutes, seat: seat ?? stage.seat, riderMarks: [...marks] },
    stop: { when: 'minutes', minutes },
  };
}

/** The rider's work of a stage, to be kept; null where nothing of the rider is watched in it. */
export function riderWorkOf({ name, focus, seat, minutes, riderMarks }: LessonStage): RiderWork | null {
  if (!riderMarks?.length) return null;
  return { name, focus, seat, minutes: Math.max(1, minutes), marks: riderMarks.slice(0, MOST_RIDER_MARKS) };
}

/** What a yard keeps, with one more; under a name that is there already it takes that one's place. */
export function keepRiderWork(kept: readonly RiderWork[], work: RiderWork): RiderWork[] {
  const others = kept.filter(({ name }) => name.toLowerCase() !== work.name.toLowerCase());
  return [...others, work].sort((a, b) => (a.name < b.name ? -1 : 1));
}

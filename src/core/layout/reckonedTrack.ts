import type { CourseMeasure } from '../course/measureCourse';
import type { SessionMeasure } from '../figures/measureSession';
import type { Session } from '../figures/rideSession';
import type { ReckonedLeg } from './reckonedLeg';

/** A track over poles and fences, reckoned: every leg with every horse's reading of it. */
export type ReckonedItemTrack = {
  kind: 'items';
  id: string;
  lengthM: number;
  smallestRadiusM: number | null;
  legs: ReckonedLeg[];
  course: CourseMeasure | null;
};

/** A session of figures; where one of them cannot be ridden, `session` says which and why, and nothing is measured. */
export type ReckonedFigureTrack = {
  kind: 'figures';
  id: string;
  lengthM: number;
  smallestRadiusM: number | null;
  session: Session;
  measure: SessionMeasure | null;
};

export type ReckonedTrack = ReckonedItemTrack | ReckonedFigureTrack;

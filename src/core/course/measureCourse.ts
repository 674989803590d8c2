import type { CoursePlan } from '../layout/layout';
import type { ReckonedLeg } from '../layout/reckonedLeg';
import { changesOfRein } from './changesOfRein';
import { courseTime, type CourseTime } from './courseTime';
import { relatedDistances, type RelatedDistance } from './relatedDistances';

/** A course in numbers. */
export type CourseMeasure = CourseTime & {
  /** Along the ridden track, with the ground before the first and behind the last item. */
  lengthM: number;
  efforts: number;
  changesOfRein: number;
  related: RelatedDistance[];
};

/**
 * @param order - the ids ridden over, in order
 * @throws {RangeError} a speed that is not positive and finite
 */
export function measureCourse(
  plan: CoursePlan,
  order: readonly string[],
  legs: readonly ReckonedLeg[],
  isFence: (id: string) => boolean,
): CourseMeasure {
  const lengthM = plan.startM + legs.reduce((sum, leg) => sum + leg.trackM, 0) + plan.finishM;
  return {
    lengthM,
    ...courseTime(lengthM, plan.speedMPerMin),
    efforts: order.filter(isFence).length,
    changesOfRein: changesOfRein(legs.flatMap(leg => leg.chain.segments)),
    related: relatedDistances(legs, isFence),
  };
}

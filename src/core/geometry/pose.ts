import type { PointM } from './pointM';

/** A place on the sand and the direction one rides through it, anticlockwise from +x. */
export type Pose = { at: PointM; headingRad: number };

/** The pose seen from the other side: ridden from behind. */
export function reversed(pose: Pose): Pose {
  return { at: pose.at, headingRad: pose.headingRad + Math.PI };
}

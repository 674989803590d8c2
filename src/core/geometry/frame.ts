import type { PointM } from './pointM';
import type { Pose } from './pose';

/**
 * A frame of its own for something that is laid out and then put on the sand: x ahead, y to the left, headings from x.
 * `place` is where its origin lies on the sand and which way ahead is.
 */
export function pointInFrame(place: Pose, { xM, yM }: PointM): PointM {
  const cos = Math.cos(place.headingRad);
  const sin = Math.sin(place.headingRad);
  return { xM: place.at.xM + xM * cos - yM * sin, yM: place.at.yM + xM * sin + yM * cos };
}

/** A pose of a frame, on the sand. */
export function poseInFrame(place: Pose, pose: Pose): Pose {
  return { at: pointInFrame(place, pose.at), headingRad: place.headingRad + pose.headingRad };
}

/** Where a frame lies once something of it that was at one pose is brought to another. */
export function placeMoved(place: Pose, from: Pose, to: Pose): Pose {
  const turnRad = to.headingRad - from.headingRad;
  const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)];
  const [dx, dy] = [place.at.xM - from.at.xM, place.at.yM - from.at.yM];
  return {
    at: { xM: to.at.xM + dx * cos - dy * sin, yM: to.at.yM + dx * sin + dy * cos },
    headingRad: place.headingRad + turnRad,
  };
}

/** The mirror image in the line straight ahead: left becomes right. */
export function mirroredPoint({ xM, yM }: PointM): PointM {
  return { xM, yM: -yM };
}

export function mirroredPose({ at, headingRad }: Pose): Pose {
  return { at: mirroredPoint(at), headingRad: -headingRad };
}

/** The mirror image of a place on the sand in the centre line of an arena so wide. */
export function mirroredPlace(widthM: number, { at, headingRad }: Pose): Pose {
  return { at: { xM: widthM - at.xM, yM: at.yM }, headingRad: Math.PI - headingRad };
}

import { pointAlong, type PointM } from '../geometry/pointM';

/** How high each end of a pole lies above the ground, metres; left and right as ridden. */
export type RaisedEnds = { leftM: number; rightM: number };

/** A pole on the sand. `headingRad` is the way it is ridden, square to the pole itself. */
export type Pole = {
  kind: 'pole';
  id: string;
  name: string | null;
  at: PointM;
  headingRad: number;
  lengthM: number;
  raised: RaisedEnds;
};

/** Common practice, no source: a show-jumping pole is about 10 cm thick. */
export const POLE_DIAMETER_M = 0.1;

export const MIN_POLE_LENGTH_M = 1;
export const MAX_POLE_LENGTH_M = 5;

/** Where the two ends of a pole lie on the ground, left and right as ridden. */
export function poleEnds(pole: Pole): { left: PointM; right: PointM } {
  const half = pole.lengthM / 2;
  return {
    left: pointAlong(pole.at, pole.headingRad + Math.PI / 2, half),
    right: pointAlong(pole.at, pole.headingRad - Math.PI / 2, half),
  };
}

/** Whether either end of the pole is off the ground. */
export function isRaised(ends: RaisedEnds): boolean {
  return ends.leftM > 0 || ends.rightM > 0;
}

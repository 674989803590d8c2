import type { PointM } from '../geometry/pointM';

/** A place above the sand: `zM` is its height. */
export type Spot = PointM & { zM: number };

export const above = ({ xM, yM }: PointM, zM: number): Spot => ({ xM, yM, zM });

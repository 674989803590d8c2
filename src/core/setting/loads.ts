import type { PointM } from '../geometry/pointM';

/** One thing that goes from one place to another. */
export type Load = { from: PointM; to: PointM };

/** Where somebody stops to take a load up, or to put one down. */
export type RouteStop = { load: number; does: 'take' | 'put' };

export type CarryRoute = { stops: RouteStop[]; walkedM: number };

import { poseAt, type Chain } from '../geometry/chain';
import { pointAlong, type PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import { ridingDepthM, ridingPose } from '../items/footprint';
import { isClosed } from './roomAround';
import { figureTracks, itemTracks, riddenItem, type CautionContext } from './cautionRule';

/** A piece of what is ridden, walked point by point. */
export type RiddenWay = {
  track: string;
  part: number | null;
  /** Where one rides, a hand's width apart. */
  points: readonly PointM[];
  /** What it is ridden over or comes from: that stands there on purpose. */
  over: ReadonlySet<string>;
};

/** Points of a way lie so far apart, metres: a distance to them is at most 1 mm more than to the way itself. */
const APART_M = 0.1;
/** Before the first fence and behind the last, so much is ridden straight at least, metres. */
const STRAIGHT_M = 3;

const walked = new WeakMap<Chain, PointM[]>();

/** The points of a chain, a hand's width apart. */
export function pointsOf(chain: Chain): PointM[] {
  const known = walked.get(chain);
  if (known) return known;
  const count = Math.max(1, Math.ceil(chain.lengthM / APART_M));
  const points = Array.from({ length: count + 1 }, (_, i) => poseAt(chain, (chain.lengthM * i) / count).at);
  walked.set(chain, points);
  return points;
}

function straightFrom({ at, headingRad }: Pose, fromM: number, toM: number): PointM[] {
  const count = Math.ceil((toM - fromM) / APART_M);
  return Array.from({ length: count + 1 }, (_, i) => pointAlong(at, headingRad, fromM + ((toM - fromM) * i) / count));
}

/** Everything that is ridden in a layout: legs, the straight before and behind them, and figures. */
export function riddenWays(context: CautionContext): RiddenWay[] {
  const legs = itemTracks(context).flatMap((track): RiddenWay[] => {
    const { plan, reckoned } = track;
    const ends = isClosed(track)
      ? []
      : [0, plan.through.length - 1].map((index, end): RiddenWay[] => {
          const stop = plan.through[index]!;
          const item = riddenItem(context.layout, stop.item);
          if (!item) return [];
          const depthM = ridingDepthM(item) / 2;
          const [fromM, toM] = end === 0 ? [-depthM - STRAIGHT_M, -depthM] : [depthM, depthM + STRAIGHT_M];
          const points = straightFrom(ridingPose(item, stop.reversed), fromM, toM);
          return [{ track: plan.id, part: null, points, over: new Set([item.id]) }];
        });
    const ways = reckoned.legs.map(({ chain, from, to }, part) => ({
      ...{ track: plan.id, part, points: pointsOf(chain), over: new Set([from, to]) },
    }));
    return [...ends.flat(), ...ways];
  });
  const figures = figureTracks(context).flatMap(({ plan, reckoned: { session } }): RiddenWay[] =>
    session.ok
      ? session.pieces.flatMap((piece): RiddenWay[] =>
          piece.kind === 'station'
            ? []
            : [{ track: plan.id, part: null, points: pointsOf(piece.chain), over: new Set() }],
        )
      : [],
  );
  return [...legs, ...figures];
}

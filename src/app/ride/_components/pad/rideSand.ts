import { wayPoses } from '@/components/Sand/trackPath';
import {
  askedLayout,
  chainsOf,
  labelsAsBuilt,
  padSteps,
  poseAt,
  reckonLayout,
  whereToStand,
  type Chain,
  type Layout,
  type PadStep,
  type PointM,
  type Pose,
  type Question,
  type ReckonedTrack,
  type RideDirection,
} from '@/core';

/** What is asked as it lies on the sand, the way it is ridden. */
export type RideSand = {
  asked: Layout;
  tracks: ReckonedTrack[];
  chains: readonly Chain[];
  /** In the order ridden. */
  steps: PadStep[];
  /** Where it is gone along, every so often, with the way ridden there. */
  arrows: Pose[];
  /** The middle of each leg as drawn, from 1. */
  legMiddles: PointM[];
  stand: PointM | null;
};

const known = new WeakMap<Layout, Map<string, RideSand | null>>();

/** A question over a kept layout as the pad draws it; null where the layout does not have it. Reckoned once. */
export function rideSand(layout: Layout, question: Question, direction: RideDirection): RideSand | null {
  const sands = known.get(layout) ?? new Map<string, RideSand | null>();
  known.set(layout, sands);
  const name = `${direction} ${JSON.stringify(question)}`;
  const before = sands.get(name);
  if (before !== undefined) return before;
  const sand = sandOf({ ...layout, horses: [] }, question, direction);
  sands.set(name, sand);
  return sand;
}

function sandOf(layout: Layout, question: Question, direction: RideDirection): RideSand | null {
  const asked = askedLayout(layout, question, direction);
  const [track] = asked?.tracks ?? [];
  const tracks = asked ? reckonLayout(asked) : [];
  const [reckoned] = tracks;
  if (!asked || !track || !reckoned) return null;
  const chains = chainsOf(reckoned);
  const steps = padSteps(asked, reckoned, labelsAsBuilt(layout, asked));
  const backwards = direction === 'other-way';
  const stops = steps.filter(step => step.kind === 'fence' || step.kind === 'pole');
  return {
    ...{ asked, tracks, chains, steps: backwards ? [...steps].reverse() : steps },
    arrows: arrowsOf(chains, backwards),
    legMiddles: reckoned.kind === 'items' ? reckoned.legs.map(({ chain }) => poseAt(chain, chain.lengthM / 2).at) : [],
    stand: whereToStand(
      asked.arena,
      chains,
      stops.flatMap(({ item }) => {
        const found = asked.items.find(one => one.id === item);
        return found && 'headingRad' in found ? [{ at: found.at, headingRad: found.headingRad }] : [];
      }),
    ),
  };
}

const MOST_ARROWS = 7;
const LEAST_APART_M = 6;

/** Arrows along a way; at least one, however short it is. */
function arrowsOf(chains: readonly Chain[], backwards: boolean): Pose[] {
  const totalM = chains.reduce((sum, { lengthM }) => sum + lengthM, 0);
  const apartM = Math.min(totalM, Math.max(LEAST_APART_M, totalM / MOST_ARROWS));
  return wayPoses(chains, apartM).map(({ at, headingRad }) => ({
    ...{ at, headingRad: backwards ? headingRad + Math.PI : headingRad },
  }));
}

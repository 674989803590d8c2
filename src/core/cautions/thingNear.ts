import { thingWords } from '../arena/thingWords';
import { ridingPose } from '../items/footprint';
import type { ArenaThing } from '../arena/arena';
import { nearestOnChain, type Chain } from '../geometry/chain';
import { pointAlong } from '../geometry/pointM';
import { barOf, toBarM } from '../items/bar';
import { ROUNDING } from './cautionLimits';
import { chainsOf } from '../layout/alongTrack';
import { shiftItems } from '../layout/shiftItems';
import {
  allLegs,
  called,
  fromTo,
  itemTracks,
  legOfCaution,
  metresBy,
  riddenItem,
  sentence,
  type CautionRule,
  figureTracks,
  trackCalled,
} from './cautionRule';
import { lineOf, ringMoves } from './mendMoves';
import { NOWHERE, type Caution } from './caution';

/** A line keeps so far from what stands on the sand, and never comes nearer than half of it (common practice, no source). */
const BESIDE_LINE_M = 1.2;
/** Moved away, a line comes to lie a little farther off than it must. */
const AGAIN_M = 0.05;
/** Behind a fence nothing stands so near, on the line it is ridden by (common practice, no source). */
const BEHIND_FENCE_M = 3;

/** A line that passes too near to what stands on the sand for good, or a fence that lands at it. */
export const thingNear: CautionRule = {
  code: 'thing-near',
  find: context => {
    const { standing = [] } = context.layout.arena;
    if (standing.length === 0) return [];
    const beside = allLegs(context).flatMap(({ leg, plan, index }) =>
      passing(standing, [leg.chain], {
        ...{ items: [leg.from, leg.to], place: { track: plan.id, part: index } },
        ...{ what: `The line ${fromTo(context, leg)}`, mend: 'Ride it another way, or move one of the two.' },
      }),
    );
    const landings = itemTracks(context).flatMap(({ plan }): Caution[] => {
      const last = plan.through[plan.through.length - 1]!;
      const item = riddenItem(context.layout, last.item);
      if (item?.kind !== 'fence') return [];
      const { at, headingRad } = ridingPose(item, last.reversed);
      const zone = { from: at, to: pointAlong(at, headingRad, item.spreadM / 2 + BEHIND_FENCE_M) };
      return standing.flatMap(thing =>
        toBarM(thing.at, zone) - thing.radiusM < BESIDE_LINE_M - ROUNDING &&
        toBarM(thing.at, barOf(item)) >= thing.radiusM
          ? [
              {
                ...{ code: 'thing-near', level: 'stop', items: [item.id], place: NOWHERE },
                text: sentence(`${called(context, item.id)} lands at ${thingWords(thing)}.`),
                mend: 'Move it, or ride it the other way.',
              },
            ]
          : [],
      );
    });
    const figures = figureTracks(context).flatMap(({ plan, reckoned }) =>
      passing(standing, chainsOf(reckoned), {
        ...{ items: [], place: { track: plan.id, part: null } },
        ...{ what: sentence(trackCalled(context, plan.id)), mend: 'Ride it elsewhere, or smaller.' },
      }),
    );
    return [...beside, ...landings, ...figures];
  },
  mends: function* (context, caution) {
    const { layout } = context;
    // The whole line away from it: its distances stay.
    const leg = caution.place.track === null ? null : legOfCaution(context, caution)?.leg;
    for (const { at, radiusM } of leg ? (layout.arena.standing ?? []) : []) {
      const { awayM, pose } = nearestOnChain(leg!.chain, at);
      const lacksM = BESIDE_LINE_M - (awayM - radiusM);
      if (lacksM <= 0 || awayM === 0) continue;
      const byM = (lacksM + AGAIN_M) / awayM;
      const by = { xM: (pose.at.xM - at.xM) * byM, yM: (pose.at.yM - at.yM) * byM };
      yield shiftItems(layout, lineOf(layout, caution.items), by);
    }
    for (const item of [...caution.items].reverse()) yield* ringMoves(layout, item, 1, 6);
  },
};

type Passing = Pick<Caution, 'items' | 'place' | 'mend'> & { what: string };

/** What is said of ridden ground for everything that it passes too near. */
function passing(standing: readonly ArenaThing[], chains: readonly Chain[], { what, ...about }: Passing): Caution[] {
  return standing.flatMap((thing): Caution[] => {
    const nearM = chains.map(chain => nearestOnChain(chain, thing.at).awayM - thing.radiusM);
    const awayM = Math.min(Infinity, ...nearM);
    if (awayM >= BESIDE_LINE_M - ROUNDING) return [];
    return [
      {
        ...{ code: 'thing-near', level: awayM < BESIDE_LINE_M / 2 ? 'stop' : 'warn', ...about },
        text: `${what} passes ${metresBy(Math.max(0, awayM), BESIDE_LINE_M)} from ${thingWords(thing)}; ${BESIDE_LINE_M} m is usual.`,
      },
    ];
  });
}

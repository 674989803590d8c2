import { ridingDepthM, ridingPose, ridingWidthM } from '../items/footprint';
import type { Item } from '../items/item';
import type { PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import type { Caution } from './caution';
import { ROUNDING } from './cautionLimits';
import { called, itemTracks, riddenItem, sentence, type CautionContext, type CautionRule } from './cautionRule';
import { removeOrMove } from './mendMoves';
import { isCantered, isClosed } from './roomAround';
import { barOf } from '../items/bar';

/** Behind a fence so much is kept free to land on, metres (practice). */
const LANDING_M = 3;
/** So far to each side of the middle a landing horse may come down, metres (practice). */
const ASIDE_M = 1;
/** A rail that lies along the way, farther aside than this, guides: it is no trap. */
const GUIDE_ASIDE_M = 0.6;
const GUIDE_TURN_RAD = (30 * Math.PI) / 180;

type Zone = { id: string; pose: Pose; fromM: number; halfM: number; next: string | null; track: string; part: number };

function zones(context: CautionContext): Zone[] {
  return itemTracks(context).flatMap(track => {
    const { plan } = track;
    return plan.through.flatMap(({ item: id, reversed }, index): Zone[] => {
      const item = riddenItem(context.layout, id);
      if (item?.kind !== 'fence') return [];
      // A track that comes back to where it began goes on as it did.
      const after = plan.through[index + 1] ?? (isClosed(track) ? plan.through[1] : undefined);
      const follows = after ? riddenItem(context.layout, after.item) : null;
      // What is ridden next is judged by its distance; at trot nobody bounces from fence to fence.
      const next = follows && (isCantered(track) || follows.kind === 'pole') ? follows.id : null;
      const halfM = Math.min(ASIDE_M, ridingWidthM(item) / 2);
      return [
        {
          ...{ id, next, halfM, track: plan.id, part: index },
          pose: ridingPose(item, reversed),
          fromM: ridingDepthM(item) / 2,
        },
      ];
    });
  });
}

/** A place as one sees it who lands: so far ahead, and so far to the left. */
function seenFrom({ at, headingRad }: Pose, { xM, yM }: PointM): { aheadM: number; leftM: number } {
  const [dx, dy] = [xM - at.xM, yM - at.yM];
  const [cos, sin] = [Math.cos(headingRad), Math.sin(headingRad)];
  return { aheadM: dx * cos + dy * sin, leftM: dy * cos - dx * sin };
}

/** Whether some of an item lies where a horse lands. */
function isInZone(item: Item, { pose, fromM, halfM }: Zone): boolean {
  if (item.kind === 'marker') return false;
  const bar = barOf(item);
  const [a, b] = [seenFrom(pose, bar.from), seenFrom(pose, bar.to)];
  const asideM = item.kind === 'guide' && isAlong(a, b) ? Math.min(GUIDE_ASIDE_M, halfM) : halfM;
  // Clipped to the strip in which a horse lands; what is left of it lies in the zone or not.
  const clipped = clip(a, b, asideM);
  if (!clipped) return false;
  const [low, high] = clipped;
  return high > fromM + ROUNDING && low < fromM + LANDING_M - ROUNDING;
}

type Seen = ReturnType<typeof seenFrom>;

const isAlong = (a: Seen, b: Seen) =>
  Math.abs(Math.atan2(Math.abs(b.leftM - a.leftM), Math.abs(b.aheadM - a.aheadM))) <= GUIDE_TURN_RAD;

/** From how far to how far ahead a bar lies within so much of the middle; null where it does not. */
function clip(a: Seen, b: Seen, asideM: number): [number, number] | null {
  const across = b.leftM - a.leftM;
  if (Math.abs(across) < 1e-9) {
    if (Math.abs(a.leftM) >= asideM - ROUNDING) return null;
    return [Math.min(a.aheadM, b.aheadM), Math.max(a.aheadM, b.aheadM)];
  }
  const shares = [(-asideM - a.leftM) / across, (asideM - a.leftM) / across].sort((x, y) => x - y);
  const [from, to] = [Math.max(0, shares[0]!), Math.min(1, shares[1]!)];
  if (from >= to) return null;
  const ahead = [from, to].map(share => a.aheadM + share * (b.aheadM - a.aheadM));
  return [Math.min(...ahead), Math.max(...ahead)];
}

/** Something stands or lies where a horse lands behind a fence. */
export const inTheLanding: CautionRule = {
  code: 'in-the-landing',
  find: context =>
    zones(context).flatMap(zone =>
      context.layout.items
        .filter(item => item.id !== zone.id && item.id !== zone.next && isInZone(item, zone))
        .map((item): Caution => ({
          code: 'in-the-landing',
          level: item.kind === 'fence' || item.kind === 'pole' ? 'stop' : 'warn',
          items: [item.id, zone.id],
          place: { track: zone.track, part: zone.part },
          text: sentence(
            `${called(context, item.id)} is where a horse lands behind ${called(context, zone.id)}: ${LANDING_M} m are kept free.`,
          ),
          mend: 'Move it out of the landing, or take it away.',
        })),
    ),
  mends: removeOrMove,
};

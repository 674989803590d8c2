import { chainOf, type Chain } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import { cscChain, cscTrack, type Side } from './csc';

/** The six words of Dubins: how the pieces turn, left, straight or right. */
export type DubinsWord = 'LSL' | 'RSR' | 'LSR' | 'RSL' | 'LRL' | 'RLR';

export const DUBINS_WORDS: readonly DubinsWord[] = ['LSL', 'RSR', 'LSR', 'RSL', 'LRL', 'RLR'];

export type DubinsTrack = { word: DubinsWord; lengthM: number; chain: Chain };

const SIDE: Record<string, Side> = { L: 1, R: -1 };
const FULL_TURN_RAD = 2 * Math.PI;

/**
 * The track of one word, or null where the two circles lie so that it does not exist.
 * L. E. Dubins, "On curves of minimal length with a constraint on average curvature", Amer. J. Math. 79 (1957) 497-516.
 * @throws {RangeError} a radius that is not positive and finite
 */
export function dubinsWord(from: Pose, to: Pose, radiusM: number, word: DubinsWord): DubinsTrack | null {
  const [first, middle, last] = [word[0]!, word[1]!, word[2]!];
  if (middle === 'S') {
    const track = cscTrack(from, to, [SIDE[first]!, SIDE[last]!], radiusM);
    return track && { word, lengthM: track.lengthM, chain: cscChain(from, track) };
  }
  return threeArcs(from, to, radiusM, word, SIDE[first]!);
}

/** The shortest track between two poses that nowhere turns tighter than the radius; there always is one. */
export function dubinsShortest(from: Pose, to: Pose, radiusM: number): DubinsTrack {
  let best: DubinsTrack | null = null;
  for (const word of DUBINS_WORDS) {
    const track = dubinsWord(from, to, radiusM, word);
    if (track && (best === null || track.lengthM < best.lengthM)) best = track;
  }
  // LSL exists for any two poses.
  if (!best) throw new RangeError('dubinsShortest: no track');
  return best;
}

/** Three arcs that touch: the middle circle lies on either side of the line between the outer two. */
function threeArcs(from: Pose, to: Pose, radiusM: number, word: DubinsWord, side: Side): DubinsTrack | null {
  const c0 = circleCentre(from, side, radiusM);
  const c1 = circleCentre(to, side, radiusM);
  const apartM = Math.hypot(c1.xM - c0.xM, c1.yM - c0.yM);
  if (apartM > 4 * radiusM || apartM < 1e-12) return null;
  const lineRad = Math.atan2(c1.yM - c0.yM, c1.xM - c0.xM);
  const leanRad = Math.acos(Math.min(1, apartM / (4 * radiusM)));
  const tracks = [leanRad, -leanRad].map(lean => {
    const toMiddleRad = lineRad + lean;
    const middle = {
      xM: c0.xM + 2 * radiusM * Math.cos(toMiddleRad),
      yM: c0.yM + 2 * radiusM * Math.sin(toMiddleRad),
    };
    // Where circles touch, the heading is square to the line of their centres.
    const headingAt1 = toMiddleRad + (side * Math.PI) / 2;
    const headingAt2 = Math.atan2(middle.yM - c1.yM, middle.xM - c1.xM) + (side * Math.PI) / 2;
    const turns = [
      turned(from.headingRad, headingAt1, side),
      turned(headingAt1, headingAt2, -side as Side),
      turned(headingAt2, to.headingRad, side),
    ] as const;
    return { turns, lengthM: radiusM * (turns[0] + turns[1] + turns[2]) };
  });
  const shorter = tracks[0]!.lengthM <= tracks[1]!.lengthM ? tracks[0]! : tracks[1]!;
  const chain = chainOf(
    from,
    shorter.turns.map((turn, index) => ({
      kind: 'turn' as const,
      radiusM,
      sweepRad: (index === 1 ? -side : side) * turn,
    })),
  );
  return { word, lengthM: shorter.lengthM, chain };
}

function circleCentre({ at, headingRad }: Pose, side: Side, radiusM: number) {
  return { xM: at.xM - side * radiusM * Math.sin(headingRad), yM: at.yM + side * radiusM * Math.cos(headingRad) };
}

function turned(fromRad: number, toRad: number, side: Side): number {
  const wrapped = (side * (toRad - fromRad)) % FULL_TURN_RAD;
  const positive = wrapped < 0 ? wrapped + FULL_TURN_RAD : wrapped;
  return FULL_TURN_RAD - positive < 1e-9 ? 0 : positive;
}

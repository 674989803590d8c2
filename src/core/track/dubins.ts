import { normaliseRad } from '../geometry/angles';
import { chainOf, type Chain } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import { cscChain, cscTrack, type CscTrack, type Side } from './csc';

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
  const moves = wordMoves(from, to, radiusM, word);
  return moves && withChain(from, moves);
}

/** The shortest track between two poses that nowhere turns tighter than the radius; there always is one. */
export function dubinsShortest(from: Pose, to: Pose, radiusM: number): DubinsTrack {
  let best: WordMoves | null = null;
  for (const word of DUBINS_WORDS) {
    const moves = wordMoves(from, to, radiusM, word);
    if (moves && (best === null || moves.lengthM < best.lengthM)) best = moves;
  }
  // LSL exists for any two poses.
  if (!best) throw new RangeError('dubinsShortest: no track');
  return withChain(from, best);
}

/** A word with its lengths: two turns about a straight, or three turns. */
type WordMoves =
  | { kind: 'straight'; word: DubinsWord; lengthM: number; track: CscTrack }
  | { kind: 'turns'; word: DubinsWord; lengthM: number; side: Side; radiusM: number; turnsRad: readonly number[] };

function wordMoves(from: Pose, to: Pose, radiusM: number, word: DubinsWord): WordMoves | null {
  const side = SIDE[word[0]!]!;
  if (word[1] !== 'S') return threeTurns(from, to, radiusM, word, side);
  const track = cscTrack(from, to, [side, SIDE[word[2]!]!], radiusM);
  return track && { kind: 'straight', word, lengthM: track.lengthM, track };
}

function withChain(from: Pose, moves: WordMoves): DubinsTrack {
  const { word, lengthM } = moves;
  if (moves.kind === 'straight') return { word, lengthM, chain: cscChain(from, moves.track) };
  const { side, radiusM, turnsRad } = moves;
  const turns = turnsRad.map((turn, index) => (index === 1 ? -side : side) * turn);
  return {
    word,
    lengthM,
    chain: chainOf(
      from,
      turns.map(sweepRad => ({ kind: 'turn', radiusM, sweepRad })),
    ),
  };
}

/** Three arcs that touch: the middle circle lies on either side of the line between the outer two. */
function threeTurns(from: Pose, to: Pose, radiusM: number, word: DubinsWord, side: Side): WordMoves | null {
  const c0 = circleCentre(from, side, radiusM);
  const c1 = circleCentre(to, side, radiusM);
  const apartM = Math.hypot(c1.xM - c0.xM, c1.yM - c0.yM);
  if (apartM > 4 * radiusM || apartM < 1e-12) return null;
  const lineRad = Math.atan2(c1.yM - c0.yM, c1.xM - c0.xM);
  const leanRad = Math.acos(Math.min(1, apartM / (4 * radiusM)));
  const tracks = [leanRad, -leanRad].map(lean => {
    const toMiddleRad = lineRad + lean;
    const middleXM = c0.xM + 2 * radiusM * Math.cos(toMiddleRad);
    const middleYM = c0.yM + 2 * radiusM * Math.sin(toMiddleRad);
    // Where circles touch, the heading is square to the line of their centres.
    const heading1 = toMiddleRad + (side * Math.PI) / 2;
    const heading2 = Math.atan2(middleYM - c1.yM, middleXM - c1.xM) + (side * Math.PI) / 2;
    const turnsRad = [
      turned(from.headingRad, heading1, side),
      turned(heading1, heading2, -side as Side),
      turned(heading2, to.headingRad, side),
    ] as const;
    return { turnsRad, lengthM: radiusM * (turnsRad[0] + turnsRad[1] + turnsRad[2]) };
  });
  const shorter = tracks[0]!.lengthM <= tracks[1]!.lengthM ? tracks[0]! : tracks[1]!;
  return { kind: 'turns', word, side, radiusM, ...shorter };
}

function circleCentre({ at, headingRad }: Pose, side: Side, radiusM: number) {
  return { xM: at.xM - side * radiusM * Math.sin(headingRad), yM: at.yM + side * radiusM * Math.cos(headingRad) };
}

function turned(fromRad: number, toRad: number, side: Side): number {
  const positive = normaliseRad(side * (toRad - fromRad));
  return FULL_TURN_RAD - positive < 1e-9 ? 0 : positive;
}

import { distanceM, type PointM } from '../geometry/pointM';
import { isVoid } from '../record/passJudged';
import { standingMarks } from '../record/passMark';
import type { PassRecord } from '../record/passRecord';

/** A place of the sand where trouble came back: in how many passes, by how many pairs. */
export type SpotsTogether = { at: PointM; passes: number; pairs: number };

/** Common practice, no source: a spot tapped on a phone is so near to where it was, metres. */
const NEAR_M = 3;
/** Once is chance, twice may be: from the third time on it is said. */
const LEAST = 3;

/**
 * Where trouble was tapped in three passes or more today, the most first. Live, so without asking whether it is beyond chance:
 * that is for the review. A slip in sideways work is where that work is, so it says nothing of the ground by itself.
 * @param passes - over one piece of sand, of any pair
 */
export function spotsTogether(passes: readonly Pick<PassRecord, 'id' | 'pairId' | 'marks'>[]): SpotsTogether[] {
  const spots = passes
    .filter(pass => !isVoid(pass))
    .flatMap(({ id, pairId, marks }) =>
      standingMarks(marks).flatMap(mark => (mark.kind === 'spot' ? [{ pass: id, pairId, at: mark.at }] : [])),
    );
  const found: SpotsTogether[] = [];
  let left = spots;
  for (;;) {
    const best = left
      .map(spot => left.filter(other => distanceM(other.at, spot.at) <= NEAR_M))
      .sort((a, b) => passesIn(b) - passesIn(a))[0];
    if (!best || passesIn(best) < LEAST) return found;
    const at = {
      xM: best.reduce((sum, spot) => sum + spot.at.xM, 0) / best.length,
      yM: best.reduce((sum, spot) => sum + spot.at.yM, 0) / best.length,
    };
    found.push({ at, passes: passesIn(best), pairs: new Set(best.map(({ pairId }) => pairId)).size });
    left = left.filter(spot => !best.includes(spot));
  }
}

const passesIn = (spots: readonly { pass: string }[]) => new Set(spots.map(({ pass }) => pass)).size;

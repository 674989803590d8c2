import { holm } from '../statistics/holm';
import { distanceM, type PointM } from '../geometry/pointM';
import { poissonAtLeast } from '../statistics/proportions';
import { PLACE_M, stratumOf, type Visit } from './sandVisits';

/** A place on the sand, with what was ridden there and what would have gone wrong if it were like any other. */
export type SandPlace = {
  at: PointM;
  visits: number;
  troubles: number;
  expected: number;
  /** How likely so many are by chance alone. */
  p: number;
  /** Beyond chance, with all the places that were looked at allowed for. */
  standsOut: boolean;
  /** Whether it is the place, since several pairs have trouble there, or one pair; null where it does not stand out. */
  whose: 'place' | 'pair' | null;
  /** The pair that most of the trouble is of. */
  pairId: string | null;
  /** Nothing stands there: it was only ridden through. */
  isWay: boolean;
};

/** Whether a place is shown at all: sand that was only ridden through is told where something went wrong on it. */
export const isShownPlace = ({ visits, troubles, isWay }: SandPlace): boolean => visits > 0 && (!isWay || troubles > 0);

/** Fewer visits or troubles than this say nothing of a place. */
const LEAST_VISITS = 20;
const LEAST_TROUBLES = 5;
const LEVEL = 0.05;
/** A pair that was there less often says nothing of whether it is the place. */
const LEAST_OF_PAIR = 8;
/** More of the trouble than this, and it is that pair's. */
const MOST_OF_PAIR = 0.7;

/**
 * Where on the sand more goes wrong than elsewhere. Each pair in each question, over each kind of thing, is compared with itself
 * at all other places (what is expected is that of Mantel and Haenszel 1959, J. Natl. Cancer Inst. 22:719-748; from memory), so that a
 * place that only a clumsy pair rides does not stand out; and so many places are looked at that the level is shared among
 * them (Holm 1979, Scand. J. Stat. 6:65-70; from memory).
 */
export function sandMap(visits: readonly Visit[]): SandPlace[] {
  const clusters = clustersOf(visits);
  const strata = strataOf(visits);
  const places = clusters.map(({ at, own }) => ({ at, own, ...compared(own, strata) }));
  const tested = places.filter(({ visits: n, troubles }) => n >= LEAST_VISITS && troubles >= LEAST_TROUBLES);
  const holds = holm(
    tested.map(({ p }) => p),
    LEVEL,
  );
  const out = new Set(tested.filter((_, index) => holds[index]).map(({ at }) => at));
  return places.map(({ own, ...place }) => {
    const standsOut = out.has(place.at);
    const { whose, pairId } = standsOut ? whoseTrouble(own, strata) : { whose: null, pairId: null };
    return { ...place, standsOut, whose, pairId, isWay: own.every(({ isWay }) => isWay === true) };
  });
}

function clustersOf(visits: readonly Visit[]): { at: PointM; own: Visit[] }[] {
  const clusters: { at: PointM; own: Visit[] }[] = [];
  const known = new Map<string, (typeof clusters)[number]>();
  for (const visit of visits) {
    const key = `${visit.at.xM} ${visit.at.yM}`;
    const before = known.get(key) ?? clusters.find(({ at }) => distanceM(at, visit.at) <= PLACE_M);
    const cluster = before ?? { at: visit.at, own: [] };
    if (!before) clusters.push(cluster);
    cluster.own.push(visit);
    known.set(key, cluster);
  }
  return clusters;
}

type Stratum = { pairId: string; visits: number; troubles: number };

function strataOf(visits: readonly Visit[]): Map<string, Stratum> {
  const strata = new Map<string, Stratum>();
  for (const visit of visits) {
    const stratum = strata.get(stratumOf(visit)) ?? { pairId: visit.pairId, visits: 0, troubles: 0 };
    stratum.visits += visit.rides;
    stratum.troubles += visit.troubles;
    strata.set(stratumOf(visit), stratum);
  }
  return strata;
}

/** What was seen at a place against what each pair does elsewhere; with few troubles the tail is Poisson's, not normal. */
function compared(own: readonly Visit[], strata: ReadonlyMap<string, Stratum>) {
  let [visits, troubles, expected] = [0, 0, 0];
  for (const [key, here] of strataOf(own)) {
    const all = strata.get(key)!;
    visits += here.visits;
    troubles += here.troubles;
    expected += (here.visits * all.troubles) / all.visits;
  }
  return { visits, troubles, expected, p: poissonAtLeast(troubles, expected) };
}

/** Whether several pairs have more trouble at a place than elsewhere, or one. */
function whoseTrouble(own: readonly Visit[], strata: ReadonlyMap<string, Stratum>) {
  const excess = new Map<string, { visits: number; over: number }>();
  for (const [key, here] of strataOf(own)) {
    const all = strata.get(key)!;
    const { pairId } = here;
    const before = excess.get(pairId) ?? { visits: 0, over: 0 };
    const elsewhere = all.visits - here.visits;
    // What is ridden nowhere else has nothing to be held against.
    const over = elsewhere > 0 ? here.troubles - (here.visits * (all.troubles - here.troubles)) / elsewhere : 0;
    excess.set(pairId, { visits: before.visits + here.visits, over: before.over + over });
  }
  const pairs = [...excess].filter(([, { visits }]) => visits >= LEAST_OF_PAIR).sort((a, b) => b[1].over - a[1].over);
  const total = pairs.reduce((sum, [, { over }]) => sum + Math.max(0, over), 0);
  const [most] = pairs;
  const several = pairs.filter(([, { over }]) => over > 0).length > 1;
  const isPlace = several && most !== undefined && most[1].over < MOST_OF_PAIR * total;
  return { whose: isPlace ? ('place' as const) : ('pair' as const), pairId: most?.[0] ?? null };
}

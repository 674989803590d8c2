import { distanceM, type PointM } from '../geometry/pointM';
import { stopsCameTo } from '../record/passEnd';
import { daysOf, readDays, type ReviewDay } from './byDay';
import { placeAt } from './gaitReview';
import type { RiddenGround } from './ground';
import { grouped, type DayPass, type ReviewPass } from './reviewPass';
import { cellAt } from './wayCells';

/** Rides past a place: by whom, in which question, over what, how many, and in how many of them something went wrong there. */
export type Visit = {
  at: PointM;
  pairId: string;
  key: string;
  isFence: boolean;
  /** A square of sand between the stops, or on the flat. */
  isWay?: boolean;
  rides: number;
  troubles: number;
};

/** What lies so near is one place, metres. */
export const PLACE_M = 3;

/** Counts and take-offs speak of the distance before a fence, not of the place it stands at. */
const isOfDistance = (what: string) => what.startsWith('strides') || what.endsWith('take-off');

/** What was ridden over in some passes, and how often it went wrong; a spot that was tapped belongs to what is nearest. */
export function visitsOf(passes: readonly DayPass[]): Visit[] {
  const ridden = ridesTogether(daysOf(passes).flatMap(ridesOfDay));
  // What stands there comes first: the sand around it belongs to it.
  return together([...ridden.flatMap(stopVisits), ...ridden.flatMap(wayVisits)]);
}

/** The rides of a pair over a ground, in one question. */
type GroundRides = Rides & Pick<ReviewPass, 'pairId' | 'key' | 'ground'>;

/** How often each stop was come to and went wrong; how many rides were whole; and where on their way something went wrong. */
type Rides = {
  stops: { rides: number; troubles: number }[];
  whole: number;
  /** By the how manieth square of the ground, and stretch on which the horse goes sideways. */
  cells: Map<number, number>;
  asides: Map<number, number>;
};

function ridesOfDay(day: ReviewDay): GroundRides[] {
  const { pairId, key } = day[0]!;
  return dayRides(day).map(({ index, rides }) => ({ ...rides, pairId, key, ground: day[index]!.ground }));
}

/** The rides of a day over each of its grounds (as drawn, and mirrored), with the first pass over it. */
export const dayRides = readDays(
  'sand',
  day => {
    const grounds = [...grouped(day, ({ ground }) => String(day.findIndex(one => one.ground === ground)))];
    return grounds.map(([index, passes]) => ({ index: Number(index), rides: ridesOf(passes) }));
  },
  {
    pack: grounds =>
      grounds.map(({ index, rides: { stops, whole, cells, asides } }): PackedRides => {
        const counts = stops.flatMap(({ rides, troubles }) => [rides, troubles]);
        return [index, counts, whole, [...cells], [...asides]];
      }),
    unpack: packed =>
      (packed as PackedRides[]).map(([index, counts, whole, cells, asides]) => {
        const stops = counts.flatMap((rides, at) => (at % 2 === 0 ? [{ rides, troubles: counts[at + 1]! }] : []));
        return { index, rides: { stops, whole, cells: new Map(cells), asides: new Map(asides) } };
      }),
  },
);

type PackedRides = [
  index: number,
  counts: number[],
  whole: number,
  cells: [number, number][],
  asides: [number, number][],
];

/** Of a ride that was broken off nobody knows how far it came between its stops. */
const isWhole = (pass: ReviewPass) =>
  !pass.isVoid && new Set(stopsCameTo(pass, pass.ground.stops.length)).size === pass.ground.stops.length;

/** Passes over one ground. */
function ridesOf(passes: readonly ReviewPass[]): Rides {
  const { stops, cells, asides } = passes[0]!.ground;
  const whole = passes.filter(isWhole);
  const counted = stops.map(() => ({ rides: 0, troubles: 0 }));
  for (const pass of passes) addStops(counted, pass);
  return {
    ...{ stops: counted, whole: whole.length },
    // A spot is trouble in the square it lies in.
    cells: timesIn(cells, whole, pass => spotsIn(pass).flatMap(spot => cellAt(cells, spot) ?? [])),
    asides: timesIn(asides, whole, pass => slipsIn(pass).flatMap(slip => nearestOf(asides, slip) ?? [])),
  };
}

function addStops(counted: { rides: number; troubles: number }[], pass: ReviewPass): void {
  if (pass.isVoid) return;
  const { stops } = pass.ground;
  const wrong = new Set(pass.faults.flatMap(({ what, place }) => (isOfDistance(what) ? [] : (place ?? []))));
  const spots = spotsIn(pass);
  for (const index of new Set(stopsCameTo(pass, stops.length))) {
    const near = spots.some(spot => distanceM(spot, stops[index]!.at) <= PLACE_M);
    counted[index]!.rides += 1;
    counted[index]!.troubles += near || wrong.has(index + 1) ? 1 : 0;
  }
}

/** In how many passes something lay at each place, by the how manieth it is; those with nothing are left out. */
function timesIn(
  places: readonly PointM[],
  passes: readonly ReviewPass[],
  placesIn: (pass: ReviewPass) => PointM[],
): Map<number, number> {
  const times = new Map<number, number>();
  for (const pass of passes) for (const at of new Set(placesIn(pass))) addTo(times, places.indexOf(at), 1);
  return times;
}

function addTo<Key>(sums: Map<Key, number>, key: Key, more: number): void {
  sums.set(key, (sums.get(key) ?? 0) + more);
}

/** Rides of a pair in one question over the same ground, added up. */
function ridesTogether(ridden: readonly GroundRides[]): GroundRides[] {
  const byGround = new Map<RiddenGround, Map<string, GroundRides>>();
  for (const one of ridden) {
    const sums = byGround.get(one.ground) ?? new Map<string, GroundRides>();
    byGround.set(one.ground, sums);
    const name = `${one.pairId} ${one.key}`;
    const sum = sums.get(name);
    if (sum) addRides(sum, one);
    else sums.set(name, copyOf(one));
  }
  return [...byGround.values()].flatMap(sums => [...sums.values()]);
}

/** What a day says is added up in a copy of it. */
function copyOf(one: GroundRides): GroundRides {
  const stops = one.stops.map(stop => ({ ...stop }));
  return { ...one, stops, cells: new Map(one.cells), asides: new Map(one.asides) };
}

function addRides(sum: GroundRides, one: GroundRides): void {
  sum.whole += one.whole;
  for (const [index, { rides, troubles }] of one.stops.entries()) {
    sum.stops[index]!.rides += rides;
    sum.stops[index]!.troubles += troubles;
  }
  for (const [cell, times] of one.cells) addTo(sum.cells, cell, times);
  for (const [aside, times] of one.asides) addTo(sum.asides, aside, times);
}

function stopVisits({ pairId, key, ground, stops }: GroundRides): Visit[] {
  return stops.flatMap(({ rides, troubles }, index) => {
    const { at, isFence } = ground.stops[index]!;
    return rides === 0 ? [] : [{ at, pairId, key, isFence, rides, troubles }];
  });
}

/**
 * The squares of sand between the stops, and all of them on the flat. A horse slips only where it goes sideways: such places are held
 * against each other, and not against what is ridden on one track, whatever the question.
 */
function wayVisits({ pairId, key, ground, whole, cells, asides }: GroundRides): Visit[] {
  if (whole === 0) return [];
  const visit = (at: PointM, asked: string, troubles = 0): Visit => ({
    ...{ at, pairId, key: asked, isFence: false, isWay: true, rides: whole, troubles },
  });
  return [
    ...ground.cells.map((at, index) => visit(at, key, cells.get(index))),
    ...ground.asides.map((at, index) => visit(at, 'sideways', asides.get(index))),
  ];
}

const slipsIn = ({ marks }: Pick<ReviewPass, 'marks'>) =>
  marks.flatMap(mark => (mark.kind === 'slip' && mark.at ? [mark.at] : []));

function nearestOf(places: readonly PointM[], at: PointM): PointM | null {
  return places.reduce<PointM | null>(
    (best, place) => (best && distanceM(best, at) <= distanceM(place, at) ? best : place),
    null,
  );
}

const tappedIn = ({ marks }: Pick<ReviewPass, 'marks'>) =>
  marks.flatMap(mark => (mark.kind === 'spot' ? [mark.at] : []));

/** Spots that were tapped, and where a gait slipped on the flat. */
const spotsIn = ({ marks, ground }: Pick<ReviewPass, 'marks' | 'ground'>) =>
  marks.flatMap(mark => {
    if (mark.kind === 'spot') return [mark.at];
    const slipped = mark.kind === 'gait' && mark.fromM !== undefined && mark.ridden !== (mark.asked ?? ground.gait);
    return slipped ? (placeAt(ground, mark.fromM!) ?? []) : [];
  });

/** What a visit is compared with: the same pair in the same question, over the same kind of thing. */
export const stratumOf = ({ pairId, key, isFence, isWay = false }: Visit) => `${pairId} ${isFence} ${isWay} ${key}`;

/** Rides of the same pair over the same thing at the same place, added up. */
function together(visits: readonly Visit[]): Visit[] {
  const sums = new Map<string, Visit>();
  for (const visit of visits) {
    const key = `${visit.at.xM} ${visit.at.yM} ${stratumOf(visit)}`;
    const sum = sums.get(key);
    if (!sum) sums.set(key, { ...visit });
    else {
      sum.rides += visit.rides;
      sum.troubles += visit.troubles;
    }
  }
  return [...sums.values()];
}

/** Where spots were tapped, wherever they lie. */
export function spotsOf(passes: readonly DayPass[]): PointM[] {
  return daysOf(passes).flatMap(daySpots);
}

export const daySpots = readDays('spots', day => day.flatMap(tappedIn));

import { isRidden, type RiddenItem } from '../items/item';
import { readDistance, readCount, type TestedStride } from '../stride/readDistance';
import type { DistanceCase } from '../stride/distanceRule';
import type { Approach, Setting } from '../stride/school';
import { gaitRadiusM } from '../track/gaitRadius';
import {
  fittingRadiusM,
  groundCost,
  leastTurnM,
  turnShare,
  USUAL_LEAN_RAD,
  type TooTightTurn,
  type TurningHorse,
} from '../track/turnCost';
import { ridingDepthM } from '../items/footprint';
import { legTrack, measureLeg, type LegGround, type RiddenEnd } from '../track/leg';
import { joinChains } from '../geometry/chain';
import { distanceM } from '../geometry/pointM';
import { measureCourse } from '../course/measureCourse';
import { measureSession } from '../figures/measureSession';
import { rideSession } from '../figures/rideSession';
import { ownLine } from './ownLine';
import type { FigureTrack, ItemTrack, Layout, LayoutHorse, PlannedLeg } from './layout';
import type { TrackGait } from './trackGait';
import type { HorseReading, ReckonedLeg } from './reckonedLeg';
import type { ReckonedFigureTrack, ReckonedItemTrack, ReckonedTrack } from './reckonedTrack';
import { settingAt, layoutStride, laneStride, longestStrideM } from './layoutStrides';

/**
 * The tracks of a layout with every leg and every horse's reading of it.
 * @throws {RangeError} a layout that names items it does not have: the layout file refuses those first
 */
export function reckonLayout(layout: Layout): ReckonedTrack[] {
  return layoutReckoner()(layout);
}

/**
 * Reckons layouts one after the other, and remembers the legs and sessions of the last: what was not touched comes back as
 * the very same object, so that moving one fence reckons two legs anew. The numbers are the same with and without it.
 */
export function layoutReckoner(): (layout: Layout) => ReckonedTrack[] {
  let known = new Map<string, Remembered>();
  return layout => {
    const next: typeof known = new Map();
    const remember: Remember = (key, inputs, reckon) => {
      const before = known.get(key);
      const same = before?.inputs.length === inputs.length && before.inputs.every((input, i) => input === inputs[i]);
      const entry = same ? before : { inputs, value: reckon() };
      next.set(key, entry);
      return entry.value as ReturnType<typeof reckon>;
    };
    const tracks = layout.tracks.map(track =>
      track.kind === 'items'
        ? reckonItemTrack(layout, track, remember)
        : remember(`${track.id} session`, [layout.arena, track.gait, ...track.figures], () =>
            reckonFigureTrack(layout, track),
          ),
    );
    known = next;
    return tracks;
  };
}

type Remembered = { inputs: readonly unknown[]; value: unknown };
type Remember = <Value>(key: string, inputs: readonly unknown[], reckon: () => Value) => Value;

const reckonAnew: Remember = (_, __, reckon) => reckon();

function reckonFigureTrack({ arena }: Layout, { id, figures, gait }: FigureTrack): ReckonedFigureTrack {
  const session = rideSession(arena, figures, gait);
  const measure = session.ok ? measureSession(arena, session.pieces) : null;
  return {
    kind: 'figures',
    id,
    lengthM: measure?.lengthM ?? 0,
    smallestRadiusM: measure?.smallestRadiusM ?? null,
    session,
    measure,
  };
}

/** A track over items with every leg and every horse's reading of it. */
export function reckonItemTrack(layout: Layout, track: ItemTrack, remember: Remember = reckonAnew): ReckonedItemTrack {
  const ends = track.through.map(({ item, reversed }) => ({ item: riddenItem(layout, item), reversed }));
  const ground = legGroundOf(layout, track);
  const { arena, horses, school } = layout;
  const own = track.legs.map((leg, index) => {
    const [from, to] = [ends[index]!, ends[index + 1]!];
    const inputs = [
      from.item,
      from.reversed,
      to.item,
      to.reversed,
      leg,
      track.gait,
      arena,
      horses,
      school,
      layout.leanRad,
      track.ownLines,
    ];
    return remember(`${track.id} ${index}`, inputs, () => reckonLeg(layout, track, from, to, leg, ground));
  });
  const legs = own.map((leg, index) =>
    hasPoledGap(layout, track, index)
      ? remember(`${track.id} ${index} gap`, [own[index - 1], leg], () =>
          withGap(layout, track, index, own[index - 1]!, leg),
        )
      : leg,
  );
  const radii = legs.flatMap(leg => (leg.smallestRadiusM === null ? [] : [leg.smallestRadiusM]));
  const isFence = (id: string) => layout.items.some(item => item.id === id && item.kind === 'fence');
  const order = track.through.map(({ item }) => item);
  return {
    kind: 'items',
    id: track.id,
    lengthM: legs.reduce((sum, leg) => sum + leg.trackM, 0),
    smallestRadiusM: radii.length === 0 ? null : Math.min(...radii),
    legs,
    course: track.course && measureCourse(track.course, order, legs, isFence),
  };
}

/** What the legs of a track are laid on. */
export function legGroundOf(
  { arena, horses }: Pick<Layout, 'arena' | 'horses'>,
  { gait }: Pick<ItemTrack, 'gait'>,
): LegGround {
  return { arena, smallestRadiusM: gaitRadiusM(gait), strideM: longestStrideM(horses, gait) };
}

/** The two ends of a leg of a track, as they are ridden. */
export function legEnds(layout: Layout, { through }: ItemTrack, leg: number): [RiddenEnd, RiddenEnd] {
  const end = ({ item, reversed }: ItemTrack['through'][number]) => ({ item: riddenItem(layout, item), reversed });
  return [end(through[leg]!), end(through[leg + 1]!)];
}

function riddenItem(layout: Layout, id: string): RiddenItem {
  const item = layout.items.find(candidate => candidate.id === id);
  if (!item || !isRidden(item)) throw new RangeError(`reckonLayout: no ridden item “${id}”`);
  return item;
}

function reckonLeg(
  layout: Layout,
  { gait, ownLines = false }: Pick<ItemTrack, 'gait' | 'ownLines'>,
  from: RiddenEnd,
  to: RiddenEnd,
  leg: PlannedLeg,
  ground: LegGround,
): ReckonedLeg {
  const track = legTrack(from, to, leg, ground);
  if (!track.ok) throw new RangeError(`reckonLayout: ${track.reason} from “${from.item.id}” to “${to.item.id}”`);
  const measures = measureLeg(from.item, to.item, track.chain);
  const setting = settingAt(gait, leg);
  const distance = distanceCase(layout, setting, leg.approach, from.item, to.item);
  const fittingM = fittingTurnM(layout, gait);
  const cost = groundCost(track.chain, ridingDepthM(from.item) / 2, measures.groundM, fittingM);
  const readings = layout.horses.flatMap(horse => {
    const stride = layoutStride(horse, gait, setting);
    if (!stride) return [];
    // Over a fan each horse turns on its own line, and is read by it.
    const own = ownLines ? ownLine(from, to, stride.normalM) : null;
    const radiusM = own?.radiusM ?? measures.smallestRadiusM ?? Infinity;
    const countedM = own ? own.groundM / turnShare(own.radiusM, fittingM ?? 0) : cost.countedM;
    const leastM = leastTurnM(gait, turningHorse(horse, gait), fittingM);
    return radiusM < leastM - SAME_RADIUS_M
      ? cannotBeRidden(horse, { radiusM, leastM }, countedM, distance, stride)
      : { ...horseReading(horse, countedM, distance, stride, leg.asked), ownLine: own };
  });
  const { chain, instead } = track;
  return { from: from.item.id, to: to.item.id, ...measures, cost, gap: null, chain, instead, readings };
}

/** Whether a leg leads from a pole to a fence of a grid, and the pole lies in the gap from the fence before. */
export function hasPoledGap(layout: Layout, track: ItemTrack, leg: number): boolean {
  const before = track.legs[leg - 1];
  const planned = track.legs[leg];
  if (!before || !planned) return false;
  const isGrid = settingAt(track.gait, before) === 'grid' && settingAt(track.gait, planned) === 'grid';
  if (!isGrid || planned.approach === 'trot') return false;
  const [from, pole, to] = [leg - 1, leg, leg + 1].map(stop => riddenItem(layout, track.through[stop]!.item));
  if (from?.kind !== 'fence' || pole?.kind !== 'pole' || to?.kind !== 'fence') return false;
  // A pole a stride and more from a fence is jumped to by itself, as a fence that lies on the ground.
  const nearM = longestStrideM(layout.horses, track.gait);
  return [from, to].every(fence => distanceM(fence.at, pole.at) - ridingDepthM(fence) / 2 < nearM);
}

/** The leg from a pole to the fence behind it, read as the whole gap from the fence before the pole. */
function withGap(layout: Layout, track: ItemTrack, index: number, first: ReckonedLeg, leg: ReckonedLeg): ReckonedLeg {
  const { gait } = track;
  const chain = joinChains([first.chain, leg.chain]);
  const from = riddenItem(layout, track.through[index - 1]!.item);
  const groundM = first.groundM + leg.groundM;
  const cost = groundCost(chain, ridingDepthM(from) / 2, groundM, fittingTurnM(layout, gait));
  const distance = distanceCaseOf(layout, track, index);
  const readings = leg.readings.flatMap(reading => {
    const horse = layout.horses.find(({ id }) => id === reading.horseId)!;
    const stride = layoutStride(horse, gait, 'grid');
    if (!stride || reading.cannot) return [reading];
    return [horseReading(horse, cost.countedM, distance, stride, track.legs[index]!.asked)];
  });
  return { ...leg, readings, gap: { from: from.id, groundM, chain, cost } };
}

/** The ground that a leg is read by, as it counts for strides: its own, or that of the gap it ends. */
export const countedGroundM = ({ gap, cost }: Pick<ReckonedLeg, 'gap' | 'cost'>): number =>
  (gap ?? { cost }).cost.countedM;

/** Radii nearer than this are the same. */
const SAME_RADIUS_M = 1e-6;

/** The tightest turn that fits the speed of a gait as the layout's yard leans; null where turns cost nothing there. */
export function fittingTurnM({ leanRad = USUAL_LEAN_RAD }: Pick<Layout, 'leanRad'>, gait: TrackGait): number | null {
  return leanRad === null ? null : fittingRadiusM(gait, leanRad);
}

/** What of a horse says how tight it can turn. */
export function turningHorse(horse: LayoutHorse, gait: TrackGait): TurningHorse {
  const flat = laneStride(horse, gait === 'course-canter' ? 'canter' : gait);
  return { level: horse.level, shortShare: flat ? flat.shortM / flat.normalM : 1 };
}

/** What no count is called for: no options, no chances, nothing judged. */
function cannotBeRidden(
  horse: LayoutHorse,
  cannot: TooTightTurn,
  countedM: number,
  distance: DistanceCase,
  stride: TestedStride,
): HorseReading {
  const { normalM, evenCount, zeroIs } = readDistance(countedM, distance, stride);
  return {
    ...{
      horseId: horse.id,
      horse: horse.name,
      normalM,
      evenCount,
      zeroIs,
      options: [],
      asked: null,
      cannot,
      ownLine: null,
    },
    call: CANNOT_CALL,
  };
}

/** What is said where no count can be called. */
export const CANNOT_CALL = 'cannot be ridden at this gait';

function distanceCase(
  { school }: Layout,
  setting: Setting,
  approach: Approach,
  from: RiddenItem,
  to: RiddenItem,
): DistanceCase {
  return { school, setting, approach, from, to };
}

/** How the distance of one leg of a track is reckoned. */
export function distanceCaseOf(layout: Layout, track: ItemTrack, leg: number): DistanceCase {
  const planned = track.legs[leg]!;
  const item = (index: number) => riddenItem(layout, track.through[index]!.item);
  const from = hasPoledGap(layout, track, leg) ? leg - 1 : leg;
  return distanceCase(layout, settingAt(track.gait, planned), planned.approach, item(from), item(leg + 1));
}

function horseReading(
  horse: LayoutHorse,
  countedM: number,
  distance: DistanceCase,
  stride: TestedStride,
  asked: number | null,
): HorseReading {
  const judged = asked === null ? null : readCount(countedM, asked, distance, stride);
  return {
    ...{ horseId: horse.id, horse: horse.name },
    ...readDistance(countedM, distance, stride),
    cannot: null,
    ownLine: null,
    asked: asked === null || !judged ? null : { strides: asked, ...judged },
  };
}

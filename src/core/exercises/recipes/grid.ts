import { pointAlong } from '../../geometry/pointM';
import { ridingDepthM } from '../../items/footprint';
import type { Fence, GuideRail, Item, RiddenItem } from '../../items/item';
import type { ExerciseGround, Guidance, LaidExercise, Recipe } from '../exercise';
import { withLength } from '../withLength';
import {
  ahead,
  fenceAt,
  FENCE_WIDTH_M,
  groundFor,
  poleAt,
  quarterLine,
  stage,
  trackThrough,
  usualHeights,
  type Heights,
} from './parts';

/**
 * What comes next in a grid: how many strides on, and what it is. "half" is a canter pole halfway to the next fence,
 * "land" a landing pole.
 */
export const GRID_ELEMENTS = [
  'place',
  'cross',
  'bounce cross',
  'one vertical',
  'one oxer',
  'two vertical',
  'two oxer',
  'half',
  'land',
] as const;
export type GridElement = (typeof GRID_ELEMENTS)[number];

/** `drift`: guide rails leaning as a V, tunnel poles behind the fences, or nothing. */
type Params = Heights & {
  elements: readonly string[];
  /** The ground before each element but the first where it is typed; 0 for what the count wants. */
  gapsM: readonly number[];
  approach: string;
  drift: string;
  filler: boolean;
};

const GUIDANCE: Guidance = {
  title: 'A grid',
  purposes: ['footwork', 'confidence', 'straightness', 'rhythm'],
  level: 'novice',
  knowFirst: ['A single fence with ground line and landing pole', 'A placing pole'],
  repetitions: { eachRein: 4, stop: { when: 'repetitions' } },
  failure: 'lower only what failed',
  watchHorse: ['Takes off in the middle of each gap', 'Stays straight to the last fence', 'The same on both leads'],
  watchRider: ['Stays in the middle and lets it come up', 'Upper body not ahead', 'Release over each fence'],
  stand: 'Side-on at the middle; then head-on at the end, out of the way, for straightness.',
  faults: [
    { fault: 'It drifts', remedy: 'Guide rails as a V on the fence, or tunnel poles behind it.' },
    { fault: 'It runs on and gets close', remedy: 'A canter pole halfway, or the gap 10 cm shorter.' },
    { fault: 'It lands close and has to reach', remedy: 'A landing pole, rolled out a little each pass.' },
  ],
  cautions: [
    'Somebody is on the ground whenever fences are jumped.',
    'Empty cups off the stands.',
    'An oxer that is not parallel is never ridden from its back.',
  ],
};

/** Common practice, no source: about 3 m behind a fence for a horse of 12 ft strides, in proportion for another. */
export const LANDING_SHARE = 3 / 3.66;

/** From long to short: what fits the arena is taken. */
const WISHES: GridElement[][] = [
  ['place', 'cross', 'bounce cross', 'bounce cross', 'one vertical', 'half', 'one vertical', 'half', 'one oxer'],
  ['place', 'cross', 'bounce cross', 'one vertical', 'half', 'one oxer'],
  ['place', 'cross', 'bounce cross', 'one vertical', 'one oxer'],
  ['place', 'cross', 'one vertical', 'one oxer'],
  ['place', 'cross', 'bounce cross', 'one oxer'],
  ['place', 'cross', 'one oxer'],
  ['place', 'cross', 'one vertical'],
];

type Placed = { items: RiddenItem[]; legs: { setting: 'grid'; approach: 'canter' | 'trot'; asked: number | null }[] };

/** Grids with placing poles, bounces, one and two strides, guide rails, halfway and landing poles. */
export const grid: Recipe<Params> = {
  kind: 'grid',
  guidance: GUIDANCE,
  wishes: ground =>
    WISHES.map(elements => ({
      elements,
      gapsM: [],
      approach: 'canter',
      ...usualHeights(ground),
      drift: 'rails',
      filler: false,
    })),
  place: (ground, params) => quarterLine(ground, lengthOf(placeElements(ground, params).items)),
  layOut,
  // A gap with a pole halfway is typed as a whole: by either of its halves.
  typed: (params, leg, groundM) => {
    const [before, after] = [params.elements[leg], params.elements[leg + 1]];
    if (after === 'half' && leg + 2 < params.elements.length)
      return { ...params, gapsM: withLength(params.gapsM, leg + 1, 2 * groundM) };
    return { ...params, gapsM: withLength(params.gapsM, leg, before === 'half' && leg > 0 ? 2 * groundM : groundM) };
  },
  oneMore: params => ({ ...params, elements: [...params.elements, 'one vertical'] }),
};

function lengthOf(items: readonly RiddenItem[]): number {
  return items[items.length - 1]!.at.xM;
}

/** Puts the elements one behind the other, each at the ground that was typed for it, else at what its count wants. */
export function placeElements(ground: ExerciseGround, params: Params): Placed {
  const { elements, approach, heightM, filler } = params;
  const items: RiddenItem[] = [];
  const legs: Placed['legs'] = [];
  const bare = elements.map((name, index) => element(name as GridElement, `g${index + 1}`, heightM, filler));
  bare.forEach((item, index) => {
    const from = items[index - 1];
    if (!from) return void items.push(item);
    // The rule of trot holds for the placing pole; behind the first fence a horse canters.
    const legApproach = approach === 'trot' && index === 1 ? ('trot' as const) : ('canter' as const);
    const groundM = gapBefore(ground, params, bare, index, legApproach);
    const atM = from.at.xM + ridingDepthM(from) / 2 + groundM + ridingDepthM(item) / 2;
    items.push({ ...item, at: { xM: atM, yM: 0 } });
    legs.push({ setting: 'grid', approach: legApproach, asked: askedBefore(elements[index] as GridElement) });
  });
  return { items, legs };
}

function element(name: GridElement, id: string, heightM: number, filler: boolean): RiddenItem {
  if (name === 'place' || name === 'half' || name === 'land') return poleAt(id, ahead(0));
  if (name.endsWith('cross')) return fenceAt(id, 'cross-rail', ahead(0), { heightM: heightM * 0.75 });
  if (name.endsWith('vertical')) return fenceAt(id, 'vertical', ahead(0), { heightM, filler });
  return fenceAt(id, 'oxer', ahead(0), { heightM, spreadM: heightM, ridden: 'one-way', filler });
}

/** No stride, one or two; none is asked where a pole only helps. */
function stridesBefore(name: GridElement): number {
  return name.startsWith('two') ? 2 : name.startsWith('one') ? 1 : 0;
}

const askedBefore = (name: GridElement): number | null =>
  name === 'land' || name === 'half' ? null : stridesBefore(name);

/** The ground before an element. A halfway pole lies in the middle of the gap between the fences beside it. */
function gapBefore(
  ground: ExerciseGround,
  params: Params,
  bare: readonly RiddenItem[],
  index: number,
  approach: 'canter' | 'trot',
): number {
  const { elements, gapsM } = params;
  const gapM = (from: number, to: number, strides: number): number => {
    const typedM = gapsM[to - 1] ?? 0;
    if (typedM > 0) return typedM;
    const distance = { gait: 'course-canter', setting: 'grid', approach } as const;
    return groundFor(ground, strides, { ...distance, from: bare[from]!, to: bare[to]! });
  };
  const name = elements[index] as GridElement;
  const next = elements[index + 1] as GridElement | undefined;
  if (name === 'land') return gapsM[index - 1] || LANDING_SHARE * strideM(ground, bare[index - 1]!);
  if (name === 'half')
    return gapM(index - 1, next ? index + 1 : index, next ? Math.max(1, stridesBefore(next)) : 1) / 2;
  if (elements[index - 1] === 'half' && index >= 2) return gapM(index - 2, index, Math.max(1, stridesBefore(name))) / 2;
  return gapM(index - 1, index, stridesBefore(name));
}

/** One stride of the horses, by what one stride in a grid wants: one and a half. */
function strideM(ground: ExerciseGround, fence: RiddenItem): number {
  return groundFor(ground, 1, { gait: 'course-canter', setting: 'grid', from: fence, to: fence }) / 1.5;
}

function layOut(ground: ExerciseGround, params: Params): LaidExercise {
  const { items, legs } = placeElements(ground, params);
  const order = items.map(({ id }) => id);
  const fences = items.filter((item): item is Fence => item.kind === 'fence');
  const guides =
    params.drift === 'rails'
      ? fences.filter(({ form }) => form !== 'cross-rail').flatMap(guidesOf)
      : params.drift === 'tunnel'
        ? fences.flatMap(fence => tunnelBehind(fence, items[items.indexOf(fence) + 1] ?? null))
        : [];
  const upTo = (count: number) => {
    const last = fences[count - 1]!;
    return order.slice(0, order.indexOf(last.id) + 1);
  };
  const built = fences.slice(0, -1).map((_, index) =>
    stage(
      index === 0 ? 'The first fence alone' : `Up to fence ${index + 1}`,
      BUILD_FOCUS[index % BUILD_FOCUS.length]!,
      'half-seat',
      {
        set: { only: upTo(index + 1), guides: false },
      },
    ),
  );
  return {
    items: [...items, ...guides],
    tracks: [trackThrough('grid', 'course-canter', order, legs, GUIDANCE.repetitions.eachRein)],
    stages: [...built, stage('All of it', 'Let the grid do the work', 'half-seat')],
    stand: { xM: lengthOf(items) / 2, yM: 7 },
    facts: items.slice(1).map((item, index) => ({
      what: `from ${pieceWords(items, index)} to ${pieceWords(items, index + 1)}`,
      horse: null,
      lengthM: item.at.xM - items[index]!.at.xM - (ridingDepthM(item) + ridingDepthM(items[index]!)) / 2,
    })),
  };
}

/** A piece by its number among the fences; a pole that helps by what it is. */
function pieceWords(items: readonly RiddenItem[], index: number): string {
  if (items[index]!.kind === 'pole') return 'pole';
  return `fence ${items.slice(0, index + 1).filter(({ kind }) => kind === 'fence').length}`;
}

const BUILD_FOCUS = ['A steady way in', 'Straight to the end', 'Wait for the next one', 'Soft hands over each'];

/**
 * Two rails that lean as a V on the front of a fence, 0.70 m in from its ends, wider on the ground where the horse comes in
 * (common practice, no source: 2 m long, open 1.6 m at a fence of 3 m).
 */
function guidesOf(fence: Fence): (GuideRail & Item)[] {
  const lengthM = 2;
  const leanRad = Math.PI / 9;
  return ([1, -1] as const).map(side => {
    const endM = { xM: fence.at.xM - fence.spreadM / 2, yM: side * (FENCE_WIDTH_M / 2 - 0.7) };
    const headingRad = -side * leanRad;
    return {
      ...{
        kind: 'guide' as const,
        id: `${fence.id}-guide-${side === 1 ? 'left' : 'right'}`,
        name: null,
        lengthM,
        headingRad,
      },
      at: pointAlong(endM, headingRad + Math.PI, lengthM / 2),
    };
  });
}

/** Common practice, no source: tunnel poles of 2.5 m lie where the horse lands, a little wider than it is. */
const TUNNEL = { fromM: 1.5, lengthM: 2.5, halfWidthM: 1.2 };

/** Two poles on the ground beside the landing; none where the next thing lies too near for them. */
function tunnelBehind(fence: Fence, next: RiddenItem | null): (GuideRail & Item)[] {
  const startM = fence.at.xM + ridingDepthM(fence) / 2 + TUNNEL.fromM;
  const clearM = 0.5;
  if (next && next.at.xM - ridingDepthM(next) / 2 < startM + TUNNEL.lengthM + clearM) return [];
  return ([1, -1] as const).map(side => ({
    ...{ kind: 'guide' as const, id: `${fence.id}-tunnel-${side === 1 ? 'left' : 'right'}`, name: null, headingRad: 0 },
    lengthM: TUNNEL.lengthM,
    at: { xM: startM + TUNNEL.lengthM / 2, yM: side * TUNNEL.halfWidthM },
  }));
}

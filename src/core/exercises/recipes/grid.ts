import { pointAlong } from '../../geometry/pointM';
import { ridingDepthM } from '../../items/footprint';
import type { Fence, GuideRail, Item, RiddenItem } from '../../items/item';
import type { ExerciseGround, Guidance, LaidExercise, Recipe } from '../exercise';
import {
  ahead,
  fenceAt,
  FENCE_WIDTH_M,
  groundFor,
  lowHeightM,
  poleAt,
  quarterLine,
  stage,
  trackThrough,
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
type Params = { elements: readonly string[]; approach: string; heightM: number; drift: string; filler: boolean };

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
      approach: 'canter',
      heightM: lowHeightM(ground),
      drift: 'rails',
      filler: false,
    })),
  place: (ground, params) => quarterLine(ground, lengthOf(placeElements(ground, params).items)),
  layOut,
};

function lengthOf(items: readonly RiddenItem[]): number {
  return items[items.length - 1]!.at.xM;
}

/** Puts the elements one behind the other, each at the ground that its count wants. */
export function placeElements(ground: ExerciseGround, { elements, approach, heightM, filler }: Params): Placed {
  const items: RiddenItem[] = [];
  const legs: Placed['legs'] = [];
  const trot = approach === 'trot';
  elements.forEach((name, index) => {
    const from = items[items.length - 1];
    const bare = element(name as GridElement, `g${index + 1}`, heightM, filler);
    if (!from) return void items.push(bare);
    // The rule of trot holds for the placing pole; behind the first fence a horse canters.
    const legApproach = trot && index === 1 ? ('trot' as const) : ('canter' as const);
    const { groundM, asked } = gapTo(ground, from, bare, name as GridElement, items[items.length - 2], legApproach);
    const atM = from.at.xM + ridingDepthM(from) / 2 + groundM + ridingDepthM(bare) / 2;
    items.push({ ...bare, at: { xM: atM, yM: 0 } });
    legs.push({ setting: 'grid', approach: legApproach, asked });
  });
  return { items, legs };
}

function element(name: GridElement, id: string, heightM: number, filler: boolean): RiddenItem {
  if (name === 'place' || name === 'half' || name === 'land') return poleAt(id, ahead(0));
  if (name.endsWith('cross')) return fenceAt(id, 'cross-rail', ahead(0), { heightM: heightM * 0.75 });
  if (name.endsWith('vertical')) return fenceAt(id, 'vertical', ahead(0), { heightM, filler });
  return fenceAt(id, 'oxer', ahead(0), { heightM, spreadM: heightM, ridden: 'one-way', filler });
}

function gapTo(
  ground: ExerciseGround,
  from: RiddenItem,
  to: RiddenItem,
  name: GridElement,
  beforeHalf: RiddenItem | undefined,
  approach: 'canter' | 'trot',
): { groundM: number; asked: number | null } {
  const distance = { gait: 'course-canter', setting: 'grid', approach } as const;
  const strides = name.startsWith('two') ? 2 : name.startsWith('one') ? 1 : 0;
  if (name === 'land') return { groundM: LANDING_SHARE * strideM(ground, from), asked: null };
  // A halfway pole lies in the middle of one stride between two fences.
  if (name === 'half') return { groundM: groundFor(ground, 1, { ...distance, from, to: from }) / 2, asked: null };
  if (from.kind === 'pole' && beforeHalf) {
    const wholeM = groundFor(ground, strides, { ...distance, from: beforeHalf, to });
    // The whole gap is read from the fence before, with the count that is meant for it.
    return { groundM: wholeM / 2, asked: strides };
  }
  return { groundM: groundFor(ground, strides, { ...distance, from, to }), asked: strides };
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
    tracks: [trackThrough('grid', 'course-canter', order, legs, 4)],
    stages: [...built, stage('All of it', 'Let the grid do the work', 'half-seat')],
    stand: { xM: lengthOf(items) / 2, yM: 7 },
    facts: items.slice(1).map((item, index) => ({
      what: `from ${index + 1} to ${index + 2}`,
      horse: null,
      lengthM: item.at.xM - items[index]!.at.xM - (ridingDepthM(item) + ridingDepthM(items[index]!)) / 2,
    })),
  };
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

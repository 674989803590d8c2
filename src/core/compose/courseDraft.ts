import type { Arena } from '../arena/arena';
import type { Fall } from '../arena/fall';
import { distanceM, pointAlong } from '../geometry/pointM';
import type { Fence, FenceForm } from '../items/item';
import { DEFAULT_LEG, type ItemTrack, type Layout, type LayoutHorse, type PlannedLeg } from '../layout/layout';
import { layoutStride } from '../layout/layoutStrides';
import { newItem } from '../plan/newItem';
import type { School } from '../stride/school';
import { groupGround } from '../stride/groupGround';
import { lanesOf, onLane, type Lane, type LaneKind } from './lanes';

/** What a stroke of a course is: fences on one lane, in counts that are asked. */
export type StrokeKind = 'single' | 'line' | 'combination' | 'combination in a line' | 'bending line';

export type Stroke = { kind: StrokeKind; lane: LaneKind; way: 'up' | 'down'; fences: number };

/** A course as it is first thrown on the sand: not looked at yet. */
export type CourseDraft = { layout: Layout; strokes: Stroke[] };

export type DraftWish = {
  arena: Arena;
  horses: readonly LayoutHorse[];
  school: School;
  fences: number;
  heightM: number;
  leanRad?: number | null;
  /** How the sand falls; null where it lies level. */
  fall: Fall | null;
};

/** To come in on and to land on, before the first and behind the last fence of a lane, metres. */
const RUN_UP_M = 13;
const LANDING_M = 12;
const SPEED_M_PER_MIN = 325;
const TO_START_M = 10;
/** Counts that lines are asked in, the usual ones oftener. */
const LINE_COUNTS = [3, 4, 4, 5, 5, 6] as const;
const BENDING_COUNTS = [5, 6] as const;

/**
 * A course of so many fences, thrown on the sand stroke by stroke as chance has it; null where it did not come out.
 * @param goesOn - whether what lies so far may stay: a stroke that may not is thrown again
 */
export function courseDraft(
  wish: DraftWish,
  random: () => number,
  goesOn: (soFar: Layout) => boolean = () => true,
): CourseDraft | null {
  const lanes = lanesOf(wish.arena);
  let fences: Fence[] = [];
  let legs: PlannedLeg[] = [];
  const strokes: Stroke[] = [];
  let way: 'up' | 'down' = random() < 0.5 ? 'up' : 'down';
  let before: Lane | null = null;
  for (let tries = 0; fences.length < wish.fences && tries < MOST_TRIES; tries += 1) {
    const open = lanes.filter(lane => lane.way === way && lane.kind !== before?.kind);
    const lane = pick(open, random);
    const left = wish.fences - fences.length;
    const stroke = lane && strokeOn(wish, lane, left, fences.length, random);
    if (!stroke || stroke.fences.some(fence => isOnAnother(fence, fences))) continue;
    const next = [...fences, ...stroke.fences];
    const nextLegs = [...legs, ...(fences.length > 0 ? [DEFAULT_LEG] : []), ...stroke.legs];
    if (next.length > 1 && !goesOn(layoutOf(wish, next, nextLegs))) continue;
    [fences, legs] = [next, nextLegs];
    strokes.push({ kind: stroke.kind, lane: lane.kind, way, fences: stroke.fences.length });
    before = lane;
    way = way === 'up' ? 'down' : 'up';
  }
  if (fences.length < wish.fences) return null;
  return { layout: layoutOf(wish, fences, legs), strokes };
}

/** So many strokes are thrown for one course. */
const MOST_TRIES = 60;

function layoutOf({ arena, school, horses, leanRad, fall }: DraftWish, fences: Fence[], legs: PlannedLeg[]): Layout {
  const track: ItemTrack = {
    ...{ kind: 'items', id: 'course', name: null, gait: 'course-canter', passes: 1 },
    through: fences.map(({ id }) => ({ item: id, reversed: false })),
    legs,
    course: { speedMPerMin: SPEED_M_PER_MIN, startM: TO_START_M, finishM: TO_START_M },
  };
  return {
    ...{ name: 'course', arena, fall, school, items: fences, tracks: [track], horses: [...horses], kit: null },
    ...(leanRad === undefined ? {} : { leanRad }),
  };
}

const pick = <Value>(values: readonly Value[], random: () => number): Value | null =>
  values[Math.floor(random() * values.length)] ?? null;

/** Two fences this near to each other cannot both be ridden. */
const APART_M = 5;
const isOnAnother = (fence: Fence, others: readonly Fence[]) =>
  others.some(other => distanceM(other.at, fence.at) < APART_M);

type LaidStroke = { kind: StrokeKind; fences: Fence[]; legs: PlannedLeg[] };

function strokeOn(wish: DraftWish, lane: Lane, left: number, before: number, random: () => number): LaidStroke | null {
  const kinds: StrokeKind[] = [
    ...(before === 0 || left === 1 ? (['single', 'single'] as const) : (['single'] as const)),
    ...(left >= 2 ? (['line', 'line', 'line', 'bending line'] as const) : []),
    ...(left >= 2 && before > 0 ? (['combination'] as const) : []),
    ...(left >= 3 && before > 0 ? (['combination in a line'] as const) : []),
  ];
  const kind = pick(kinds, random)!;
  const counts = countsOf(kind, random);
  const forms = [formOf(before, 0, kind, random)];
  const grounds: number[] = [];
  for (const count of counts) {
    forms.push(formOf(before, forms.length, kind, random));
    const groundM = groundFor(wish, count, forms[forms.length - 2]!, forms[forms.length - 1]!);
    if (groundM === null) return null;
    grounds.push(groundM);
  }
  const longM = grounds.reduce((sum, groundM) => sum + groundM, 0) + forms.length * 0.8;
  const roomM = lane.lengthM - RUN_UP_M - LANDING_M - longM;
  if (roomM < 0) return null;
  let alongM = RUN_UP_M + random() * roomM;
  const fences = forms.map((form, index): Fence => {
    const built = newItem(form, `f${before + index + 1}`, lane.start.at, lane.start.headingRad) as Fence;
    const deepM = built.spreadM;
    const at = onLane(lane, alongM + deepM / 2);
    alongM += deepM + (grounds[index] ?? 0);
    return { ...built, at, heightM: wish.heightM, sideHeightM: form === 'cross-rail' ? wish.heightM * 2 : null };
  });
  return {
    kind,
    fences: kind === 'bending line' ? bent(fences, random) : fences,
    legs: counts.map(asked => ({ ...DEFAULT_LEG, asked })),
  };
}

function countsOf(kind: StrokeKind, random: () => number): number[] {
  switch (kind) {
    case 'single':
      return [];
    case 'line':
      return [pick(LINE_COUNTS, random)!];
    case 'combination':
      return [random() < 0.6 ? 1 : 2];
    case 'combination in a line':
      return [pick(LINE_COUNTS, random)!, 1];
    case 'bending line':
      return [pick(BENDING_COUNTS, random)!];
  }
}

/** The second of a bending line stands aside of the first one’s line, turned to be met square from it. */
function bent([first, second]: Fence[], random: () => number): Fence[] {
  if (!first || !second) return [];
  const side = random() < 0.5 ? 1 : -1;
  const asideM = 2 + 2 * random();
  const turnedRad = side * (0.3 + 0.25 * random());
  const at = pointAlong(second.at, first.headingRad + (side * Math.PI) / 2, asideM);
  return [first, { ...second, at, headingRad: second.headingRad + turnedRad }];
}

/** Oxers and verticals by turns, a cross-rail to begin with, an oxer seldom first into a combination. */
function formOf(before: number, index: number, kind: StrokeKind, random: () => number): FenceForm {
  if (before + index === 0) return random() < 0.5 ? 'cross-rail' : 'vertical';
  if (kind.startsWith('combination') && index === 0) return 'vertical';
  return random() < 0.4 ? 'oxer' : 'vertical';
}

/** The ground of a count that suits the horses best; null where it is not rated. */
function groundFor({ horses, school }: DraftWish, strides: number, from: FenceForm, to: FenceForm): number | null {
  const [a, b] = [from, to].map(form => newItem(form, form, { xM: 0, yM: 0 }, 0) as Fence);
  const known = horses.flatMap(horse => layoutStride(horse, 'course-canter', 'course') ?? []);
  const distance = { school, setting: 'course', approach: 'canter', from: a!, to: b! } as const;
  return known.length === 0 ? null : (groupGround(strides, distance, known)?.groundM ?? null);
}

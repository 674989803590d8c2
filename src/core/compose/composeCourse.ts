import { USUAL_LIMITS, type CautionLimits } from '../cautions/cautionLimits';
import { besideTheLine } from '../cautions/besideTheLine';
import { inTheLanding } from '../cautions/inTheLanding';
import { inTheLine } from '../cautions/inTheLine';
import { offArena } from '../cautions/offArena';
import { thingNear } from '../cautions/thingNear';
import { wallNear } from '../cautions/wallNear';
import { changesOfRein, reinsRidden } from '../course/changesOfRein';
import { distanceM } from '../geometry/pointM';
import { isShortOf, type KitAtHand } from '../items/kit';
import type { Fence, Item } from '../items/item';
import type { Layout } from '../layout/layout';
import { reckonLayout } from '../layout/reckonLayout';
import type { ReckonedItemTrack } from '../layout/reckonedTrack';
import { fitLayout } from '../fit/fitLayout';
import { piecesOf } from '../fit/pieces';
import { alarmCodes } from '../fit/sound';
import { seededRandom } from '../statistics/seededRandom';
import { courseDraft, type CourseDraft, type DraftWish, type Stroke } from './courseDraft';

export type ComposeWish = DraftWish & {
  /** What the yard has; null where nobody has counted. */
  kit: KitAtHand | null;
  /** What stands on the sand already: carried as little as may be. */
  standing: readonly Item[];
  limits?: CautionLimits;
  seed?: number;
  /** So many proposals; three where nobody says. */
  proposals?: number;
};

/** A course that is proposed: nothing in it is cautioned. */
export type Proposal = {
  layout: Layout;
  strokes: Stroke[];
  changesOfRein: number;
  lengthM: number;
  /** How far fences that stand already are carried, metres together; 0 where none stands. */
  carriedM: number;
  score: number;
};

/** How far composing has come, with what it has so far, the best first. */
export type ComposeStep = { share: number; proposals: Proposal[] };

/** So many drafts are looked at at most. */
const MOST_DRAFTS = 160;
const DRAFTS_A_STEP = 4;
/** So many good ones are enough to choose among. */
const ENOUGH = 6;
/** Drafts with no more cautions than this, all of them of distances, are fitted. */
const MOST_TO_FIT = 4;
const MOST_FITS = 10;
const OF_DISTANCE = new Set(['between', 'too-tight', 'too-far']);
/** Courses this near to each other, fence by fence, are the same course. */
export const LEAST_DIFFERENCE = 0.5;

/**
 * Proposes courses for some horses on a sand, step by step: thrown by chance, looked at by every caution, and chosen by their
 * changes of rein, even reins, related lines and carrying, each another shape than those before it.
 */
export function* composeSteps(wish: ComposeWish): Generator<ComposeStep, Proposal[]> {
  const limits = wish.limits ?? USUAL_LIMITS;
  const random = seededRandom(wish.seed ?? 1);
  const count = wish.proposals ?? 3;
  const good: Proposal[] = [];
  let fits = 0;
  for (let draft = 0; draft < MOST_DRAFTS; draft += 1) {
    const thrown = courseDraft(wish, random, soFar => isFreeSoFar(soFar, limits));
    const found = thrown && soundDraft(thrown, wish, limits, fits < MOST_FITS);
    if (found?.fitted) fits += 1;
    if (found?.proposal) good.push(found.proposal);
    const chosen = draft % DRAFTS_A_STEP === DRAFTS_A_STEP - 1 || good.length >= ENOUGH ? differing(good, count) : [];
    if (good.length >= ENOUGH && chosen.length >= count) return chosen;
    if (draft % DRAFTS_A_STEP === DRAFTS_A_STEP - 1)
      yield { share: Math.max(draft / MOST_DRAFTS, good.length / ENOUGH), proposals: chosen };
  }
  return differing(good, count);
}

/** The same, run to its end. */
export function composeCourses(wish: ComposeWish): Proposal[] {
  const steps = composeSteps(wish);
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value;
}

type Looked = { proposal: Proposal | null; fitted: boolean };

/** A draft that nothing cautions; one whose distances alone are off is fitted first. */
function soundDraft(draft: CourseDraft, wish: ComposeWish, limits: CautionLimits, mayFit: boolean): Looked {
  const layout = { ...draft.layout, kit: wish.kit };
  if (wish.kit && isShortOf(layout.items, wish.kit)) return { proposal: null, fitted: false };
  if (isPlainlyWrong(layout)) return { proposal: null, fitted: false };
  const alarms = alarmCodes(layout, limits);
  if (alarms.size === 0) return { proposal: proposalOf({ ...draft, layout }, wish), fitted: false };
  const off = [...alarms.values()].reduce((sum, one) => sum + one, 0);
  const isOfDistance = [...alarms.keys()].every(code => OF_DISTANCE.has(code));
  if (!mayFit || !isOfDistance || off > MOST_TO_FIT) return { proposal: null, fitted: false };
  const horseIds = layout.horses.map(({ id }) => id);
  const fit = fitLayout(layout, { pieces: piecesOf(layout, new Map(), []), horseIds, limits });
  const isGood = alarmCodes(fit.layout, limits).size === 0;
  return { proposal: isGood ? proposalOf({ ...draft, layout: fit.layout }, wish) : null, fitted: true };
}

/** What tells early that a stroke cannot stay: later strokes do not mend it. */
const EARLY = [offArena, inTheLine, inTheLanding, besideTheLine, thingNear, wallNear];

function isFreeSoFar(layout: Layout, limits: CautionLimits): boolean {
  if (isPlainlyWrong(layout)) return false;
  const tracks = reckonLayout(layout);
  return EARLY.every(rule => rule.find({ layout, tracks, limits }).every(({ level }) => level === 'note'));
}

/** What shows at once: a leg without a natural track, or one that nobody can turn on. */
function isPlainlyWrong(layout: Layout): boolean {
  const [track] = reckonLayout(layout) as [ReckonedItemTrack];
  return track.legs.some(({ instead, readings }) => instead !== null || readings.some(({ cannot }) => cannot));
}

function proposalOf(draft: CourseDraft, { standing }: ComposeWish): Proposal {
  const { layout, strokes } = draft;
  const [track] = reckonLayout(layout) as [ReckonedItemTrack];
  const segments = track.legs.flatMap(({ chain }) => chain.segments);
  const fences = layout.items.filter((item): item is Fence => item.kind === 'fence');
  const carriedM = carrying(
    fences,
    standing.filter((item): item is Fence => item.kind === 'fence'),
  );
  const changes = changesOfRein(segments);
  return {
    ...{ layout, strokes, changesOfRein: changes, lengthM: track.lengthM, carriedM },
    score: scoreOf(changes, reinsRidden(segments), strokes, fences.length, carriedM),
  };
}

/** Named terms, each 0 to 1: what makes a course worth riding (common practice, no source). */
function scoreOf(
  changes: number,
  reins: readonly string[],
  strokes: readonly Stroke[],
  fences: number,
  carriedM: number,
): number {
  const wanted = Math.max(1, Math.round(fences / 3));
  const lefts = reins.filter(rein => rein === 'left').length;
  const terms = {
    changes: 1 - Math.min(1, Math.abs(changes - wanted) / wanted),
    evenReins: reins.length === 0 ? 0 : 1 - Math.abs(2 * lefts - reins.length) / reins.length,
    related: Math.min(1, strokes.filter(({ fences: on }) => on > 1).length / Math.max(1, strokes.length - 1)),
    variety: new Set(strokes.map(({ kind, lane }) => `${kind} ${lane}`)).size / strokes.length,
    carrying: 1 / (1 + carriedM / 60),
  };
  return 2 * terms.changes + terms.evenReins + 1.5 * terms.related + terms.variety + terms.carrying;
}

/** How far what stands is carried if each place is filled from the nearest that is left. */
function carrying(fences: readonly Fence[], standing: readonly Fence[]): number {
  const left = [...standing];
  let sumM = 0;
  for (const { at } of fences) {
    if (left.length === 0) break;
    const near = left.reduce((best, next) => (distanceM(next.at, at) < distanceM(best.at, at) ? next : best));
    sumM += distanceM(near.at, at);
    left.splice(left.indexOf(near), 1);
  }
  return sumM;
}

/** The best of them, each of another shape than those before it. */
function differing(good: readonly Proposal[], count: number): Proposal[] {
  const chosen: Proposal[] = [];
  for (const next of [...good].sort((a, b) => b.score - a.score)) {
    if (chosen.length === count) break;
    if (chosen.every(one => courseDifference(one.layout, next.layout) >= LEAST_DIFFERENCE)) chosen.push(next);
  }
  return chosen;
}

/** A fence this far from where the other course has its like stands elsewhere, metres. */
const ELSEWHERE_M = 6;
const OTHER_WAY_RAD = Math.PI / 6;

/**
 * How much two courses differ in shape: the share of their fences, in the order they are ridden, that stand elsewhere or are
 * ridden another way; 0 for the same course, 1 for two that share none.
 */
export function courseDifference(a: Layout, b: Layout): number {
  const [from, to] = [a, b].map(({ items }) => items.filter((item): item is Fence => item.kind === 'fence'));
  const most = Math.max(from!.length, to!.length);
  const alike = from!.filter((fence, index) => {
    const other = to![index];
    if (!other || distanceM(fence.at, other.at) > ELSEWHERE_M) return false;
    return Math.cos(fence.headingRad - other.headingRad) > Math.cos(OTHER_WAY_RAD);
  });
  return 1 - alike.length / most;
}

import type { CautionLimits } from '../cautions/cautionLimits';
import { alarmCodes } from '../fit/sound';
import { findRecipe } from '../exercises/shelf';
import { carryPlan } from '../setting/carryPlan';
import type { Item } from '../items/item';
import { isShortOf } from '../items/kit';
import type { Layout, LayoutHorse } from '../layout/layout';
import { reckonLayout } from '../layout/reckonLayout';
import { resolvePlan } from '../plan/layOutPlaced';
import { placeExercise } from '../plan/placeExercise';
import { EMPTY_PLAN, type Plan } from '../plan/plan';
import type { PlanGround, ResolvedPlan } from '../plan/resolvePlan';
import { askedLayout } from '../question/askedLayout';
import type { OfferedQuestion } from '../question/offeredQuestions';
import type { Question } from '../question/question';
import type { StrideWord } from '../stride/strideWord';
import type { Candidate, SeriesStage } from './candidate';
import { SUGGESTED_ID } from './catalogue';
import { questionsOver, type OwnLayout } from './ownLayouts';

/** The sand that suggestions are laid on, and what is there already. */
export type SuggestSand = {
  ground: PlanGround;
  horses: readonly LayoutHorse[];
  limits: CautionLimits;
  own: readonly OwnLayout[];
  /** What lies on it now. */
  standing: readonly Item[];
};

/** A stage of a series with the question that asks it. */
export type LaidStage = SeriesStage & { name: string; offered: OfferedQuestion; today: Question };

/** A series as it is laid out for the horses: on a layout of the yard, or on a new one. */
export type LaidSeries = {
  layoutId: string | null;
  plan: Plan | null;
  resolved: ResolvedPlan;
  stages: LaidStage[];
  /** The share of its readings in which a horse has a count it can ride well; null where nothing is counted. */
  fit: { good: number; of: number };
  /** Pieces that are carried; none where it stands already, or on the flat. */
  pieces: number;
};

/**
 * Lays a candidate out: over a layout of the yard that has it and suits these horses, what stands first; else anew as the
 * shelf has it for them. Null where every way raises a caution of level stop or warn, or wants more kit than there is.
 */
export function layCandidate(candidate: Candidate, sand: SuggestSand): LaidSeries | null {
  const { exercise } = candidate.facts;
  const own = [...sand.own].sort((a, b) => Number(b.stands) - Number(a.stands));
  for (const layout of own) {
    const found = laidOver(candidate, layout.resolved, sand, layout.id);
    if (found) return { ...found, layoutId: layout.id, plan: null, pieces: layout.stands ? 0 : found.pieces };
  }
  const recipe = findRecipe(exercise);
  if (!recipe) return null;
  const empty: Plan = { ...EMPTY_PLAN, groupIds: sand.horses.map(({ id }) => id) };
  const wanted = { id: SUGGESTED_ID, recipe, rein: 'left' as const, horseIds: null, session: null };
  const { plan } = placeExercise(empty, sand.ground, wanted);
  const found = laidOver(candidate, resolvePlan(plan, sand.ground), sand, '');
  return found && { ...found, layoutId: null, plan };
}

function laidOver(
  { facts, series }: Candidate,
  resolved: ResolvedPlan,
  sand: SuggestSand,
  layoutId: string,
): Omit<LaidSeries, 'layoutId' | 'plan'> | null {
  const questions = questionsOver(resolved, facts.exercise, layoutId);
  const stages = series.flatMap(one => {
    const asked = questions[one.stage];
    return asked ? [{ ...one, name: facts.stages[one.stage]!.name, ...asked }] : [];
  });
  if (stages.length < series.length) return null;
  const kit = sand.ground.kit;
  if (kit && isShortOf(resolved.layout.items, kit)) return null;
  const layouts = stages.flatMap(
    ({ today }) => askedLayout({ ...resolved.layout, horses: [...sand.horses] }, today) ?? [],
  );
  if (layouts.some(layout => alarmCodes(layout, sand.limits).size > 0)) return null;
  return { resolved, stages, fit: fitOf(layouts.at(-1)!), pieces: piecesCarried(sand, resolved.layout.items) };
}

/** Counts that a horse rides well. */
const RIDDEN_WELL: readonly StrideWord[] = ['quiet', 'easy', 'forward'];

function fitOf(layout: Layout): LaidSeries['fit'] {
  const readings = reckonLayout(layout).flatMap(track =>
    track.kind === 'items' ? track.legs.flatMap(leg => leg.readings) : [],
  );
  const good = readings.filter(
    ({ cannot, options }) => !cannot && options.some(({ word }) => RIDDEN_WELL.includes(word)),
  );
  return { good: good.length, of: readings.length };
}

/** Single pieces that do not lie yet where the layout wants them. */
function piecesCarried({ standing, ground }: SuggestSand, items: readonly Item[]): number {
  if (items.length === 0) return 0;
  return carryPlan(standing, items, { xM: ground.arena.widthM / 2, yM: 0 }).loads.filter(
    ({ toItem }) => toItem !== null,
  ).length;
}

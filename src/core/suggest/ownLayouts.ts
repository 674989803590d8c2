import type { Purpose } from '../exercises/exercise';
import { findRecipe } from '../exercises/shelf';
import { rideTime } from '../lesson/stageMinutes';
import type { ResolvedPlan } from '../plan/resolvePlan';
import { askedLayout } from '../question/askedLayout';
import { offeredQuestions, questionToday, type OfferedQuestion } from '../question/offeredQuestions';
import type { Question } from '../question/question';
import { hasReins, waysToRide } from '../question/waysToRide';
import { questionWork } from '../work/questionWork';
import { workKindOf } from '../work/workKindOf';
import type { ExerciseFacts, WorkKind } from './step';

/** A layout of the yard on the sand in question; `stands`: it is what lies there now. */
export type OwnLayout = { id: string; name: string; resolved: ResolvedPlan; stands: boolean };

/** What a track laid by hand is called among exercises: the layout’s and its own. */
export const ownExercise = (layoutId: string, trackId: string): string => `own ${layoutId} ${trackId}`;

/** What tracks laid by hand are for (common practice, no source). */
const OWN_PURPOSES: Record<WorkKind, readonly Purpose[]> = {
  flat: ['suppleness', 'obedience'],
  poles: ['rhythm', 'footwork'],
  fences: ['accuracy', 'rhythm'],
};

/** The purposes of an exercise of the shelf, or of what a track laid by hand is. */
export function purposesOf(exercise: string, kind: WorkKind): readonly Purpose[] {
  return findRecipe(exercise)?.guidance.purposes ?? OWN_PURPOSES[kind];
}

/** How often a track laid by hand is ridden on each rein (common practice, no source). */
const OWN_EACH_REIN = 2;

/** The tracks laid by hand on the layouts of a yard, each an exercise of one stage. */
export function ownFacts(layouts: readonly OwnLayout[]): ExerciseFacts[] {
  return layouts.flatMap(({ id, name, resolved }) => {
    const tracks = offeredQuestions(resolved).flatMap(({ what }) => (what.kind === 'track' ? [what.trackId] : []));
    return tracks.flatMap(trackId => {
      const [asked] = questionsOver(resolved, ownExercise(id, trackId), id);
      return asked ? [factsOf(ownExercise(id, trackId), name, resolved, asked.today)] : [];
    });
  });
}

function factsOf(exercise: string, name: string, { layout }: ResolvedPlan, today: Question): ExerciseFacts {
  const asked = askedLayout({ ...layout, horses: [] }, today)!;
  const work = questionWork(asked);
  const kind = workKindOf(work);
  const stage = {
    ...{ name, kind, gait: today.gait, hasReins: hasReins(waysToRide(asked)), work },
    ...{ rideTime: rideTime(layout, today)!, eachRein: OWN_EACH_REIN },
  };
  return { exercise, title: name, purposes: OWN_PURPOSES[kind], level: 'novice', stages: [stage] };
}

/** The questions by which a layout asks an exercise, stage by stage; none where it does not have it. */
export function questionsOver(
  resolved: ResolvedPlan,
  exercise: string,
  layoutId: string,
): { offered: OfferedQuestion; today: Question }[] {
  const first = resolved.exercises.find(({ placed }) => placed.kind === exercise)?.placed.id;
  return offeredQuestions(resolved).flatMap(offered => {
    const { what } = offered;
    const isIt =
      (what.kind === 'stage' && what.exerciseId === first) ||
      (what.kind === 'track' && ownExercise(layoutId, what.trackId) === exercise);
    const today = isIt ? questionToday({ ...offered, id: 'asked' }, resolved) : null;
    return today ? [{ offered, today }] : [];
  });
}

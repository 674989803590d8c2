import type { Layout } from '../layout/layout';
import type { ResolvedExercise, ResolvedPlan } from '../plan/resolvePlan';
import { askedLayout } from './askedLayout';
import { AS_LAID_OUT, overState } from './builtState';
import type { Question, TrackOrFigures } from './question';
import { stageState } from './stageState';

/** A question that a layout offers, before it has an id in a lesson; counts and state are its own only where they are changed. */
export type OfferedQuestion = Omit<Question, 'id'>;

/**
 * Everything that a plan offers to ask: the stages of each exercise, each track laid by hand, each session of figures as a
 * whole, and its figures one by one.
 */
export function offeredQuestions({
  layout,
  exercises,
  ownerOf,
}: Pick<ResolvedPlan, 'layout' | 'exercises' | 'ownerOf'>): OfferedQuestion[] {
  const ofStages = exercises.flatMap(exercise =>
    exercise.laid.stages.flatMap((stage, index) => {
      const over = overOfExercise(exercise, layout.tracks);
      if (!over) return [];
      const what = { kind: 'stage' as const, exerciseId: exercise.placed.id, stage: index, over };
      return [{ ...bare(what, stage.gait ?? gaitOf(layout.tracks, over)), name: stage.name }];
    }),
  );
  const ofTracks = layout.tracks.flatMap(track => {
    if (track.kind === 'items')
      return ownerOf.has(track.id) ? [] : [bare({ kind: 'track', trackId: track.id }, track.gait)];
    const each = track.figures.map(({ id, gait }) =>
      bare({ kind: 'figures', trackId: track.id, figureIds: [id] }, gait ?? track.gait),
    );
    const whole = bare(
      { kind: 'figures', trackId: track.id, figureIds: track.figures.map(({ id }) => id) },
      track.gait,
    );
    return track.figures.length > 1 ? [whole, ...each] : each;
  });
  return [...ofStages, ...ofTracks];
}

function bare(what: Question['what'], gait: Question['gait']): OfferedQuestion {
  return { name: null, what, state: AS_LAID_OUT, gait, rein: null, asked: [] };
}

/** What of a layout an exercise is: its one track, or its own figures in a session. */
function overOfExercise(
  { placed, laid }: ResolvedExercise,
  tracks: ResolvedPlan['layout']['tracks'],
): TrackOrFigures | null {
  const own = laid.tracks[0];
  if (!own) return null;
  if (own.kind === 'items') return { kind: 'track', trackId: own.id };
  const trackId = placed.session ?? own.id;
  const track = tracks.find(({ id }) => id === trackId);
  const ids = own.figures.map(({ id }) => id);
  return track?.kind === 'figures' ? { kind: 'figures', trackId, figureIds: ids } : null;
}

function gaitOf(tracks: ResolvedPlan['layout']['tracks'], over: TrackOrFigures): Question['gait'] {
  const track = tracks.find(({ id }) => id === over.trackId)!;
  if (over.kind === 'track' || track.kind !== 'figures') return track.gait;
  return track.figures.find(({ id }) => over.figureIds.includes(id))?.gait ?? track.gait;
}

/**
 * A planned question as the layout has it today: the state and the counts of its stage under what was changed of them, every
 * count said. Null where the layout no longer has what it goes over.
 */
export function questionToday(question: Question, resolved: ResolvedPlan): Question | null {
  const today = question.what.kind === 'stage' ? stageToday(question, question.what, resolved) : question;
  const asked = today && askedLayout(resolved.layout, today);
  return asked && { ...today, asked: countsAsked(asked) };
}

function stageToday(
  question: Question,
  what: Extract<Question['what'], { kind: 'stage' }>,
  { layout, exercises }: ResolvedPlan,
): Question | null {
  const exercise = exercises.find(({ placed }) => placed.id === what.exerciseId);
  const stage = exercise?.laid.stages[what.stage];
  const over = exercise && overOfExercise(exercise, layout.tracks);
  if (!exercise || !stage || !over) return null;
  return {
    ...{ ...question, what: { ...what, over } },
    state: overState(stageState(exercise.laid, stage), question.state),
    asked: question.asked.length > 0 ? question.asked : (stage.asked ?? []),
  };
}

/** The count asked of each leg of the track of an asked layout; none on the flat. */
export function countsAsked({ tracks: [track] }: Pick<Layout, 'tracks'>): (number | null)[] {
  return track?.kind === 'items' ? track.legs.map(leg => leg.asked) : [];
}

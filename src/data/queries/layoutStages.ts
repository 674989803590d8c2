import {
  askedLayout,
  layoutLabels,
  measureSession,
  offeredQuestions,
  questionToday,
  questionWords,
  resolvePlan,
  rideSession,
  USUAL_STAGE_MIN,
  type Guidance,
  type Layout as CoreLayout,
  type LessonStage,
  type OfferedQuestion,
  type Question,
  type ResolvedPlan,
} from '@/core';
import type { RoanDatabase } from '../database';
import { listHorses, type Horse } from './horses';
import type { Layout } from './layout';
import { planGround } from './planGround';

/** A question of a layout as it is today, and what it is called. */
export type QuestionToday = { question: Question; words: string };

/** A stage that a layout offers to a lesson, with the question it asks, before they have ids there. */
export type OfferedStage = Omit<LessonStage, 'id' | 'questions'> & { asks: OfferedQuestion };

/** A layout as a lesson is planned over it. */
export type LayoutOffers = {
  resolved: ResolvedPlan;
  /** Everything that can be asked over it. */
  questions: OfferedQuestion[];
  /** The stages that are usual: those of its exercises, and each track that is ridden beside them. */
  stages: OfferedStage[];
};

/** What a layout offers to a lesson. */
export async function layoutOffers(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  layout: Layout,
  horses?: readonly Horse[],
): Promise<LayoutOffers> {
  const ground = planGround(layout.name, layout.arena, horses ?? (await listHorses(db, yardId)), null);
  const resolved = resolvePlan(layout.plan, ground);
  const questions = offeredQuestions(resolved);
  const isFirstOf = ({ what }: OfferedQuestion) =>
    what.kind === 'stage' || what.kind === 'track' || isWholeSession(what, resolved.layout);
  const stages = questions.filter(isFirstOf).flatMap(asks => stageOf(layout.id, asks, resolved));
  return { resolved, questions, stages };
}

/** A session that no exercise of it is asked by itself: one broken apart, or laid by hand. */
function isWholeSession(what: OfferedQuestion['what'], { tracks }: CoreLayout): boolean {
  if (what.kind !== 'figures') return false;
  const track = tracks.find(({ id }) => id === what.trackId);
  return track?.kind === 'figures' && track.figures.length === what.figureIds.length;
}

function stageOf(layoutId: string, asks: OfferedQuestion, resolved: ResolvedPlan): OfferedStage[] {
  const { what } = asks;
  if (what.kind === 'stage') {
    const exercise = resolved.exercises.find(({ placed }) => placed.id === what.exerciseId)!;
    const { name, focus, seat } = exercise.laid.stages[what.stage]!;
    const { repetitions, failure, riderMarks } = exercise.guidance;
    const called = layoutLabels(resolved.layout).track(what.over.trackId);
    // On the flat the stages of one figure after the other are told apart by the figure.
    const { title } = exercise.guidance;
    const figures = exercise.laid.stages.length === 1 ? title : `${title}: ${lower(name)}`;
    const own = what.over.kind === 'figures' ? figures : name;
    return [
      {
        ...{ asks, layoutId, name: (own || called).slice(0, 60), focus, seat },
        minutes: stageMinutes(asks, resolved, repetitions),
        ...(riderMarks && { riderMarks: [...riderMarks] }),
        ...{ eachRein: repetitions.eachRein, policy: failure, stop: repetitions.stop },
      },
    ];
  }
  // A session that is made of exercises is asked by their stages.
  if (
    what.kind === 'figures' &&
    resolved.exercises.some(({ placed }) => (placed.session ?? placed.id) === what.trackId)
  )
    return [];
  return [
    {
      ...{ asks, layoutId, name: questionWords(resolved.layout, asks), focus: '', seat: 'half-seat', eachRein: 2 },
      ...{ minutes: USUAL_STAGE_MIN, policy: 'same question again', stop: { when: 'repetitions' } },
    },
  ];
}

function stageMinutes(
  asks: OfferedQuestion,
  resolved: ResolvedPlan,
  { eachRein, stop }: Guidance['repetitions'],
): number {
  // What is worked on for so long is planned for so long.
  if (stop.when === 'minutes') return stop.minutes;
  const isFlat = asks.what.kind === 'stage' && asks.what.over.kind === 'figures';
  return isFlat ? flatMinutes(asks, resolved, eachRein) : USUAL_STAGE_MIN;
}

/** Common practice, no source: as long again as it is ridden, for words and for coming back to it. */
const WITH_WORDS = 2;

/** Minutes for figures of the flat: as often as they are ridden on each rein, at the usual speeds. */
function flatMinutes(asks: OfferedQuestion, { layout }: ResolvedPlan, eachRein: number): number {
  const asked = askedLayout(layout, { id: 'flat', ...asks });
  const track = asked?.tracks[0];
  if (!asked || track?.kind !== 'figures') return USUAL_STAGE_MIN;
  const session = rideSession(asked.arena, track.figures, track.gait);
  if (!session.ok) return USUAL_STAGE_MIN;
  const { minutes } = measureSession(asked.arena, session.pieces);
  return Math.min(USUAL_STAGE_MIN, Math.max(1, Math.ceil(minutes * 2 * Math.max(1, eachRein) * WITH_WORDS)));
}

const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);

/** A planned question as its layout has it today; null where the layout no longer has what it goes over. */
export function asToday(question: Question, resolved: ResolvedPlan): QuestionToday | null {
  const today = questionToday(question, resolved);
  return today && { question: today, words: questionWords(resolved.layout, today) };
}

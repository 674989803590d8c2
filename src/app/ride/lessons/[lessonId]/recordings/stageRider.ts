import 'server-only';
import {
  askedLayout,
  lessonState,
  questionsNow,
  USUAL_MANNER,
  waysToRide,
  type Layout,
  type LayoutHorse,
  type Question,
  type RideDirection,
  type RideWay,
  type StandInManner,
} from '@/core';
import { yardContext } from '@/app/_server/yardContext';
import { findArena } from '@/data/queries/arenas';
import { horsesAt, listHorses } from '@/data/queries/horses';
import { findLesson, lessonRecord, lessonTimes, type Lesson } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { planHorse } from '@/data/queries/planGround';
import type { ArenaMarks } from '@/files/arenaMarks';
import { NOWHERE } from '@/files/gpx';
import { stagesToRide } from '../run/stagesToRide';
import type { RunStage } from '../run/runStage';
import { gone } from '@/app/_server/refusal';

/** A pair at a question of a stage of a lesson, with all that a recording of it needs. */
export type StageRider = {
  lesson: Lesson;
  stage: RunStage & { versionId: string };
  question: Question;
  /** As it is asked of the pair, on the sand or on its mirror image. */
  asked: (direction: RideDirection) => Layout;
  pairId: string;
  name: string;
  horse: LayoutHorse;
  manner: StandInManner;
  ways: RideWay[];
  place: NonNullable<ArenaMarks['place']>;
};

export type RiderWish = { lessonId: string; pairId: string; stageId: string; questionId: string };

/** How many times as much goes wrong on a horse's stiff side, for the stand-in (common practice, no source). */
const STIFF_TIMES = 1.6;
/** How often something goes wrong on a bad patch, for the stand-in. */
const PATCH_CHANCE = 0.3;

/** Finds a pair and what it is asked in a lesson; a sentence where one of them is not there. */
export async function stageRider(wish: RiderWish): Promise<StageRider | string> {
  const { lessonId, pairId, stageId, questionId } = wish;
  const { db, yard } = await yardContext();
  const lesson = await findLesson(db, yard.id, lessonId);
  if (!lesson) return gone('lesson');
  const pair = (await listPairs(db, yard.id)).find(({ id }) => id === pairId);
  if (!pair || !lesson.plan.pairIds.includes(pairId)) return 'This pair does not ride in this lesson.';
  // Of a lesson that lies back: over what was ridden then, with the strides of then.
  const dayMs = Math.min(lesson.startsAtMs, Date.now());
  const { asks, passes } = await lessonRecord(db, yard.id, lesson);
  const isOver = lessonState(await lessonTimes(db, yard.id, lesson), Date.now()) === 'ended';
  const ridden = isOver ? passes.map(({ layoutVersionId }) => layoutVersionId) : [];
  const stage = (await stagesToRide(lesson, ridden)).find(({ id }) => id === stageId);
  if (!stage?.versionId || !stage.layout) return 'This stage has no layout to ride.';
  const { layout, versionId } = stage;
  const question = questionsNow(stage.questions, asks, stageId, pairId).find(({ id }) => id === questionId);
  const drawn = question ? askedLayout(layout, question) : null;
  if (!question || !drawn) return 'This is not asked at this stage any more.';
  const horses = isOver ? await horsesAt(db, yard.id, dayMs) : await listHorses(db, yard.id);
  const own = horses.find(({ id }) => id === pair.horseId)!;
  const arena = await findArena(db, yard.id, lesson.arenaId);
  const [patch] = arena?.marks.patches ?? [];
  return {
    ...{ lesson, pairId, question, stage: { ...stage, versionId } },
    asked: direction => askedLayout(layout, question, direction) ?? drawn,
    name: `${pair.horseName} with ${pair.riderName}`,
    horse: planHorse(own),
    manner: {
      ...USUAL_MANNER,
      worseRein: own.stiffSide ? { rein: own.stiffSide, times: STIFF_TIMES } : null,
      badPlace: patch ? { at: patch.at, radiusM: patch.radiusM, chance: PATCH_CHANCE } : null,
    },
    ways: waysToRide(drawn),
    place: arena?.marks.place ?? NOWHERE,
  };
}

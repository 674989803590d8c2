import 'server-only';
import { goesBothWays, markedTrack, USUAL_MANNER, type LayoutHorse, type Layout, type StandInManner } from '@/core';
import { yardContext } from '@/app/_server/yardContext';
import { findArena } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { findLesson, type Lesson } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { planHorses } from '@/data/queries/planGround';
import type { ArenaMarks } from '@/files/arenaMarks';
import { NOWHERE } from '@/files/gpx';
import { stagesToRide } from '../run/stagesToRide';
import type { RunStage } from '../run/runStage';

/** A pair at a stage of a lesson, with all that a recording of it needs. */
export type StageRider = {
  lesson: Lesson;
  stage: RunStage & { versionId: string };
  layout: Layout;
  pairId: string;
  name: string;
  horse: LayoutHorse;
  manner: StandInManner;
  bothWays: boolean;
  place: NonNullable<ArenaMarks['place']>;
};

/** How many times as much goes wrong on a horse's stiff side, for the stand-in (common practice, no source). */
const STIFF_TIMES = 1.6;
/** How often something goes wrong on a bad patch, for the stand-in. */
const PATCH_CHANCE = 0.3;

/** Finds a pair and a stage of a lesson; a sentence where one of them is not there. */
export async function stageRider(lessonId: string, pairId: string, stageId: string): Promise<StageRider | string> {
  const { db, yard } = await yardContext();
  const lesson = await findLesson(db, yard.id, lessonId);
  if (!lesson) return 'This lesson is not in the yard any more.';
  const pair = (await listPairs(db, yard.id)).find(({ id }) => id === pairId);
  if (!pair || !lesson.plan.pairIds.includes(pairId)) return 'This pair does not ride in this lesson.';
  const stage = (await stagesToRide(lesson)).find(({ id }) => id === stageId);
  if (!stage?.versionId || !stage.ride) return 'This stage has no layout to ride.';
  const horses = await listHorses(db, yard.id);
  const own = horses.find(({ id }) => id === pair.horseId)!;
  const arena = await findArena(db, yard.id, lesson.arenaId);
  const [patch] = arena?.marks.patches ?? [];
  const track = markedTrack(stage.ride.layout);
  return {
    ...{ lesson, pairId, layout: stage.ride.layout, stage: { ...stage, versionId: stage.versionId } },
    name: `${pair.horseName} with ${pair.riderName}`,
    horse: planHorses(horses)[horses.indexOf(own)]!,
    manner: {
      ...USUAL_MANNER,
      worseRein: own.stiffSide ? { rein: own.stiffSide, times: STIFF_TIMES } : null,
      badPlace: patch ? { at: patch.at, radiusM: patch.radiusM, chance: PATCH_CHANCE } : null,
    },
    bothWays: track ? goesBothWays(stage.ride.layout, track) : true,
    place: arena?.marks.place ?? NOWHERE,
  };
}

import {
  exerciseGround,
  passWork,
  resolvePlan,
  stageLayout,
  USUAL_STAGE_MIN,
  type LessonStage,
  type PassWork,
} from '@/core';
import type { RoanDatabase } from '../openDatabase';
import { listHorses } from './horses';
import type { Layout } from './layouts';
import { planGround } from './planGround';

/** A stage that a layout offers to a lesson, before it has an id of its own there, and what one pass of it is. */
export type OfferedStage = Omit<LessonStage, 'id'> & { work: PassWork };

/** The stages of a layout: those of its exercises, or the layout as it is planned. */
export async function layoutStages(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  layout: Layout,
): Promise<OfferedStage[]> {
  const ground = planGround(layout.name, layout.arena, await listHorses(db, yardId), null);
  const { exercises, layout: made } = resolvePlan(layout.plan, ground);
  const staged = exercises.flatMap(({ placed, laid, guidance }) =>
    laid.stages.map((at, stage): OfferedStage => {
      const { name, focus, seat } = at;
      const work = passWork(stageLayout(layout.name, laid, exerciseGround(layout.plan, placed, ground), at));
      return {
        ...{
          work,
          name,
          focus,
          seat,
          layoutId: layout.id,
          exercise: { id: placed.id, stage },
          minutes: USUAL_STAGE_MIN,
        },
        ...{ eachRein: guidance.repetitions.eachRein, policy: guidance.failure, stop: guidance.repetitions.stop },
      };
    }),
  );
  if (staged.length > 0) return staged;
  return [
    {
      ...{ name: 'as planned', focus: '', seat: 'half-seat', layoutId: layout.id, exercise: null, eachRein: 2 },
      ...{
        work: passWork(made),
        minutes: USUAL_STAGE_MIN,
        policy: 'same question again',
        stop: { when: 'repetitions' },
      },
    },
  ];
}

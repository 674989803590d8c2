import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  expectedWork,
  lessonMinutes,
  plannedOf,
  plannedWork,
  workWarnings,
  type LessonPlan,
  type Work,
  type WorkLimits,
} from '@/core';
import type { LayoutHere } from '../lessonChoices';
import type { LessonPair, TodayOf } from './LessonEditor';
import classes from './LessonEditor.module.css';

type ExpectedProps = {
  plan: LessonPlan;
  layouts: readonly LayoutHere[];
  pairs: readonly LessonPair[];
  limits: WorkLimits;
  todayOf: TodayOf;
};

/** What the plan asks of each horse with what else it does that day, against the yard's limits, before anyone mounts. */
export function Expected({ plan, layouts, pairs, limits, todayOf }: ExpectedProps) {
  const { say } = useLengths();
  const workOf = (pairId: string) => lessonWork(plan, pairId, layouts, todayOf);
  const horses = [...new Set(pairs.map(({ horseId }) => horseId))].map(horseId => {
    const riding = pairs.filter(pair => pair.horseId === horseId);
    const planned = riding.map(({ id }) => workOf(id));
    const counts = expectedWork(planned, riding[0]!.earlier);
    return { horseId, horse: riding[0]!.horse, riders: riding.length, alone: expectedWork(planned), counts };
  });
  const warned = horses.flatMap(({ horseId, horse, counts }) => {
    const warnings = workWarnings(counts, Infinity, limits);
    return warnings.length > 0 ? [{ horseId, horse, warnings }] : [];
  });
  return (
    <section className={classes.expected} aria-label="Work expected">
      <p>{lessonMinutes(plan)} minutes in all.</p>
      {horses.map(({ horseId, horse, riders, alone, counts }) => (
        <p key={horseId}>
          <strong>{horse}</strong>
          {riders > 1 && `, with ${riders} riders`}: {workWords(alone)}
          {counts.lowEfforts + counts.highEfforts > alone.lowEfforts + alone.highEfforts &&
            `; with what else it does that day ${counts.lowEfforts + counts.highEfforts} efforts`}
          .
        </p>
      ))}
      {horses.length > 0 && warned.length === 0 && <p>Within the yard’s limits for every horse that day.</p>}
      {warned.map(({ horseId, horse, warnings }) => (
        <p key={horseId} role="status">
          <strong>Look again: {horse}.</strong> {say(warnings.join(' '))}
        </p>
      ))}
    </section>
  );
}

function workWords({ lowEfforts, highEfforts, raisedPasses, smallCircleMin: { left, right } }: Work): string {
  const efforts = lowEfforts + highEfforts;
  return [
    `${efforts} ${efforts === 1 ? 'effort' : 'efforts'}`,
    ...(highEfforts > 0 ? [`${highEfforts} of them at 0.9 m and over`] : []),
    ...(raisedPasses > 0 ? [`${raisedPasses} passes over raised poles`] : []),
    ...(left + right > 0
      ? [`${left.toFixed(1)} minutes on small circles on the left rein, ${right.toFixed(1)} on the right`]
      : []),
  ].join(', ');
}

function lessonWork(plan: LessonPlan, pairId: string, layouts: readonly LayoutHere[], todayOf: TodayOf): Work {
  return plannedWork(
    plan.stages.flatMap(({ layoutId, questions, eachRein }) => {
      const here = layouts.find(({ id }) => id === layoutId);
      return questions.flatMap(({ question, ofPairs }) => {
        const today = here && todayOf(question);
        return (today && plannedOf(here.layout, { question: today.question, ofPairs }, pairId, eachRein)) ?? [];
      });
    }),
  );
}

import { useSay } from '@/components/Lengths/LengthsProvider';
import { breakTimes, lessonMinutes, stageTimes, USUAL_LESSON_MIN, type LessonPlan } from '@/core';
import { clockAfter } from './clock';
import classes from './LessonEditor.module.css';

type HourStripProps = {
  plan: LessonPlan;
  startsAt: string;
  chosen: string | null;
  onChoose: (stageId: string) => void;
};

/** The hour at a glance: every stage as long as it takes, walk breaks as marks, and where the hour ends. */
export function HourStrip({ plan, startsAt, chosen, onChoose }: HourStripProps) {
  const say = useSay();
  const allMin = Math.max(lessonMinutes(plan), USUAL_LESSON_MIN);
  const share = (minutes: number) => `${(minutes / allMin) * 100}%`;
  return (
    <div className={classes.strip} role="group" aria-label="The lesson on the clock">
      {stageTimes(plan.stages).map(({ stageId, fromMin, toMin }, index) => {
        const { name, minutes } = plan.stages[index]!;
        return (
          <button
            key={stageId}
            type="button"
            tabIndex={-1}
            title={say(`${name}, ${minutes} min`)}
            data-chosen={chosen === stageId || undefined}
            className={classes.block}
            style={{ left: share(fromMin), width: share(toMin - fromMin) }}
            onClick={() => onChoose(stageId)}
          >
            {index + 1}
          </button>
        );
      })}
      {breakTimes(plan).map(min => (
        <span key={min} className={classes.walk} style={{ left: share(min) }} title="Everybody walks" />
      ))}
      <span className={classes.hour} style={{ left: share(USUAL_LESSON_MIN) }} />
      <span className={classes.from}>{clockAfter(startsAt, 0) ?? '0'}</span>
      <span className={classes.to} style={{ right: share(allMin - USUAL_LESSON_MIN) }}>
        {clockAfter(startsAt, USUAL_LESSON_MIN) ?? '1 h'}
      </span>
    </div>
  );
}

import { useSay } from '@/components/Lengths/LengthsProvider';
import { AskedPicture } from '@/components/AskedPicture/AskedPicture';
import { stageTimes, type LessonPlan } from '@/core';
import type { LayoutHere } from '../lessonChoices';
import type { AsksOfPair } from './asksOfPair';
import { clockAfter } from './clock';
import type { TodayOf } from './questionsToday';
import type { LessonPair } from './lessonPair';
import classes from './PrintedPlan.module.css';
import { workWords } from './workWords';

type PrintedPlanProps = {
  plan: LessonPlan;
  startsAt: string;
  layouts: readonly LayoutHere[];
  todayOf: TodayOf;
  riding: readonly LessonPair[];
  asks: ReadonlyMap<string, AsksOfPair>;
};

/** A plan as the browser prints it: what is read in the arena, and no fields. */
export function PrintedPlan({ plan, startsAt, layouts, todayOf, riding, asks }: PrintedPlanProps) {
  const say = useSay();
  const times = stageTimes(plan.stages);
  return (
    <div className={classes.paper} aria-hidden="true">
      <p>
        {riding.map(({ id, name }) => `${name}: ${workWords(asks.get(id)!.work)}`).join('. ')}
        {riding.length > 0 && '.'} A walk every {plan.breakEveryMin} minutes.
      </p>
      {plan.stages.map((stage, index) => {
        const layout = layouts.find(({ id }) => id === stage.layoutId);
        const today = stage.questions.flatMap(({ question }) => todayOf(question) ?? []);
        return (
          <section key={stage.id}>
            <h3>
              {clockAfter(startsAt, times[index]!.fromMin)} {say(stage.name)}, {stage.minutes} min
            </h3>
            <p>
              {[stage.focus, stage.seat, stage.eachRein > 0 ? `${stage.eachRein} on each rein` : '']
                .filter(Boolean)
                .join('; ')}
            </p>
            {today.map(({ question, words }) => (
              <div key={question.id} className={classes.asked}>
                {words !== stage.name && <p>{say(words)}</p>}
                {layout && <AskedPicture layout={layout.layout} question={question} />}
              </div>
            ))}
          </section>
        );
      })}
    </div>
  );
}

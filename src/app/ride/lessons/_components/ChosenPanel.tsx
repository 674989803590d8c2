import { lazily } from '@/components/lazily';
import type { LessonPlan, LessonStage, RiderWork } from '@/core';
import { NumberInput } from '@/components/fields/NumberInput';
import classes from './LessonEditor.module.css';
import type { LayoutHere, OfferedHere } from '../lessonChoices';
import type { AsksOfPair } from './asksOfPair';
import type { LessonPair } from './lessonPair';
import type { TodayOf } from './questionsToday';

const PairPanel = lazily(() => import('./PairPanel').then(m => ({ default: m.PairPanel })));
const StagePanel = lazily(() => import('./StagePanel').then(m => ({ default: m.StagePanel })));

type ChosenPanelProps = {
  plan: LessonPlan;
  layouts: readonly LayoutHere[];
  todayOf: TodayOf;
  riding: readonly LessonPair[];
  /** What is chosen: a stage, a pair, or nothing. */
  stage: LessonStage | null;
  pair: LessonPair | null;
  asks: AsksOfPair | null;
  /** Pairs whose legs are read with what was ridden lately. */
  byRecord: readonly string[];
  riderMarks: readonly string[];
  riderWork: readonly RiderWork[];
  onOffered: (questionId: string, offered: OfferedHere) => void;
  onStage: (stage: LessonStage) => void;
  onByRecord: (change: (before: string[]) => string[]) => void;
  onPlan: (plan: LessonPlan) => void;
};

/** Beside the clock: the stage or the pair that is chosen, or the lesson as a whole. */
export function ChosenPanel({ plan, stage, pair, asks, ...props }: ChosenPanelProps) {
  if (stage)
    return (
      <StagePanel
        key={stage.id}
        stage={stage}
        layout={props.layouts.find(({ id }) => id === stage.layoutId) ?? null}
        todayOf={props.todayOf}
        pairs={props.riding}
        riderMarks={props.riderMarks}
        riderWork={props.riderWork}
        onOffered={props.onOffered}
        onChange={props.onStage}
      />
    );
  if (pair && asks)
    return (
      <PairPanel
        pair={pair}
        asks={asks}
        byRecord={props.byRecord.includes(pair.id)}
        onByRecord={isSo =>
          props.onByRecord(before => [...before.filter(id => id !== pair.id), ...(isSo ? [pair.id] : [])])
        }
      />
    );
  return (
    <section className={classes.panel} aria-label="The lesson as a whole">
      <p>Choose a stage to change how it is asked, or a pair to see what it will find. Most lessons need neither.</p>
      <NumberInput
        label="Minutes between walk breaks"
        min={1}
        max={120}
        value={plan.breakEveryMin}
        onChange={value => typeof value === 'number' && props.onPlan({ ...plan, breakEveryMin: value })}
      />
    </section>
  );
}

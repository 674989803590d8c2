'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import {
  FAILURE_POLICIES,
  MOST_RIDER_MARKS,
  SEATS,
  STOP_RULES,
  stopRule,
  type AskedQuestion,
  type LessonStage,
  type RiderWork,
} from '@/core';
import { NumberInput, Select, TagsInput, TextInput } from '@mantine/core';
import type { LayoutHere, OfferedHere } from '../lessonChoices';
import type { TodayOf } from './questionsToday';
import type { LessonPair } from './lessonPair';
import classes from './LessonEditor.module.css';
import { RiderWorkOfStage } from './RiderWorkOfStage';
import { StageQuestions } from './StageQuestions';

type StagePanelProps = {
  stage: LessonStage;
  layout: LayoutHere | null;
  todayOf: TodayOf;
  pairs: readonly LessonPair[];
  /** What the yard watches in its riders. */
  riderMarks: readonly string[];
  /** The yard’s own work for the rider. */
  riderWork: readonly RiderWork[];
  onOffered: (id: string, offered: OfferedHere) => void;
  onChange: (stage: LessonStage) => void;
};

/** Words of at most so many letters; a stage in which nothing of the rider is watched says nothing of it. */
function withRiderMarks({ riderMarks: _, ...stage }: LessonStage, marks: readonly string[]): LessonStage {
  const words = [...new Set(marks.map(mark => mark.trim().slice(0, 60)))].filter(mark => mark !== '');
  return words.length === 0 ? stage : { ...stage, riderMarks: words };
}

/** All that can be said of a stage; most lessons need none of it. */
export function StagePanel({
  stage,
  layout,
  todayOf,
  pairs,
  riderMarks,
  riderWork,
  onOffered,
  onChange,
}: StagePanelProps) {
  const say = useSay();
  return (
    <section className={classes.panel} aria-label={say(`Stage: ${stage.name}`)}>
      <TextInput
        label="Stage"
        value={say(stage.name)}
        onChange={event => onChange({ ...stage, name: event.currentTarget.value })}
      />
      <TextInput
        label="One thing to think of"
        value={say(stage.focus)}
        onChange={event => onChange({ ...stage, focus: event.currentTarget.value })}
      />
      {layout && (
        <StageQuestions
          {...{ layout, todayOf, pairs, onOffered }}
          questions={stage.questions}
          onChange={(questions: AskedQuestion[]) => onChange({ ...stage, questions })}
        />
      )}
      <div className={classes.fields}>
        <NumberInput
          label="Times on each rein"
          min={0}
          max={50}
          value={stage.eachRein}
          onChange={value => onChange({ ...stage, eachRein: typeof value === 'number' ? value : 0 })}
        />
        <Select
          label="Seat"
          allowDeselect={false}
          data={[...SEATS]}
          value={stage.seat}
          onChange={seat => onChange({ ...stage, seat: SEATS.find(one => one === seat) ?? stage.seat })}
        />
        <Select
          label="After a failure"
          allowDeselect={false}
          data={[...FAILURE_POLICIES]}
          value={stage.policy}
          onChange={policy =>
            onChange({ ...stage, policy: FAILURE_POLICIES.find(one => one === policy) ?? stage.policy })
          }
        />
        <Select
          label="When it is enough"
          allowDeselect={false}
          data={[...STOP_RULES]}
          value={stage.stop.when}
          onChange={when => onChange({ ...stage, stop: stopRule(when, stage.minutes) })}
        />
      </div>
      <RiderWorkOfStage {...{ stage, riderWork, onChange }} />
      <TagsInput
        label="What is watched in the rider"
        description="Where the rider is what is worked on: these come under the thumb. Four at most, of the yard’s or your own words."
        placeholder={stage.riderMarks?.length ? '' : 'nothing: the horse is watched'}
        maxTags={MOST_RIDER_MARKS}
        data={[...riderMarks]}
        value={stage.riderMarks ?? []}
        onChange={marks => onChange(withRiderMarks(stage, marks))}
      />
    </section>
  );
}

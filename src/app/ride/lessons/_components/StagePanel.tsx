'use client';

import { FAILURE_POLICIES, SEATS, STOP_RULES, stopRule, type AskedQuestion, type LessonStage } from '@/core';
import { NumberInput, Select, TextInput } from '@mantine/core';
import type { LayoutHere, OfferedHere } from '../lessonChoices';
import type { LessonPair, TodayOf } from './LessonEditor';
import classes from './LessonEditor.module.css';
import { StageQuestions } from './StageQuestions';

type StagePanelProps = {
  stage: LessonStage;
  layout: LayoutHere | null;
  todayOf: TodayOf;
  pairs: readonly LessonPair[];
  onOffered: (id: string, offered: OfferedHere) => void;
  onChange: (stage: LessonStage) => void;
};

/** All that can be said of a stage; most lessons need none of it. */
export function StagePanel({ stage, layout, todayOf, pairs, onOffered, onChange }: StagePanelProps) {
  return (
    <section className={classes.panel} aria-label={`Stage: ${stage.name}`}>
      <TextInput
        label="Stage"
        value={stage.name}
        onChange={event => onChange({ ...stage, name: event.currentTarget.value })}
      />
      <TextInput
        label="One thing to think of"
        value={stage.focus}
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
    </section>
  );
}

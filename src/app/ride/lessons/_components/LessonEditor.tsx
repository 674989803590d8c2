'use client';

import { apart } from '@/components/apart';
import { Select } from '@/components/fields/Select';
import type { LessonPlan } from '@/core';
import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { LessonBoardProps } from './LessonBoard';
import classes from './LessonEditor.module.css';
import { LessonNotes, type Clash } from './LessonNotes';
import { useLessonSave } from '../_state/useLessonSave';
import { useTypedLesson } from '../_state/useTypedLesson';
import type { Named } from './lessonPair';

/** What reads a plan for those who ride is the most of this page, and comes after what is typed and kept. */
const LessonBoard = apart(() => import('./LessonBoard'));

type LessonEditorProps = Omit<LessonBoardProps, 'plan' | 'setPlan' | 'arenaId' | 'startsAt' | 'onAdding'> & {
  lessonId: string | null;
  /** The layout that a new lesson is made over. */
  over?: string | null;
  /** Whether it was begun, or has a record: what was ridden stays, and moves with its day. */
  isRidden?: boolean;
  /** `revision`: of a lesson that is there already. */
  first: { name: string; arenaId: string; startsAt: string; plan: LessonPlan; revision: number | null };
  arenas: Named[];
  clashes: Clash[];
};

/** Plans a lesson: when, where and who; its stages along the clock; and whatever is chosen beside them. */
export function LessonEditor(props: LessonEditorProps) {
  const { lessonId, first, arenas, clashes } = props;
  const [name, setName] = useState(first.name);
  const [arenaId, setArenaId] = useState(first.arenaId);
  const [startsAt, setStartsAt] = useState(first.startsAt);
  const [plan, setPlan] = useState(first.plan);
  /** Whether stages are on their way into it. */
  const [isAdding, setAdding] = useState(false);
  const typed = { name, arenaId, startsAt, plan };
  const kept = useTypedLesson(
    lessonId ?? `new${props.over ? ` over ${props.over}` : ''}`,
    first.revision,
    typed,
    back => {
      setName(back.name);
      setArenaId(back.arenaId);
      setStartsAt(back.startsAt);
      setPlan(back.plan);
    },
  );
  const { save, busy, said, faults, problem } = useLessonSave({ lessonId, first, typed, kept, onSaved: setPlan });
  return (
    <form
      className={classes.editor}
      onSubmit={event => {
        event.preventDefault();
        save();
      }}
    >
      {props.isRidden && (
        <p className={`${classes.clash} roan-no-print`}>
          This lesson was ridden. What is changed here changes its plan: its record stays, stages with passes stay, and
          what was ridden moves with its day.
        </p>
      )}
      <div className={`${classes.head} roan-no-print`}>
        <TextInput
          label="What it is called"
          value={name}
          error={faults.name}
          onChange={event => setName(event.currentTarget.value)}
        />
        <TextInput
          type="datetime-local"
          label="Day and time, by the yard’s clock"
          value={startsAt}
          error={faults.startsAt}
          onChange={event => setStartsAt(event.currentTarget.value)}
        />
        <Select
          label="Arena"
          allowDeselect={false}
          value={arenaId}
          error={faults.arenaId}
          data={arenas.map(({ id, name: arena }) => ({ value: id, label: arena }))}
          onChange={id => id && setArenaId(id)}
        />
      </div>
      <LessonBoard {...props} {...{ plan, setPlan, arenaId, startsAt }} onAdding={setAdding} />
      <LessonNotes {...{ clashes, kept, said, problem }} />
      <div className={`${classes.adding} roan-no-print`}>
        <Button type="submit" loading={busy || isAdding}>
          {lessonId === null ? 'Plan the lesson' : 'Keep these changes'}
        </Button>
      </div>
    </form>
  );
}

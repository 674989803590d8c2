'use client';

import { newId } from '@/components/newId';
import {
  FAILURE_POLICIES,
  lessonMinutes,
  SEATS,
  USUAL_WORK_LIMITS,
  type LessonPlan,
  type LessonStage,
  type PassWork,
} from '@/core';
import { writeLesson } from '@/files/lessonPaper';
import { Alert, Button, MultiSelect, NumberInput, Select, TextInput, Title } from '@mantine/core';
import { IconArrowDown, IconArrowUp, IconX } from '@tabler/icons-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { saveLessonAction } from '../actions';
import classes from './LessonEditor.module.css';

type Named = { id: string; name: string };
type Offered = Omit<LessonStage, 'id'> & { work: PassWork };

type LessonEditorProps = {
  lessonId: string | null;
  first: { name: string; arenaId: string; startsAt: string; plan: LessonPlan };
  arenas: Named[];
  pairs: Named[];
  /** Every layout with its arena and the stages it offers. */
  layouts: { id: string; name: string; arenaId: string; stages: Offered[] }[];
};

/** Plans a lesson: when, where, who, and stage by stage what. */
export function LessonEditor({ lessonId, first, arenas, pairs, layouts }: LessonEditorProps) {
  const router = useRouter();
  const [name, setName] = useState(first.name);
  const [arenaId, setArenaId] = useState(first.arenaId);
  const [startsAt, setStartsAt] = useState(first.startsAt);
  const [plan, setPlan] = useState(first.plan);
  const [faults, setFaults] = useState<Record<string, string>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const setStages = (stages: LessonStage[]) => setPlan({ ...plan, stages });
  const here = layouts.filter(layout => layout.arenaId === arenaId);
  const save = () =>
    begin(async () => {
      const sent = { name, arenaId, startsAt, plan: writeLesson(plan) };
      const answer = await saveLessonAction(lessonId, sent).catch(() => null);
      setFaults(answer && !answer.ok ? answer.fields : {});
      const firstFault = answer && !answer.ok ? Object.values(answer.fields)[0] : undefined;
      setProblem(
        answer === null
          ? 'The server does not answer, so nothing was saved. What you typed is still here: try again.'
          : answer.ok
            ? null
            : (answer.problem ?? firstFault ?? null),
      );
      if (answer?.ok) router.push(`/ride/lessons/${answer.lessonId}`);
      if (answer?.ok) router.refresh();
    });
  return (
    <form
      className={classes.editor}
      onSubmit={event => {
        event.preventDefault();
        save();
      }}
    >
      <div className={classes.head}>
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
        <MultiSelect
          label="Pairs"
          searchable
          value={plan.pairIds}
          data={pairs.map(({ id, name: pair }) => ({ value: id, label: pair }))}
          onChange={pairIds => setPlan({ ...plan, pairIds })}
        />
        <NumberInput
          label="Minutes between walk breaks"
          min={1}
          max={120}
          value={plan.breakEveryMin}
          onChange={value => typeof value === 'number' && setPlan({ ...plan, breakEveryMin: value })}
        />
      </div>
      <Title order={2} size="h4">
        Stages
      </Title>
      <div className={classes.adding}>
        <Select
          aria-label="Add the stages of a layout"
          placeholder="Add the stages of a layout"
          searchable
          value={null}
          data={here.map(({ id, name: layout }) => ({ value: id, label: layout }))}
          onChange={id => {
            const offered = here.find(layout => layout.id === id)?.stages ?? [];
            setStages(offered.reduce((stages, stage) => [...stages, withOwnName(stage, stages)], plan.stages));
          }}
        />
        <Button
          variant="default"
          disabled={plan.stages.some(({ name: stage }) => stage === WARM_UP)}
          onClick={() => setStages([warmUp(), ...plan.stages])}
        >
          Add a warm-up
        </Button>
      </div>
      {plan.stages.length === 0 && <p>Choose a layout: its stages come with it, and each can be changed.</p>}
      <ol className={classes.stages}>
        {plan.stages.map((stage, index) => (
          <StageFields
            key={stage.id}
            stage={stage}
            number={index + 1}
            layoutName={layouts.find(({ id }) => id === stage.layoutId)?.name ?? null}
            onChange={changed => setStages(plan.stages.map(one => (one.id === stage.id ? changed : one)))}
            onMove={by => setStages(moved(plan.stages, index, by))}
            onRemove={() => setStages(plan.stages.filter(({ id }) => id !== stage.id))}
          />
        ))}
      </ol>
      <Expected plan={plan} layouts={layouts} />
      {problem && (
        <Alert color="chestnut" role="alert">
          {problem}
        </Alert>
      )}
      <div className={classes.adding}>
        <Button type="submit" loading={busy}>
          {lessonId === null ? 'Plan the lesson' : 'Keep these changes'}
        </Button>
      </div>
    </form>
  );
}

/** Stages are told apart by their names: a second one of a name is numbered. */
function withOwnName({ work: _, ...stage }: Offered, stages: readonly LessonStage[]): LessonStage {
  const taken = new Set(stages.map(({ name }) => name));
  let name = stage.name;
  for (let number = 2; taken.has(name); number += 1) name = `${stage.name} (${number})`;
  return { ...stage, name, id: newId() };
}

const WARM_UP = 'Warm-up';

function warmUp(): LessonStage {
  return {
    ...{ id: newId(), name: WARM_UP, layoutId: null, exercise: null, focus: 'Loose and forward', seat: 'rising' },
    ...{ eachRein: 0, minutes: 10, policy: 'let it go', stop: { when: 'minutes', minutes: 10 } },
  };
}

function moved(stages: readonly LessonStage[], index: number, by: number): LessonStage[] {
  const next = [...stages];
  const [stage] = next.splice(index, 1);
  if (stage) next.splice(index + by, 0, stage);
  return next;
}

type StageFieldsProps = {
  stage: LessonStage;
  number: number;
  layoutName: string | null;
  onChange: (stage: LessonStage) => void;
  onMove: (by: number) => void;
  onRemove: () => void;
};

function StageFields({ stage, number, layoutName, onChange, onMove, onRemove }: StageFieldsProps) {
  const count = (value: number | string) => (typeof value === 'number' ? value : 0);
  return (
    <li className={classes.stage} aria-label={`Stage ${number}`}>
      <div className={classes.stageHead}>
        <strong>{number}</strong>
        <span>{layoutName ?? 'without a layout'}</span>
        <Button
          variant="subtle"
          size="compact-sm"
          aria-label="Earlier"
          disabled={number === 1}
          onClick={() => onMove(-1)}
        >
          <IconArrowUp size={16} />
        </Button>
        <Button variant="subtle" size="compact-sm" aria-label="Later" onClick={() => onMove(1)}>
          <IconArrowDown size={16} />
        </Button>
        <Button variant="subtle" size="compact-sm" aria-label="Take this stage out" onClick={onRemove}>
          <IconX size={16} />
        </Button>
      </div>
      <div className={classes.fields}>
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
        <Select
          label="Seat"
          allowDeselect={false}
          data={[...SEATS]}
          value={stage.seat}
          onChange={seat => onChange({ ...stage, seat: SEATS.find(one => one === seat) ?? stage.seat })}
        />
        <NumberInput
          label="Times on each rein"
          min={0}
          max={50}
          value={stage.eachRein}
          onChange={value => onChange({ ...stage, eachRein: count(value) })}
        />
        <NumberInput
          label="Minutes"
          min={0}
          max={240}
          value={stage.minutes}
          onChange={value => onChange({ ...stage, minutes: count(value) })}
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
      </div>
    </li>
  );
}

/** What the plan asks of each horse, against what is usual for a day, before anyone mounts. */
function Expected({ plan, layouts }: { plan: LessonPlan; layouts: LessonEditorProps['layouts'] }) {
  const work = plan.stages.map(stage => {
    const offered = layouts
      .find(({ id }) => id === stage.layoutId)
      ?.stages.find(({ exercise }) => sameExercise(exercise, stage.exercise));
    const passes = stage.eachRein * 2;
    return {
      efforts: passes * ((offered?.work.lowEfforts ?? 0) + (offered?.work.highEfforts ?? 0)),
      high: passes * (offered?.work.highEfforts ?? 0),
      raised: offered?.work.raised ? passes : 0,
    };
  });
  const sum = (of: (one: (typeof work)[number]) => number) => work.reduce((total, one) => total + of(one), 0);
  const [efforts, high, raised] = [sum(one => one.efforts), sum(one => one.high), sum(one => one.raised)];
  const limits = USUAL_WORK_LIMITS;
  const over = [
    efforts > limits.lowEfforts && `${limits.lowEfforts} efforts are usual for a day`,
    high > limits.highEfforts && `${limits.highEfforts} efforts at 0.9 m and over are usual for a day`,
    raised > limits.raisedPasses && `${limits.raisedPasses} passes over raised poles are usual for a day`,
  ].filter(Boolean);
  return (
    <section className={classes.expected} aria-label="Work expected">
      <p>
        For each horse: <strong>{efforts}</strong> {efforts === 1 ? 'effort' : 'efforts'}, {high} of them at 0.9 m and
        over; {raised} passes over raised poles; {lessonMinutes(plan)} minutes in all.
      </p>
      {over.length > 0 && <p role="status">Look again: {over.join('; ')}.</p>}
    </section>
  );
}

function sameExercise(a: LessonStage['exercise'], b: LessonStage['exercise']): boolean {
  return a === null || b === null ? a === b : a.id === b.id && a.stage === b.stage;
}

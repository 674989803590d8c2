'use client';

import { newId } from '@/components/newId';
import {
  FAILURE_POLICIES,
  expectedWork,
  lessonMinutes,
  SEATS,
  STOP_RULES,
  stopRule,
  workWarnings,
  type EarlierWork,
  type LessonPlan,
  type LessonStage,
  type PassWork,
  type WorkLimits,
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
  limits: WorkLimits;
  /** What each pair’s horse does elsewhere on the day of the lesson, as it was last kept. */
  earlier: Record<string, EarlierWork>;
};

/** Plans a lesson: when, where, who, and stage by stage what. */
export function LessonEditor({ lessonId, first, arenas, pairs, layouts, limits, earlier }: LessonEditorProps) {
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
      <Expected plan={plan} layouts={layouts} pairs={pairs} limits={limits} earlier={earlier} />
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
        <Select
          label="When it is enough"
          allowDeselect={false}
          data={[...STOP_RULES]}
          value={stage.stop.when}
          onChange={when => onChange({ ...stage, stop: stopRule(when, stage.minutes) })}
        />
      </div>
    </li>
  );
}

type ExpectedProps = { plan: LessonPlan } & Pick<LessonEditorProps, 'layouts' | 'pairs' | 'limits' | 'earlier'>;

/** What the plan asks of each horse with what else it does that day, against the yard's limits, before anyone mounts. */
function Expected({ plan, layouts, pairs, limits, earlier }: ExpectedProps) {
  const stages = plan.stages.map(stage => ({
    stage,
    work:
      layouts
        .find(({ id }) => id === stage.layoutId)
        ?.stages.find(({ exercise }) => sameExercise(exercise, stage.exercise))?.work ?? null,
  }));
  const alone = expectedWork(stages);
  const efforts = alone.lowEfforts + alone.highEfforts;
  const warned = plan.pairIds.flatMap(id => {
    const warnings = workWarnings(expectedWork(stages, earlier[id]), Infinity, limits);
    return warnings.length > 0 ? [{ id, name: pairs.find(pair => pair.id === id)?.name ?? '', warnings }] : [];
  });
  return (
    <section className={classes.expected} aria-label="Work expected">
      <p>
        For each horse: <strong>{efforts}</strong> {efforts === 1 ? 'effort' : 'efforts'}, {alone.highEfforts} of them
        at 0.9 m and over; {alone.raisedPasses} passes over raised poles; {alone.smallCircleMin.left.toFixed(1)} minutes
        on small circles on each rein; {lessonMinutes(plan)} minutes in all.
      </p>
      {plan.pairIds.length > 0 && warned.length === 0 && <p>Within the yard’s limits for every horse that day.</p>}
      {warned.map(({ id, name, warnings }) => (
        <p key={id} role="status">
          <strong>Look again: {name}.</strong> {warnings.join(' ')}
        </p>
      ))}
    </section>
  );
}

function sameExercise(a: LessonStage['exercise'], b: LessonStage['exercise']): boolean {
  return a === null || b === null ? a === b : a.id === b.id && a.stage === b.stage;
}

'use client';

import { newId } from '@/components/newId';
import {
  FAILURE_POLICIES,
  overState,
  questionWords,
  SEATS,
  STOP_RULES,
  stopRule,
  WARM_UP,
  warmUpStage,
  type AskedQuestion,
  type EarlierWork,
  type LayoutHorse,
  type LessonPlan,
  type LessonStage,
  type Question,
  type WorkLimits,
} from '@/core';
import { whoSays } from '@/components/who/whoSays';
import { writeLesson } from '@/files/lessonPaper';
import { Alert, Button, MultiSelect, NumberInput, Select, TextInput, Title } from '@mantine/core';
import { IconArrowDown, IconArrowUp, IconX } from '@tabler/icons-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { saveLessonAction } from '../actions';
import type { LayoutHere, OfferedHere } from '../lessonChoices';
import { useSaveId } from '@/components/sync/useSaveId';
import { useTypedLesson } from './useTypedLesson';
import { Expected } from './Expected';
import { StageQuestions } from './StageQuestions';
import classes from './LessonEditor.module.css';

type Named = { id: string; name: string };
export type LessonPair = Named & {
  horseId: string;
  horse: string;
  strides: LayoutHorse;
  /** What its horse does besides, that day and on other days of the week, as it was last kept. */
  earlier: EarlierWork;
};

type Today = { question: Question; words: string };
/** A planned question as its layout has it today; null where the layout no longer has it. */
export type TodayOf = (question: Question) => Today | null;

type LessonEditorProps = {
  lessonId: string | null;
  /** Whether it was begun, or has a record: what was ridden stays, and moves with its day. */
  isRidden?: boolean;
  /** `revision`: of a lesson that is there already. */
  first: { name: string; arenaId: string; startsAt: string; plan: LessonPlan; revision: number | null };
  arenas: Named[];
  pairs: LessonPair[];
  /** Every layout with its arena and what it offers. */
  layouts: LayoutHere[];
  limits: WorkLimits;
  /** What is planned, as its layout has it today, by the id of the question. */
  today: Record<string, Today>;
  /** What another lesson wants at the same time. */
  clashes: { what: string; name: string; lessonId: string; lesson: string }[];
};

/** Plans a lesson: when, where, who, and stage by stage what. */
export function LessonEditor(props: LessonEditorProps) {
  const { lessonId, first, arenas, pairs, layouts, limits, clashes } = props;
  const router = useRouter();
  const [name, setName] = useState(first.name);
  const [arenaId, setArenaId] = useState(first.arenaId);
  const [startsAt, setStartsAt] = useState(first.startsAt);
  const [plan, setPlan] = useState(first.plan);
  const [made, setMade] = useState({ revision: first.revision, plan: first.plan });
  const [said, setSaid] = useState<string[]>([]);
  const [faults, setFaults] = useState<Record<string, string>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const nameSave = useSaveId();
  const typed = { name, arenaId, startsAt, plan };
  const kept = useTypedLesson(lessonId, first.revision, typed, back => {
    setName(back.name);
    setArenaId(back.arenaId);
    setStartsAt(back.startsAt);
    setPlan(back.plan);
  });
  const [offered, setOffered] = useState<Record<string, Today>>({});
  const todayOf = questionsToday(layouts, { ...props.today, ...offered }, plan);
  const keepOffered = (id: string, { today }: OfferedHere) =>
    setOffered(before => ({ ...before, [id]: { ...today, question: { ...today.question, id } } }));
  const riding = pairs.filter(({ id }) => plan.pairIds.includes(id));
  const setStages = (stages: LessonStage[]) => setPlan({ ...plan, stages });
  const here = layouts.filter(layout => layout.arenaId === arenaId);
  const save = () =>
    begin(async () => {
      const sent = { name, arenaId, startsAt, plan: writeLesson(plan) };
      const base = made.revision === null ? null : { revision: made.revision, plan: writeLesson(made.plan) };
      const answer = await saveLessonAction(lessonId, sent, base, whoSays(), nameSave({ sent, base })).catch(
        () => null,
      );
      setFaults(answer && !answer.ok ? answer.fields : {});
      const firstFault = answer && !answer.ok ? Object.values(answer.fields)[0] : undefined;
      setProblem(
        answer === null
          ? `The server does not answer, so nothing was saved. What you typed is ${kept.isKept() ? 'kept on this device' : 'still here'}: try again.`
          : answer.ok
            ? null
            : (answer.problem ?? firstFault ?? null),
      );
      if (!answer?.ok) return;
      kept.drop();
      setSaid(answer.said);
      if (answer.saved) {
        // What somebody else changed meanwhile is here from now on.
        setMade(answer.saved);
        setPlan(answer.saved.plan);
      }
      router.push(`/ride/lessons/${answer.lessonId}`);
      router.refresh();
    });
  return (
    <form
      className={classes.editor}
      onSubmit={event => {
        event.preventDefault();
        save();
      }}
    >
      {props.isRidden && (
        <p className={classes.clash}>
          This lesson was ridden. What is changed here changes its plan: its record stays, stages with passes stay, and
          what was ridden moves with its day.
        </p>
      )}
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
            const stages = (here.find(layout => layout.id === id)?.stages ?? []).map(({ asks, ...stage }) => {
              const question = { id: newId(), ...asks.planned };
              keepOffered(question.id, asks);
              return { ...stage, id: newId(), questions: [{ question, ofPairs: {} }] };
            });
            setStages([...plan.stages, ...stages]);
          }}
        />
        <Button
          variant="default"
          disabled={plan.stages.some(({ name: stage }) => stage === WARM_UP)}
          onClick={() => setStages([warmUpStage(newId()), ...plan.stages])}
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
            layout={layouts.find(({ id }) => id === stage.layoutId) ?? null}
            {...{ todayOf, pairs: riding }}
            onOffered={keepOffered}
            onChange={changed => setStages(plan.stages.map(one => (one.id === stage.id ? changed : one)))}
            onMove={by => setStages(moved(plan.stages, index, by))}
            onRemove={() => setStages(plan.stages.filter(({ id }) => id !== stage.id))}
          />
        ))}
      </ol>
      <Expected {...{ plan, layouts, limits, todayOf }} pairs={riding} />
      {clashes.map(({ what, name: wanted, lesson, lessonId: other }) => (
        <p key={`${what} ${wanted} ${other}`} role="status" className={classes.clash}>
          <strong>At the same time:</strong> the {what} {wanted} is in “{lesson}” too.
        </p>
      ))}
      {kept.isBack && (
        <Alert color="slate" role="status">
          Brought back what was typed here and not saved.{' '}
          <Button size="compact-sm" variant="default" onClick={kept.startAgain}>
            Start again from what is saved
          </Button>
        </Alert>
      )}
      {said.map(sentence => (
        <p key={sentence} role="status" className={classes.clash}>
          {sentence}
        </p>
      ))}
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

/**
 * Planned questions as their layouts have them today. What was changed here since the page was opened lies over that: counts,
 * heights, what is a pole.
 */
function questionsToday(
  layouts: readonly LayoutHere[],
  known: Readonly<Record<string, Today>>,
  plan: LessonPlan,
): TodayOf {
  return question => {
    if (question.what.kind === 'made') {
      const layout = layouts.find(({ id }) =>
        plan.stages.some(
          stage => stage.layoutId === id && stage.questions.some(asked => asked.question.id === question.id),
        ),
      );
      return layout ? { question, words: questionWords(layout.layout, question) } : null;
    }
    const today = known[question.id];
    if (!today) return null;
    const asked = question.asked.length > 0 ? question.asked : today.question.asked;
    return { ...today, question: { ...today.question, asked, state: overState(today.question.state, question.state) } };
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
  layout: LayoutHere | null;
  todayOf: TodayOf;
  pairs: readonly LessonPair[];
  onOffered: (id: string, offered: OfferedHere) => void;
  onChange: (stage: LessonStage) => void;
  onMove: (by: number) => void;
  onRemove: () => void;
};

function StageFields(props: StageFieldsProps) {
  const { stage, number, layout, todayOf, pairs, onOffered, onChange, onMove, onRemove } = props;
  const count = (value: number | string) => (typeof value === 'number' ? value : 0);
  return (
    <li className={classes.stage} aria-label={`Stage ${number}`}>
      <div className={classes.stageHead}>
        <strong>{number}</strong>
        <span>{layout?.name ?? 'without a layout'}</span>
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
      {layout && (
        <StageQuestions
          {...{ layout, todayOf, pairs, onOffered }}
          questions={stage.questions}
          onChange={(questions: AskedQuestion[]) => onChange({ ...stage, questions })}
        />
      )}
    </li>
  );
}

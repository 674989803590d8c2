'use client';

import { newId } from '@/components/newId';
import {
  asRidden,
  howMany,
  lessonMinutes,
  type LessonPlan,
  type LessonStage,
  MOST_IN_GROUP,
  overTheHour,
  type RiderWork,
  rideTime,
  stageMinutes,
  stageTimes,
  WARM_UP,
  warmUpStage,
  type WorkLimits,
} from '@/core';
import { whoSays } from '@/components/who/whoSays';
import { writeLesson } from '@/files/writeLesson';
import { Alert, Button, Drawer, NumberInput, Select, TextInput, Title } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { useMemo, useState, useTransition } from 'react';
import { saveLessonAction } from '../actions';
import type { LayoutHere, OfferedHere } from '../lessonChoices';
import { useSaveId } from '@/components/sync/useSaveId';
import { asksOfPair, dayOfHorses } from './asksOfPair';
import { clockAfter } from './clock';
import { HourStrip } from './HourStrip';
import classes from './LessonEditor.module.css';
import { PairColumn } from './PairColumn';
import { PairPanel } from './PairPanel';
import { PrintedPlan } from './PrintedPlan';
import { questionsToday, type Today } from './questionsToday';
import { StageList } from './StageList';
import { StagePanel } from './StagePanel';
import { useStagesOfLayout } from './useStagesOfLayout';
import { useTypedLesson } from './useTypedLesson';
import type { Named, LessonPair } from './lessonPair';

type LessonEditorProps = {
  lessonId: string | null;
  /** The layout that a new lesson is made over. */
  over?: string | null;
  /** Whether it was begun, or has a record: what was ridden stays, and moves with its day. */
  isRidden?: boolean;
  /** `revision`: of a lesson that is there already. */
  first: { name: string; arenaId: string; startsAt: string; plan: LessonPlan; revision: number | null };
  arenas: Named[];
  pairs: LessonPair[];
  /** Every layout with its arena and what it offers. */
  layouts: LayoutHere[];
  limits: WorkLimits;
  /** What the yard watches in its riders. */
  riderMarks: readonly string[];
  /** Its own work for the rider. */
  riderWork: readonly RiderWork[];
  /** What is planned, as its layout has it today, by the id of the question. */
  today: Record<string, Today>;
  /** Why stages are planned as they are, by their id, where the plan was made for those who ride. */
  why?: Record<string, string[]>;
  /** What another lesson wants at the same time. */
  clashes: { what: string; name: string; lessonId: string; lesson: string }[];
};

/** Plans a lesson: when, where and who; its stages along the clock; and whatever is chosen beside them. */
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
  // What a new lesson is called from its first save on, whether or not that was answered.
  const [ownId] = useState(newId);
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
  const [offered, setOffered] = useState<Record<string, Today>>({});
  const [why, setWhy] = useState(props.why ?? {});
  const [chosen, setChosen] = useState<string | null>(null);
  // Pairs whose legs are read with what was ridden lately instead of the profile.
  const [byRecord, setByRecord] = useState<string[]>([]);
  const isNarrow = useMediaQuery('(max-width: 62em)');
  const todayOf = useMemo(
    () => questionsToday(layouts, { ...props.today, ...offered }, plan),
    [layouts, props.today, offered, plan],
  );
  const keepOffered = (all: Record<string, OfferedHere>) =>
    setOffered(before => ({
      ...before,
      ...Object.fromEntries(
        Object.entries(all).map(([id, { today }]) => [id, { ...today, question: { ...today.question, id } }]),
      ),
    }));
  const riding = useMemo(() => plan.pairIds.flatMap(id => pairs.find(pair => pair.id === id) ?? []), [pairs, plan]);
  const asks = useMemo(
    () =>
      new Map(
        riding.map(pair => {
          const strides = byRecord.includes(pair.id) ? asRidden(pair.strides, pair.lately) : pair.strides;
          return [pair.id, asksOfPair(plan, { ...pair, strides }, layouts, todayOf)];
        }),
      ),
    [riding, plan, layouts, todayOf, byRecord],
  );
  const setStages = (stages: LessonStage[]) => setPlan(before => ({ ...before, stages }));
  const changeStage = (changed: LessonStage) =>
    setStages(plan.stages.map(one => (one.id === changed.id ? changed : one)));
  const here = layouts.filter(layout => layout.arenaId === arenaId);
  const stagesOf = useStagesOfLayout(added => {
    keepOffered(added.offered);
    setWhy(before => ({ ...before, ...added.why }));
    setPlan(before => ({
      ...before,
      // Walk breaks of a plan that has stages were thought of already.
      breakEveryMin: before.stages.length === 0 ? added.breakEveryMin : before.breakEveryMin,
      stages: [...before.stages, ...added.stages],
    }));
  });
  const needsMin = (stage: LessonStage) => {
    const layout = layouts.find(({ id }) => id === stage.layoutId);
    const rides = stage.questions.flatMap(({ question }) => {
      const today = todayOf(question);
      return (today && layout && rideTime(layout.layout, today.question)) ?? [];
    });
    return rides.length === 0 || riding.length === 0 ? null : stageMinutes(rides, stage.eachRein, riding.length);
  };
  const save = () =>
    begin(async () => {
      const sent = { name, arenaId, startsAt, plan: writeLesson(plan) };
      const base = made.revision === null ? null : { revision: made.revision, plan: writeLesson(made.plan) };
      const answer = await saveLessonAction(lessonId, sent, base, whoSays(), nameSave({ sent, base }), ownId).catch(
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
  const over = overTheHour(plan.stages);
  const choose = (id: string) => setChosen(before => (before === id ? null : id));
  const chosenStage = plan.stages.find(({ id }) => id === chosen) ?? null;
  const chosenPair = riding.find(({ id }) => id === chosen) ?? null;
  const panel = chosenStage ? (
    <StagePanel
      key={chosenStage.id}
      stage={chosenStage}
      layout={layouts.find(({ id }) => id === chosenStage.layoutId) ?? null}
      {...{ todayOf, pairs: riding, riderMarks: props.riderMarks, riderWork: props.riderWork }}
      onOffered={(id, one) => keepOffered({ [id]: one })}
      onChange={changeStage}
    />
  ) : chosenPair ? (
    <PairPanel
      pair={chosenPair}
      asks={asks.get(chosenPair.id)!}
      byRecord={byRecord.includes(chosenPair.id)}
      onByRecord={isSo =>
        setByRecord(before => [...before.filter(id => id !== chosenPair.id), ...(isSo ? [chosenPair.id] : [])])
      }
    />
  ) : (
    <section className={classes.panel} aria-label="The lesson as a whole">
      <p>Choose a stage to change how it is asked, or a pair to see what it will find. Most lessons need neither.</p>
      <NumberInput
        label="Minutes between walk breaks"
        min={1}
        max={120}
        value={plan.breakEveryMin}
        onChange={value => typeof value === 'number' && setPlan({ ...plan, breakEveryMin: value })}
      />
    </section>
  );
  return (
    <>
      <PrintedPlan {...{ plan, startsAt, layouts, todayOf, riding, asks }} />
      <form
        className={`${classes.editor} roan-no-print`}
        onSubmit={event => {
          event.preventDefault();
          save();
        }}
      >
        {props.isRidden && (
          <p className={classes.clash}>
            This lesson was ridden. What is changed here changes its plan: its record stays, stages with passes stay,
            and what was ridden moves with its day.
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
        </div>
        <div className={classes.board}>
          <PairColumn
            {...{ pairs, riding, asks, chosen }}
            most={MOST_IN_GROUP}
            days={dayOfHorses(riding, asks, limits)}
            onChoose={choose}
            onChange={pairIds => setPlan({ ...plan, pairIds })}
          />
          <section aria-label="Stages" className={classes.clock}>
            <div className={classes.clockHead}>
              <Title order={2} size="h4">
                Stages
              </Title>
              <span>{howMany(lessonMinutes(plan), 'minute')} in all</span>
            </div>
            {plan.stages.length > 0 && <HourStrip {...{ plan, startsAt, chosen }} onChoose={choose} />}
            {over !== null && (
              <p role="status" className={classes.clash}>
                {over}
              </p>
            )}
            {plan.stages.length === 0 && (
              <p>Choose a layout: its stages come with it, fitted to those who ride, and each can be changed.</p>
            )}
            <StageList
              {...{ layouts, todayOf, needsMin, why, chosen }}
              stages={plan.stages}
              begins={
                new Map(stageTimes(plan.stages).map(({ stageId, fromMin }) => [stageId, clockAfter(startsAt, fromMin)]))
              }
              onChoose={choose}
              onChange={changeStage}
              onMove={setStages}
              onRemove={id => setStages(plan.stages.filter(one => one.id !== id))}
            />
            <div className={classes.adding}>
              <Select
                aria-label="Add the stages of a layout"
                placeholder="Add the stages of a layout"
                searchable
                disabled={stagesOf.busy}
                value={null}
                data={here.map(({ id, name: layout }) => ({ value: id, label: layout }))}
                onChange={id => {
                  const layout = here.find(one => one.id === id);
                  if (layout) stagesOf.add(layout, plan.pairIds);
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
          </section>
          {isNarrow ? (
            <Drawer
              opened={chosenStage !== null || chosenPair !== null}
              position="bottom"
              size="85%"
              title={chosenStage?.name ?? chosenPair?.name ?? ''}
              onClose={() => setChosen(null)}
            >
              {panel}
            </Drawer>
          ) : (
            <aside className={classes.side} aria-label="What is chosen">
              {panel}
            </aside>
          )}
        </div>
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
          <Button type="submit" loading={busy || stagesOf.busy}>
            {lessonId === null ? 'Plan the lesson' : 'Keep these changes'}
          </Button>
        </div>
      </form>
    </>
  );
}

'use client';

import { apart } from '@/components/apart';
import { Select } from '@/components/fields/Select';
import { lazily } from '@/components/lazily';
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
import { Button, Title } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import { useEffect, useMemo, useState, type Dispatch, type SetStateAction } from 'react';
import type { LayoutHere, OfferedHere } from '../lessonChoices';
import { useStagesOfLayout } from '../_state/useStagesOfLayout';
import { asksOfPair, dayOfHorses } from './asksOfPair';
import { ChosenPanel } from './ChosenPanel';
import { clockAfter } from './clock';
import { HourStrip } from './HourStrip';
import classes from './LessonEditor.module.css';
import { PairColumn } from './PairColumn';
import { PrintedPlan } from './PrintedPlan';
import { questionsToday, type Today } from './questionsToday';
import type { LessonPair } from './lessonPair';

/** What is dragged into order brings much with it, and comes after the rest. */
const StageList = apart(() => import('./StageList'));

/** Where there is no room beside the stages, what is chosen comes from below. */
const FromBelow = lazily(() => import('../../_components/pad/FromBelow'));

export type LessonBoardProps = {
  plan: LessonPlan;
  setPlan: Dispatch<SetStateAction<LessonPlan>>;
  arenaId: string;
  startsAt: string;
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
  /** Told while stages are on their way into it. */
  onAdding: (isAdding: boolean) => void;
};

/** What is read beside the clock; where there is no room beside it, it comes from below. */
type Chosen = { stage: LessonStage | null; pair: LessonPair | null };
const NOTHING_CHOSEN: Chosen = { stage: null, pair: null };

/** Who rides, the stages along the clock, and whatever is chosen beside them: all of it read for those who ride as it is changed. */
export default function LessonBoard(props: LessonBoardProps) {
  const { plan, setPlan, arenaId, startsAt, pairs, layouts, limits, onAdding } = props;
  const [offered, setOffered] = useState<Record<string, Today>>({});
  const [why, setWhy] = useState(props.why ?? {});
  const [chosen, setChosen] = useState<string | null>(null);
  // Pairs whose legs are read with what was ridden lately instead of the profile.
  const [byRecord, setByRecord] = useState<string[]>([]);
  const isNarrow = useMediaQuery('(max-width: 78em)');
  // A plan that is not kept yet is named anew whenever its page is made again: what it was opened with stays known.
  const [opened] = useState(props.today);
  const todayOf = useMemo(
    () => questionsToday(layouts, { ...opened, ...props.today, ...offered }, plan),
    [layouts, opened, props.today, offered, plan],
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
  const { busy } = stagesOf;
  useEffect(() => onAdding(busy), [busy, onAdding]);
  const needsMin = (stage: LessonStage) => {
    const layout = layouts.find(({ id }) => id === stage.layoutId);
    const rides = stage.questions.flatMap(({ question }) => {
      const today = todayOf(question);
      return (today && layout && rideTime(layout.layout, today.question)) ?? [];
    });
    return rides.length === 0 || riding.length === 0 ? null : stageMinutes(rides, stage.eachRein, riding.length);
  };
  const over = overTheHour(plan.stages);
  const choose = (id: string) => setChosen(before => (before === id ? null : id));
  const chosenStage = plan.stages.find(({ id }) => id === chosen) ?? null;
  const chosenPair = riding.find(({ id }) => id === chosen) ?? null;
  const isChosen = { stage: chosenStage, pair: chosenPair };
  const panel = (of: Chosen) => (
    <ChosenPanel
      {...{ plan, layouts, todayOf, riding, byRecord }}
      {...of}
      asks={of.pair ? asks.get(of.pair.id)! : null}
      riderMarks={props.riderMarks}
      riderWork={props.riderWork}
      onOffered={(id, one) => keepOffered({ [id]: one })}
      onStage={changeStage}
      onByRecord={setByRecord}
      onPlan={setPlan}
    />
  );
  return (
    <>
      <PrintedPlan {...{ plan, startsAt, layouts, todayOf, riding, asks }} />
      <div className={`${classes.board} roan-no-print`}>
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
              disabled={busy}
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
        <aside className={classes.side} aria-label="What is chosen">
          {panel(isNarrow ? NOTHING_CHOSEN : isChosen)}
        </aside>
        {isNarrow && (
          <FromBelow
            opened={chosenStage !== null || chosenPair !== null}
            position="bottom"
            size="85%"
            title={chosenStage?.name ?? chosenPair?.name ?? ''}
            onClose={() => setChosen(null)}
          >
            {panel(isChosen)}
          </FromBelow>
        )}
      </div>
    </>
  );
}

'use client';

import {
  hasReins,
  headingFromFacing,
  isAtStage,
  isVoid,
  questionWords,
  stageGate,
  trackKey,
  workCounts,
  workWarnings,
  type Layout,
  type LessonRecord,
  type PassRecord,
  type YardRules,
} from '@/core';
import { useEffect, useState } from 'react';
import { acknowledgeEvent, breakEvent } from '../_state/useLesson';
import { useRun } from '../_state/useRun';
import { useVersions } from '../_state/useVersions';
import { askedRide } from '@/app/ride/askedRide';
import { gatedQuestions } from '@/app/ride/gatedQuestions';
import type { RunPair, RunStage } from '../runStage';
import { AskSheet } from './AskSheet';
import { CautionGate } from './CautionGate';
import { FigurePad } from './FigurePad';
import { Judgement } from './Judgement';
import { LessonFoot } from './LessonFoot';
import { MorePad } from './MorePad';
import { NewQuestion } from '../../../_components/NewQuestion';
import { PairKeys } from './PairKeys';
import { PassesSoFar } from './PassesSoFar';
import { QuestionKeys } from './QuestionKeys';
import { StageHead } from './StageHead';
import { StageToday } from './StageToday';
import { Steering } from '@/app/ride/_components/Steering';
import { TrackPad } from './TrackPad';
import classes from './RunLesson.module.css';

type RunLessonProps = {
  lessonId: string;
  name: string;
  startsAtMs: number;
  breakEveryMin: number;
  rules: YardRules;
  pairs: RunPair[];
  stages: RunStage[];
  /** What passes were and will be ridden over, by version. */
  layouts: Record<string, Layout>;
  homeFacingDeg: number | null;
  cautions: string[];
  firstRecord: LessonRecord;
};

const TICK_MS = 15_000;

/** A lesson while it is ridden: pair by pair, pass by pass, a tap for each thing. Made for a phone and gloves. */
export function RunLesson(props: RunLessonProps) {
  const { lessonId, name, pairs, stages, rules, firstRecord } = props;
  const run = useRun(lessonId, pairs, stages, props.layouts, firstRecord);
  const { lesson, stage, index, pair, pairId, open, round, mark, ride, question, questions } = run;
  const layouts = useVersions(props.layouts, lesson.record.passes);
  const nowMs = useNow(firstRecord);
  const { record } = lesson;
  const rideOf = rideOfPass(layouts, pairs);
  const atStage = (of: string) => record.passes.filter(pass => pass.pairId === of && isAtStage(pass, stage));
  const passes = atStage(pairId);
  const asAsked = passes.filter(
    pass => question && trackKey(pass.question) === trackKey(question) && pass.question.id === question.id,
  );
  const counts = (of: string) => countsOf(props, record, of, nowMs, rideOf);
  if (record.acknowledgedAtMs === null)
    return (
      <CautionGate
        name={name}
        cautions={props.cautions}
        ready={lesson.ready}
        onRead={() => lesson.tap([acknowledgeEvent(lessonId)])}
      />
    );
  return (
    <div className={classes.run}>
      <StageHead
        lessonName={name}
        stages={stages}
        index={index}
        onStage={run.chooseStage}
        onReins={ride === null || hasReins(ride.ways)}
        gate={stage.layout ? stageGate(passes, gatedQuestions(stage.layout, questions), rules.gate) : null}
      />
      <PairKeys
        pairs={pairs}
        chosenId={pairId}
        onChoose={run.choosePair}
        ridden={of => atStage(of).filter(pass => !isVoid(pass))}
        counts={counts}
        warnings={of => workWarnings(counts(of), props.breakEveryMin, rules.limits)}
      />
      {stage.layout && (
        <>
          {stage.lacks > 0 && (
            <p className={classes.notice}>
              {stage.lacks === 1 ? 'One question' : `${stage.lacks} questions`} of this stage{' '}
              {stage.lacks === 1 ? 'goes' : 'go'} over what the layout no longer has.
            </p>
          )}
          <QuestionKeys
            questions={questions.map(one => ({ id: one.id, words: questionWords(stage.layout!, one) }))}
            chosenId={question?.id ?? null}
            onChoose={run.chooseQuestion}
          />
        </>
      )}
      {ride && question && (
        <Judgement
          stage={stage}
          ride={ride}
          passes={asAsked.filter(({ id }) => id !== open?.id)}
          nowMs={nowMs}
          onStageDown={index > 0 ? () => run.chooseStage(index - 1) : null}
          onLine={run.startLine}
        />
      )}
      {stage.layout && ride && question ? (
        <>
          <Steering
            ways={ride.ways}
            way={run.way}
            homeRad={props.homeFacingDeg === null ? null : headingFromFacing(props.homeFacingDeg)}
            headingRad={ride.headingRad}
            onSteer={run.steer}
          />
          {ride.track && (
            <TrackPad
              key={`${stage.id} ${ride.key} ${round}`}
              layoutId={stage.layoutId!}
              layout={ride.asked}
              track={ride.track}
              direction={run.way.direction}
              marks={open?.marks ?? []}
              ready={lesson.ready}
              onMark={mark}
            />
          )}
          {ride.figures.length > 0 && (
            <FigurePad figures={ride.figures} marks={open?.marks ?? []} ready={lesson.ready} onMark={mark} />
          )}
          <MorePad
            key={round}
            layout={ride.asked}
            gait={question.gait}
            faults={rules.faults}
            riderMarks={rules.riderMarks}
            marks={open?.marks ?? []}
            ready={lesson.ready}
            onMark={mark}
          />
          <AskSheet
            key={`${pairId} ${question.id}`}
            horse={pair.horse}
            question={question}
            ride={ride}
            layout={stage.layout}
            ready={lesson.ready}
            onAsk={run.askOtherwise}
          />
        </>
      ) : (
        <p className={classes.notice}>Nothing is marked in this stage: {stage.focus || 'ride it as you like'}.</p>
      )}
      {stage.layout && (
        <NewQuestion
          key={`another ${stage.id}`}
          layout={stage.layout}
          pairs={pairs}
          gait={question?.gait ?? 'course-canter'}
          ready={lesson.ready}
          onAsk={run.askNew}
        />
      )}
      <PassesSoFar passes={passes} rideOf={rideOf} />
      <StageToday key={`today ${stage.id}`} lessonId={lessonId} stage={stage} />
      <LessonFoot
        lesson={lesson}
        open={open}
        canRide={run.canRide}
        rideOf={rideOf}
        onBreak={() => lesson.tap([breakEvent(lessonId, pairId)])}
        onEnd={run.endPass}
      />
    </div>
  );
}

/** A pass with what it was over: names, judgement and work come from its own version and question. */
function rideOfPass(layouts: Readonly<Record<string, Layout>>, pairs: readonly RunPair[]) {
  return ({ layoutVersionId, question, pairId }: Pick<PassRecord, 'layoutVersionId' | 'question' | 'pairId'>) => {
    const layout = layouts[layoutVersionId];
    return layout ? askedRide(layout, question, pairs.find(({ id }) => id === pairId)?.strides ?? null) : null;
  };
}

/** What the horse of a pair has done by now, with whoever rode it, and what else it does that day. */
function countsOf(
  { pairs, startsAtMs }: RunLessonProps,
  record: LessonRecord,
  pairId: string,
  nowMs: number,
  rideOf: ReturnType<typeof rideOfPass>,
) {
  const pair = pairs.find(({ id }) => id === pairId)!;
  const riders = pairs.filter(({ horseId }) => horseId === pair.horseId).map(({ id }) => id);
  const own = (one: Pick<PassRecord, 'pairId'>) => riders.includes(one.pairId);
  return workCounts({
    passes: record.passes.filter(own),
    workOf: pass => rideOf(pass)?.work ?? null,
    breaksMs: record.breaks.filter(own).map(({ atMs }) => atMs),
    startMs: startsAtMs,
    nowMs,
    earlier: pair.earlier,
  });
}

/** The clock, a few times a minute; before the page is alive, the time of the last thing that happened. */
function useNow({ passes }: LessonRecord): number {
  const [nowMs, setNowMs] = useState(passes[passes.length - 1]?.riddenAtMs ?? 0);
  useEffect(() => {
    const tick = () => setNowMs(Date.now());
    tick();
    const timer = setInterval(tick, TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return nowMs;
}

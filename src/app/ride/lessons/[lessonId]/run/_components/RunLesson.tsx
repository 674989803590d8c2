'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  hasReins,
  headingFromFacing,
  isAtStage,
  isVoid,
  lessonOverAtMs,
  lessonState,
  recordConflicts,
  questionWords,
  stageGate,
  trackKey,
  workCounts,
  workWarnings,
  type Layout,
  type LessonRecord,
  type LessonTimes,
  type PassRecord,
  type RecordLog,
  type YardRules,
} from '@/core';
import { useEffect, useState } from 'react';
import { isItsDay } from '@/app/_server/itsDay';
import { yardTime } from '@/app/_server/yardTime';
import { newId } from '@/components/newId';
import Link from 'next/link';
import type { FirstRecord } from '../../_state/useLesson';
import type { RecordNames } from '@/app/ride/recordWords';
import { useRun } from '../_state/useRun';
import { useSetup } from '../_state/useSetup';
import { useVersions } from '../_state/useVersions';
import { askedRide } from '@/app/ride/askedRide';
import { gatedQuestions } from '@/app/ride/gatedQuestions';
import type { RunPair, RunStage } from '../runStage';
import { AskSheet } from './AskSheet';
import { CautionGate } from './CautionGate';
import { Ended } from './Ended';
import { FigurePad } from './FigurePad';
import { Judgement } from './Judgement';
import { LessonFoot } from './LessonFoot';
import { MorePad } from './MorePad';
import { NewQuestion } from '../../../_components/NewQuestion';
import { LessonToday } from './LessonToday';
import { PairsToday, type YardPair } from './PairsToday';
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
  /** Every pair of the yard: any of them may come into the lesson. */
  yardPairs: YardPair[];
  first: FirstRecord;
  /** What the lesson is ridden over and by whom, as the page has it. */
  setup: string;
  timeZone: string;
  /** The day, where the lesson is written down afterwards; null while it is ridden. */
  writtenDownFor: string | null;
};

const TICK_MS = 15_000;

/** A lesson while it is ridden: pair by pair, pass by pass, a tap for each thing. Made for a phone and gloves. */
export function RunLesson(props: RunLessonProps) {
  const { lessonId, name, stages, rules, writtenDownFor } = props;
  const { say } = useLengths();
  const changed = useSetup(props);
  const run = useRun({
    ...{ lessonId, stages, layouts: props.layouts, pairs: props.pairs, first: props.first },
    writtenDownFromMs: writtenDownFor === null ? null : props.startsAtMs,
    onSetup: changed.onSetup,
  });
  const { lesson, stage, index, pair, pairs, known, open, round, mark, ride, question, questions } = run;
  const pairId = pair?.id ?? '';
  const layouts = useVersions(props.layouts, lesson.record.passes);
  const clockMs = useNow(lesson.record);
  // What is written down afterwards is looked at as it was then: no minutes run.
  const nowMs = writtenDownFor === null ? clockMs : lastMs(lesson.record, props.startsAtMs);
  const { record } = lesson;
  const rideOf = rideOfPass(layouts, known);
  const atStage = (of: string) => record.passes.filter(pass => pass.pairId === of && isAtStage(pass, stage));
  const passes = atStage(pairId);
  const asAsked = passes.filter(
    pass => question && trackKey(pass.question) === trackKey(question) && pass.question.id === question.id,
  );
  const counts = (of: string) =>
    countsOf(
      lesson.log.reopenedAtMs ?? lesson.log.acknowledgedAtMs ?? props.startsAtMs,
      known,
      record,
      of,
      // Minutes run only while a lesson runs.
      writtenDownFor === null ? nowMs : 0,
      rideOf,
    );
  const names: RecordNames = {
    log: lesson.log,
    rideOf,
    pairOf: id => pairWords(known.find(one => one.id === id)),
    timeOf: atMs => yardTime(atMs, props.timeZone, 'HH:mm'),
  };
  const state = lessonState(timesNow(props, lesson.log, record), nowMs);
  if (writtenDownFor === null && (state === 'ended' || state === 'archived'))
    return (
      <Ended
        {...{ lessonId, name, lesson }}
        canOpen={isItsDay(props.startsAtMs, clockMs, props.timeZone)}
        overAtMs={lessonOverAtMs(timesNow(props, lesson.log, record), nowMs)}
      />
    );
  if (writtenDownFor === null && record.acknowledgedAtMs === null)
    return (
      <CautionGate
        name={name}
        cautions={props.cautions}
        ready={lesson.ready}
        onRead={() => lesson.tap([{ type: 'acknowledge', id: newId(), lessonId, atMs: Date.now() }])}
      />
    );
  return (
    <div className={classes.run}>
      {writtenDownFor !== null && (
        <p className={classes.notice} role="status">
          Written down afterwards: what you tap here was ridden on {writtenDownFor}.{' '}
          <Link href={`/ride/lessons/${lessonId}/record`}>To the record</Link>
        </p>
      )}
      {changed.notice && (
        <p className={classes.notice} role="status">
          {changed.notice}{' '}
          <button type="button" className={classes.key} onClick={changed.onRead}>
            Close
          </button>
        </p>
      )}
      <StageHead
        lessonName={name}
        stages={stages}
        index={index}
        onStage={run.chooseStage}
        onReins={ride === null || hasReins(ride.ways)}
        gate={stage.layout ? stageGate(passes, gatedQuestions(stage.layout, questions), rules.gate) : null}
      />
      {pairs.length === 0 && <p className={classes.notice}>Nobody rides in this lesson yet: add a pair below.</p>}
      <PairKeys
        pairs={pairs}
        chosenId={pairId}
        onChoose={run.choosePair}
        ridden={of => atStage(of).filter(pass => !isVoid(pass))}
        counts={counts}
        warnings={of => workWarnings(counts(of), props.breakEveryMin, rules.limits).map(say)}
        runs={writtenDownFor === null}
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
            horse={pair?.horse ?? ''}
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
      {recordConflicts(lesson.log).some(({ passId }) => passes.some(({ id }) => id === passId)) && (
        <p className={classes.notice} role="status">
          Two said different things of what was ridden here. Both are kept:{' '}
          <Link href={`/ride/lessons/${lessonId}/record`}>look at the record</Link>.
        </p>
      )}
      <PassesSoFar {...{ lessonId, passes, rideOf }} />
      <PairsToday key={`pairs ${pairId}`} {...{ lessonId, lesson, known }} chosen={pair} yardPairs={props.yardPairs} />
      <StageToday key={`today ${stage.id}`} lessonId={lessonId} stage={stage} />
      <LessonToday {...{ lessonId, lesson }} isWrittenDown={writtenDownFor !== null} />
      <LessonFoot
        {...{ lesson, open, names }}
        canRide={run.canRide}
        history={run.history}
        onBreak={run.walkBreak}
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
  startMs: number,
  pairs: readonly RunPair[],
  record: LessonRecord,
  pairId: string,
  nowMs: number,
  rideOf: ReturnType<typeof rideOfPass>,
) {
  const pair = pairs.find(({ id }) => id === pairId)!;
  const riders = pairs.filter(({ horseId }) => horseId === pair.horseId).map(({ id }) => id);
  const own = (one: Pick<PassRecord, 'pairId'>) => riders.includes(one.pairId);
  return workCounts({
    ...{ startMs, nowMs, earlier: pair.earlier },
    passes: record.passes.filter(own),
    workOf: pass => rideOf(pass)?.work ?? null,
    breaksMs: record.breaks.filter(own).map(({ atMs }) => atMs),
  });
}

const pairWords = (pair: RunPair | undefined) => (pair ? `${pair.horse} with ${pair.rider}` : 'a pair');

/** When things happened in the lesson, with what this device knows and the server may not. */
function timesNow({ startsAtMs, stages }: RunLessonProps, log: RecordLog, { passes }: LessonRecord): LessonTimes {
  const { acknowledgedAtMs, endedAtMs, reopenedAtMs } = log;
  const lastRiddenAtMs = passes[passes.length - 1]?.riddenAtMs ?? null;
  const plannedMin = stages.reduce((sum, { minutes }) => sum + minutes, 0);
  return { startsAtMs, plannedMin, archived: false, acknowledgedAtMs, endedAtMs, reopenedAtMs, lastRiddenAtMs };
}

/** When the last pass was ridden. */
const lastMs = ({ passes }: LessonRecord, startsAtMs: number) => passes[passes.length - 1]?.riddenAtMs ?? startsAtMs;

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

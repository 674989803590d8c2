'use client';

import {
  isVoid,
  stageGate,
  workCounts,
  workWarnings,
  type LessonRecord,
  type PassRecord,
  type PassWork,
  type YardRules,
} from '@/core';
import { useEffect, useState } from 'react';
import { acknowledgeEvent, breakEvent } from '../_state/useLesson';
import { useRun } from '../_state/useRun';
import type { RunPair, RunStage } from '../runStage';
import { CautionGate } from './CautionGate';
import { FigurePad } from './FigurePad';
import { Judgement } from './Judgement';
import { LessonFoot } from './LessonFoot';
import { MorePad } from './MorePad';
import { PairKeys } from './PairKeys';
import { PassesSoFar } from './PassesSoFar';
import { StageHead } from './StageHead';
import { StageToday } from './StageToday';
import { Steering } from './Steering';
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
  /** The work of one pass over each layout version. */
  works: Record<string, PassWork>;
  firstRecord: LessonRecord;
};

const TICK_MS = 15_000;

/** A lesson while it is ridden: pair by pair, pass by pass, a tap for each thing. Made for a phone and gloves. */
export function RunLesson(props: RunLessonProps) {
  const { lessonId, name, pairs, stages, rules, firstRecord } = props;
  const run = useRun(lessonId, pairs, stages, firstRecord);
  const { lesson, stage, index, pairId, open, round, mark } = run;
  const nowMs = useNow(firstRecord);
  const { record } = lesson;
  const asked = stage.ride?.track?.legs.map(leg => leg.asked) ?? [];
  const nameOf = (place: number) => stage.ride?.track?.stops[place - 1]?.item ?? String(place);
  const atStage = (pair: string) => record.passes.filter(pass => pass.pairId === pair && pass.stage === stage.name);
  const passes = atStage(pairId);
  const counts = (pair: string) => countsOf(props, record, pair, nowMs);
  if (record.acknowledgedAtMs === null)
    return (
      <CautionGate
        name={name}
        cautions={[...new Set(stages.flatMap(({ ride }) => ride?.cautions ?? []))]}
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
        gate={stage.versionId ? stageGate(passes, rules.gate, asked) : null}
      />
      <PairKeys
        pairs={pairs}
        chosenId={pairId}
        onChoose={run.choosePair}
        ridden={pair => atStage(pair).filter(pass => !isVoid(pass))}
        counts={counts}
        warnings={pair => workWarnings(counts(pair), props.breakEveryMin, rules.limits)}
      />
      <Judgement
        stage={stage}
        passes={passes.filter(({ id }) => id !== open?.id)}
        asked={asked}
        nameOf={nameOf}
        nowMs={nowMs}
        onStageDown={index > 0 ? () => run.chooseStage(index - 1) : null}
        onLine={run.startLine}
      />
      {stage.versionId && stage.ride ? (
        <>
          <Steering way={run.way} asDrawnHome={stage.ride.asDrawnHome} onSteer={run.steer} />
          {stage.ride.track && (
            <TrackPad
              key={`${stage.id} ${round}`}
              layoutId={stage.layoutId!}
              layout={stage.ride.layout}
              track={stage.ride.track}
              marks={open?.marks ?? []}
              ready={lesson.ready}
              horse={pairs.find(({ id }) => id === pairId)!.horse}
              onMark={mark}
            />
          )}
          {stage.ride.figures.length > 0 && (
            <FigurePad figures={stage.ride.figures} marks={open?.marks ?? []} ready={lesson.ready} onMark={mark} />
          )}
          <MorePad
            key={round}
            layout={stage.ride.layout}
            faults={rules.faults}
            riderMarks={rules.riderMarks}
            marks={open?.marks ?? []}
            ready={lesson.ready}
            onMark={mark}
          />
          <PassesSoFar passes={passes} nameOf={nameOf} />
        </>
      ) : (
        <p className={classes.notice}>Nothing is marked in this stage: {stage.focus || 'ride it as you like'}.</p>
      )}
      <StageToday key={stage.id} lessonId={lessonId} stage={stage} />
      <LessonFoot
        lesson={lesson}
        open={open}
        canRide={stage.versionId !== null}
        nameOf={nameOf}
        onBreak={() => lesson.tap([breakEvent(lessonId, pairId)])}
        onEnd={run.endPass}
      />
    </div>
  );
}

/** What a pair's horse has done by now, and earlier today. */
function countsOf({ pairs, works, startsAtMs }: RunLessonProps, record: LessonRecord, pairId: string, nowMs: number) {
  const own = (one: Pick<PassRecord, 'pairId'>) => one.pairId === pairId;
  return workCounts({
    passes: record.passes.filter(own),
    workOf: version => works[version] ?? null,
    breaksMs: record.breaks.filter(own).map(({ atMs }) => atMs),
    startMs: startsAtMs,
    nowMs,
    earlier: pairs.find(({ id }) => id === pairId)?.earlier,
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

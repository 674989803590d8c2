'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  headingFromFacing,
  isAtStage,
  lessonOverAtMs,
  lessonState,
  spotsTogether,
  trackKey,
  workCounts,
  workWarnings,
  type Layout,
  type LessonRecord,
  type LessonTimes,
  type PassRecord,
  type RecordLog,
} from '@/core';
import { useEffect, useState } from 'react';
import { isItsDay } from '@/app/_server/itsDay';
import { dayInZone, timeInZone } from '@/components/inZone';
import { newId } from '@/components/newId';
import { useKeptAt } from '@/components/offline/useKeptAt';
import type { RecordNames } from '@/app/ride/recordWords';
import { useRun } from '../_state/useRun';
import { useSetup } from '../_state/useSetup';
import { useVersions } from '../_state/useVersions';
import { askedRide } from '@/app/ride/askedRide';
import type { RunPair } from '../runStage';
import { CautionGate } from './CautionGate';
import { Ended } from './Ended';
import { LessonPad } from './LessonPad';
import { OtherDay } from './OtherDay';
import type { RunLessonProps } from './runProps';

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
  const { lesson, stage, pair, known, question } = run;
  const pairId = pair?.id ?? '';
  const layouts = useVersions(props.layouts, lesson.record.passes);
  const clockMs = useNow(lesson.record);
  // A page that the device kept was made on another day, perhaps: then its own clock tells.
  const isOnItsDay = useKeptAt() === null ? props.isItsDay : isItsDay(props.startsAtMs, clockMs, props.timeZone);
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
    timeOf: atMs => timeInZone(atMs, props.timeZone),
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
  // What was tapped here and waits is of its record too: a lesson that was begun is ridden, whatever the day.
  if (writtenDownFor === null && state === 'planned' && !isOnItsDay)
    return (
      <OtherDay
        {...{ lessonId, name, isPast: props.startsAtMs < Math.max(clockMs, props.madeAtMs) }}
        day={dayInZone(props.startsAtMs, props.timeZone)}
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
    <LessonPad
      {...props}
      {...{ run, changed, passes, asAsked, atStage, counts, names, rideOf, nowMs }}
      places={placesNow(run.layout, layouts, record)}
      warnings={of => workWarnings(counts(of), props.breakEveryMin, rules.limits).map(say)}
      homeRad={props.homeFacingDeg === null ? null : headingFromFacing(props.homeFacingDeg)}
    />
  );
}

/** A pass with what it was over: names, judgement and work come from its own version and question. */
function rideOfPass(layouts: Readonly<Record<string, Layout>>, pairs: readonly RunPair[]) {
  return ({ layoutVersionId, question, pairId }: Pick<PassRecord, 'layoutVersionId' | 'question' | 'pairId'>) => {
    const layout = layouts[layoutVersionId];
    return layout ? askedRide(layout, question, pairs.find(({ id }) => id === pairId)?.strides ?? null) : null;
  };
}

/** Where trouble came back today, on the sand that is ridden on now. */
function placesNow(layout: Layout | null, layouts: Readonly<Record<string, Layout>>, { passes }: LessonRecord) {
  if (!layout) return [];
  const isHere = ({ layoutVersionId }: PassRecord) => {
    const arena = layouts[layoutVersionId]?.arena;
    return arena?.widthM === layout.arena.widthM && arena.lengthM === layout.arena.lengthM;
  };
  return spotsTogether(passes.filter(isHere));
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

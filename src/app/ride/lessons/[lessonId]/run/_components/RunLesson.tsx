'use client';

import { newId } from '@/components/newId';

import {
  isVoid,
  markWords,
  repeatedFaults,
  stageGate,
  USUAL_GATE,
  USUAL_WORK_LIMITS,
  workCounts,
  workWarnings,
  type LessonRecord,
  type PassRecord,
  type PassWork,
  type Rein,
  type RideDirection,
  type TappedMark,
} from '@/core';
import { useEffect, useState } from 'react';
import { acknowledgeEvent, breakEvent, markEvent, passEvent, useLesson } from '../_state/useLesson';
import type { RunPair, RunStage } from '../runStage';
import { CautionGate } from './CautionGate';
import { Keys } from './Keys';
import { LessonFoot } from './LessonFoot';
import { MorePad } from './MorePad';
import { PairKeys } from './PairKeys';
import { StageHead } from './StageHead';
import { TrackPad } from './TrackPad';
import { FigurePad } from './FigurePad';
import classes from './RunLesson.module.css';

type RunLessonProps = {
  lessonId: string;
  name: string;
  startsAtMs: number;
  breakEveryMin: number;
  pairs: RunPair[];
  stages: RunStage[];
  /** The work of one pass over each layout version. */
  works: Record<string, PassWork>;
  firstRecord: LessonRecord;
};

const TICK_MS = 15_000;

/** A lesson while it is ridden: pair by pair, pass by pass, a tap for each thing. Made for a phone and gloves. */
export function RunLesson(props: RunLessonProps) {
  const { lessonId, name, pairs, stages, works, firstRecord } = props;
  const lesson = useLesson(lessonId, firstRecord);
  const [stageIndex, setStageIndex] = useState(() => stageBegun(stages, firstRecord));
  const [pairId, setPairId] = useState(pairs[0]!.id);
  const [way, setWay] = useState<{ rein: Rein; direction: RideDirection }>({ rein: 'left', direction: 'as-drawn' });
  const [openId, setOpenId] = useState<string | null>(null);
  /** Which pass is being marked, counted here: another one begins at its first fence. */
  const [round, setRound] = useState(0);
  const toNextPass = () => {
    setOpenId(null);
    setRound(round + 1);
  };
  const nowMs = useNow(firstRecord);
  const stage = stages[Math.min(stageIndex, stages.length - 1)]!;
  const { record } = lesson;
  const open = record.passes.find(({ id }) => id === openId) ?? null;
  const asked = stage.ride?.track?.legs.map(leg => leg.asked) ?? [];
  const passes = record.passes.filter(pass => pass.pairId === pairId && pass.stage === stage.name);
  const gate = stageGate(passes, { ...USUAL_GATE, bothReins: true }, asked);
  const nameOf = (place: number) => stage.ride?.track?.stops[place - 1]?.item ?? String(place);
  const startPass = () => passEvent({ pairId, layoutVersionId: stage.versionId!, lessonId, stage: stage.name, ...way });
  const mark = (tapped: TappedMark) => {
    if (!stage.versionId) return;
    const begun = open ? null : startPass();
    const passId = open?.id ?? begun!.pass.id;
    lesson.tap([...(begun ? [begun] : []), markEvent(passId, tapped)]);
    setOpenId(passId);
  };
  const endPass = () => {
    if (!open && stage.versionId) lesson.tap([startPass()]);
    toNextPass();
  };
  const steer = (change: Partial<typeof way>) => {
    const next = { ...way, ...change };
    setWay(next);
    // A pass that is open goes the way that is chosen.
    if (open) lesson.tap([{ type: 'amend', id: newId(), passId: open.id, ...next }]);
  };
  const choosePair = (id: string) => {
    setPairId(id);
    toNextPass();
  };
  const chooseStage = (index: number) => {
    setStageIndex(index);
    toNextPass();
  };
  const counts = (pair: string) =>
    workCounts(
      record.passes.filter(pass => pass.pairId === pair),
      version => works[version] ?? null,
      record.breaks.filter(walked => walked.pairId === pair).map(({ atMs }) => atMs),
      props.startsAtMs,
      nowMs,
    );
  const limits = { ...USUAL_WORK_LIMITS, breakEveryMin: props.breakEveryMin };
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
        index={stageIndex}
        onStage={chooseStage}
        gate={stage.versionId ? gate : null}
      />
      <PairKeys
        pairs={pairs}
        chosenId={pairId}
        onChoose={choosePair}
        ridden={pair =>
          record.passes.filter(pass => pass.pairId === pair && pass.stage === stage.name && !isVoid(pass))
        }
        counts={counts}
        warnings={pair => workWarnings(counts(pair), limits)}
      />
      {repeatedFaults(passes, asked).map(({ what, place, times, suggestion }) => (
        <p key={`${what} ${place}`} className={classes.notice} role="status">
          <strong>
            {what}
            {place === null ? '' : ` at ${nameOf(place)}`}, {times} times.
          </strong>{' '}
          {suggestion} After a failure: {stage.policy}.
        </p>
      ))}
      {stage.versionId && stage.ride ? (
        <>
          <Steering way={way} asDrawnHome={stage.ride.asDrawnHome} open={open} onSteer={steer} />
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
            marks={open?.marks ?? []}
            ready={lesson.ready}
            onMark={mark}
          />
          <PassesSoFar passes={passes} nameOf={nameOf} />
        </>
      ) : (
        <p className={classes.notice}>Nothing is marked in this stage: {stage.focus || 'ride it as you like'}.</p>
      )}
      <LessonFoot
        lesson={lesson}
        open={open}
        canRide={stage.versionId !== null}
        nameOf={nameOf}
        onBreak={() => lesson.tap([breakEvent(lessonId, pairId)])}
        onEnd={endPass}
      />
    </div>
  );
}

type SteeringProps = {
  way: { rein: Rein; direction: RideDirection };
  asDrawnHome: boolean | null;
  open: PassRecord | null;
  onSteer: (change: Partial<{ rein: Rein; direction: RideDirection }>) => void;
};

function Steering({ way, asDrawnHome, open, onSteer }: SteeringProps) {
  const { rein, direction } = open ?? way;
  const homeWords =
    asDrawnHome === null
      ? ['', '']
      : asDrawnHome
        ? [', towards home', ', from home']
        : [', from home', ', towards home'];
  return (
    <>
      <Keys
        label="Rein"
        value={rein}
        options={[
          { value: 'left', label: 'Left rein' },
          { value: 'right', label: 'Right rein' },
        ]}
        onChoose={value => onSteer({ rein: value })}
      />
      <Keys
        label="Direction"
        value={direction}
        options={[
          { value: 'as-drawn', label: `As drawn${homeWords[0]}` },
          { value: 'other-way', label: `Other way${homeWords[1]}` },
        ]}
        onChoose={value => onSteer({ direction: value })}
      />
    </>
  );
}

function PassesSoFar({ passes, nameOf }: { passes: readonly PassRecord[]; nameOf: (place: number) => string }) {
  if (passes.length === 0) return null;
  return (
    <section aria-label="Ridden at this stage">
      <h2>Ridden at this stage</h2>
      <ol className={classes.passes}>
        {passes.map(pass => (
          <li key={pass.id}>
            {pass.rein} rein:{' '}
            {pass.marks.length === 0 ? 'nothing to mark' : pass.marks.map(one => markWords(one, nameOf)).join(', ')}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** The last stage that was begun, or the first. */
function stageBegun(stages: readonly RunStage[], { passes }: LessonRecord): number {
  const last = passes[passes.length - 1];
  return Math.max(
    0,
    stages.findIndex(({ name }) => name === last?.stage),
  );
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

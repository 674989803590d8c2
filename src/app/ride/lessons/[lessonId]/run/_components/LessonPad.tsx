'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { Doubt, doubtfulCount } from '@/app/ride/_components/pad/Doubt';
import classes from '@/app/ride/_components/pad/Pad.module.css';
import { PadFoot } from '@/app/ride/_components/pad/PadFoot';
import { PadKeys } from '@/app/ride/_components/pad/PadKeys';
import { PadSand } from '@/app/ride/_components/pad/PadSand';
import { otherWay } from '@/app/ride/_components/pad/ReinKey';
import { rideSand } from '@/app/ride/_components/pad/rideSand';
import { useEarlyTaps } from '@/app/ride/_state/pad/useEarlyTaps';
import { useHand } from '@/app/ride/_state/pad/useHand';
import { usePad } from '@/app/ride/_state/pad/usePad';
import { useFootLetters } from '@/app/ride/_state/pad/useFootLetters';
import { useWakeLock } from '@/app/ride/_state/pad/useWakeLock';
import { isOfGaited } from '@/app/ride/askedRide';
import { gatedQuestions } from '@/app/ride/gatedQuestions';
import { tapWords } from '@/app/ride/recordWords';
import { useWhoSays } from '@/components/who/whoSays';
import {
  isVoid,
  recordConflicts,
  stageGate,
  placeWords,
  type Arena,
  type SpotsTogether,
  type Tap,
  type TappedMark,
} from '@/core';
import Link from 'next/link';
import { useState } from 'react';
import { endLesson } from '../endLesson';
import { ALL_RODE, isRiddenByAll, judgementLines, type JudgementLine as Line } from '../judgementLine';
import { useKeptTaps } from '../_state/useKeptTaps';
import { JudgementLine } from './JudgementLine';
import { LessonSheets, type Opened } from './LessonSheets';
import { LimitReached } from './LimitReached';
import { PairStrip } from './PairStrip';
import { StageLine } from './StageLine';
import type { LessonPadProps } from './runProps';

/** A course has so many fences that it is called; shorter lines are called from the sheet. */
const CALLED_STOPS = 5;

/** The lesson on one screen: who rides what, the sand, the keys, and the foot. Nothing of a usual pass lies below the edge. */
export function LessonPad(props: LessonPadProps) {
  const say = useSay();
  const { run, passes, rules, stages, names, lessonId } = props;
  const { lesson, stage, index, pair, pairs, open, round, ride, question, questions, way } = run;
  const [opened, setOpened] = useState<Opened>(null);
  const [closed, setClosed] = useState<ReadonlySet<string>>(new Set());
  const [sure, setSure] = useState<ReadonlySet<string>>(new Set());
  const me = useWhoSays();
  const hand = useHand();
  useWakeLock();
  const layout = run.layout;
  const sand = layout && run.asked ? rideSand(layout, run.asked, way.direction) : null;
  const marks = open?.marks ?? [];
  const passKey = `${pair?.id ?? ''} ${stage.id} ${question?.id ?? ''} ${round}`;
  const pad = usePad({
    ...{ steps: sand?.steps ?? [], track: ride?.track ?? null, marks, passKey, onUnmark: run.unmark },
    ready: lesson.ready,
    onMarks: said => run.mark(...said),
  });
  const kept = useKeptTaps({ lessonId, run, pad });
  const early = useEarlyTaps(lesson.ready && kept.hasLooked);
  const next = stages[index + 1];
  const gate = layout && stage.layout ? stageGate(passes, gatedQuestions(stage.layout, questions), rules.gate) : null;
  const earlier = props.asAsked.filter(({ id }) => id !== open?.id);
  const judged = ride
    ? judgementLines({
        ...{ stage, ride, passes: earlier, nowMs: props.nowMs, gate, nextStage: next?.name ?? null },
      })
    : [];
  const isOver =
    props.writtenDownFor === null &&
    isRiddenByAll({ isLast: next === undefined, ridden: pairs.map(({ id }) => props.atStage(id)) });
  const told = [...(layout ? placeLines(props.places, layout.arena) : []), ...judged, ...(isOver ? [ALL_RODE] : [])];
  const line = told.find(({ words, reason }) => !closed.has(`${passKeyOf(pair?.id, stage.id)} ${words} ${reason}`));
  const doubt = ride?.track ? doubtfulCount(ride.track, marks, sure) : null;
  /** What was counted is said before anything else begins. */
  const first =
    <Args extends unknown[]>(act: (...args: Args) => void) =>
    (...args: Args) => {
      const counted = pad.pending();
      if (counted.length > 0) run.mark(...counted);
      pad.clear();
      act(...args);
    };
  const done = () => {
    run.endPass(pad.pending());
    pad.clear();
  };
  const [undo, redo] = [run.history.undo, run.history.redo].map(taps => taps[taps.length - 1]);
  const undoLast = () => (pad.run ? pad.untap() : undo && lesson.reverse(undo));
  const pairBeside = (by: 1 | -1) => {
    const at = pairs.findIndex(({ id }) => id === pair?.id);
    return pairs.length > 1 ? (pairs[(at + by + pairs.length) % pairs.length] ?? null) : null;
  };
  const nextPair = (by: 1 | -1) => {
    const other = pairBeside(by);
    if (other) first(run.choosePair)(other.id);
  };
  const following = pairBeside(1);
  const then = following && {
    horse: following.horse,
    onDone: () => {
      done();
      run.choosePair(following.id);
    },
  };
  useFootLetters(opened === null, {
    onDone: done,
    onUndo: undoLast,
    onNextPair: () => nextPair(1),
    onRein: () => ride && run.steer(otherWay(ride.ways, way)),
  });
  const mark = (said: TappedMark) => run.mark(said);
  const notice = noticeOf(props);
  return (
    <div className={classes.pad} data-whole-screen data-hand={hand} {...early}>
      <StageLine
        {...props}
        onOpen={() => setOpened('day')}
        onCall={(ride?.track?.stops.length ?? 0) >= CALLED_STOPS ? () => setOpened('call') : null}
      />
      <PairStrip
        {...{ pairs, counts: props.counts, warnings: props.warnings }}
        chosenId={pair?.id ?? ''}
        onChoose={first(run.choosePair)}
        ridden={of => props.atStage(of).filter(pass => !isVoid(pass))}
        runs={props.writtenDownFor === null}
      />
      <div className={classes.words}>
        {notice ??
          (doubt && ride?.track ? (
            <Doubt
              {...{ track: ride.track, marks, sure, onMark: mark }}
              onSure={id => setSure(new Set([...sure, id]))}
            />
          ) : line && ride && open === null && pad.run === null ? (
            <JudgementLine
              {...{ line, stage, ride }}
              onStageDown={index > 0 ? () => first(run.chooseStage)(index - 1) : null}
              onNextStage={() => first(run.chooseStage)(index + 1)}
              onLine={first(run.startLine)}
              onEnd={() => endLesson(lesson, lessonId)}
              onClose={() =>
                setClosed(new Set([...closed, `${passKeyOf(pair?.id, stage.id)} ${line.words} ${line.reason}`]))
              }
            />
          ) : null)}
      </div>
      {sand && ride && question ? (
        <PadSand sand={sand} pad={pad} onMark={mark} onSwipe={pairs.length > 1 ? nextPair : null} />
      ) : (
        <div className={classes.nothing}>
          <p>
            {pairs.length === 0
              ? 'Nobody rides in this lesson yet: add a pair under the stage above.'
              : say(`Nothing is marked in this stage: ${stage.focus || 'ride it as you like'}.`)}
          </p>
          {pairs.length > 0 && next && (
            <button type="button" className={classes.onward} onClick={() => first(run.chooseStage)(index + 1)}>
              On to “{next.name}”
            </button>
          )}
        </div>
      )}
      {pair && (
        <LimitReached
          key={pair.id}
          {...{ lessonId, pairId: pair.id, horse: pair.horse, warnings: props.warnings(pair.id) }}
        />
      )}
      {sand && ride && question ? (
        <PadKeys
          pad={pad}
          gait={question.gait}
          isGaited={isOfGaited(ride)}
          backwards={way.direction === 'other-way'}
          onMore={() => setOpened('more')}
          listens={opened === null}
          rider={stage.riderMarks}
        />
      ) : (
        <div />
      )}
      <PadFoot
        {...{ ready: lesson.ready, waits: lesson.waits, run: pad.run, canRide: run.canRide }}
        undo={undo ? `${say(tapWords(names, undo))}${ofWhom(undo, me)}` : null}
        redo={redo ? say(tapWords(names, redo)) : null}
        onUndo={undoLast}
        onRedo={() => redo && lesson.reverse(redo)}
        onBreak={run.walkBreak}
        marked={open ? open.marks.length : null}
        onDone={done}
        then={then}
      />
      <LessonSheets {...props} {...{ pad, saidFirst: first, opened, ride }} onOpen={setOpened} />
    </div>
  );
}

/** Places where trouble came back, each in a line. */
function placeLines(places: readonly SpotsTogether[], arena: Arena): Line[] {
  return places.map(({ at, passes, pairs }) => ({
    words: `Trouble ${placeWords(arena, at)}: look at the ground there.`,
    reason: `${passes} times today, by ${pairs === 1 ? 'one pair' : `${pairs} pairs`}`,
    answer: null,
  }));
}

/** What is closed is closed for this pair at this stage. */
const passKeyOf = (pairId: string | undefined, stageId: string) => `${pairId ?? ''} ${stageId}`;

/** What has to be read before anything else, in one line. */
function noticeOf({ run, changed, passes, lessonId, writtenDownFor }: LessonPadProps) {
  const { stage, lesson } = run;
  if (changed.notice)
    return (
      <div className={classes.word} role="status">
        <p>{changed.notice}</p>
        <button type="button" className={classes.close} aria-label="Close" onClick={changed.onRead}>
          ×
        </button>
      </div>
    );
  if (stage.lacks > 0)
    return (
      <p className={classes.word} role="status">
        {stage.lacks === 1 ? 'One question' : `${stage.lacks} questions`} of this stage{' '}
        {stage.lacks === 1 ? 'goes' : 'go'} over what the layout no longer has.
      </p>
    );
  if (recordConflicts(lesson.log).some(({ passId }) => passes.some(({ id }) => id === passId)))
    return (
      <p className={classes.word} role="status">
        Two said different things of what was ridden here. Both are kept:{' '}
        <Link href={`/ride/lessons/${lessonId}/record`}>look at the record</Link>.
      </p>
    );
  if (writtenDownFor !== null)
    return (
      <p className={classes.word} role="status">
        Written down afterwards: ridden on {writtenDownFor}.{' '}
        <Link href={`/ride/lessons/${lessonId}/record`}>To the record</Link>
      </p>
    );
  return null;
}

/** Whose tap it was, where it was not this device's. */
function ofWhom({ acts }: Tap, me: string | null): string {
  const by = acts[0]?.by ?? null;
  return by === null || me === null || by === me ? '' : `, tapped by ${by}`;
}

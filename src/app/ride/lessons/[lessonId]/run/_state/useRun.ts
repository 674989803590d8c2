import { newId } from '@/components/newId';
import {
  askedOfAll,
  nearestWay,
  questionsNow,
  type Layout,
  type LessonRecord,
  type NewlyAsked,
  type PassRecord,
  type Question,
  type RideWay,
  type TappedMark,
} from '@/core';
import { useState } from 'react';
import { askedRide } from '@/app/ride/askedRide';
import type { RunPair, RunStage } from '../runStage';
import { askEvent, markEvent, passEvent, useLesson } from './useLesson';

/** Who rides which question of which stage how, which pass is being marked, and what taps do to it. */
export function useRun(
  lessonId: string,
  pairs: readonly RunPair[],
  stages: readonly RunStage[],
  layouts: Readonly<Record<string, Layout>>,
  first: LessonRecord,
) {
  const lesson = useLesson(lessonId, first);
  const [stageIndex, setStageIndex] = useState(() => stageBegun(stages, first));
  const [pairId, setPairId] = useState(pairs[0]!.id);
  const [questionWish, setQuestionWish] = useState<string | null>(null);
  const [wish, setWish] = useState<RideWay>({ rein: 'left', direction: 'as-drawn' });
  const [openId, setOpenId] = useState<string | null>(null);
  /** Which pass is being marked, counted here: another one begins at its first fence. */
  const [round, setRound] = useState(0);
  const toNextPass = () => {
    setOpenId(null);
    setRound(round + 1);
  };
  const index = Math.min(stageIndex, stages.length - 1);
  const stage = stages[index]!;
  const pair = pairs.find(({ id }) => id === pairId) ?? pairs[0]!;
  const questions = questionsNow(stage.questions, lesson.record.asks, stage.id, pair.id);
  const question = questions.find(({ id }) => id === questionWish) ?? questions[0] ?? null;
  const open: PassRecord | null = lesson.record.passes.find(({ id }) => id === openId) ?? null;
  // An open pass is marked by what it was asked, over what it was begun over.
  const [layout, asked] = open
    ? [layouts[open.layoutVersionId] ?? stage.layout, open.question]
    : [stage.layout, question];
  const ride = layout && asked ? askedRide(layout, asked, pair.strides) : null;
  const way: RideWay = open ?? (ride ? nearestWay(ride.ways, wish) : wish);
  const startPass = () =>
    passEvent({
      ...{ pairId: pair.id, layoutVersionId: stage.versionId!, lessonId, stageId: stage.id, stage: stage.name },
      ...{ question: question!, rein: way.rein, direction: way.direction },
    });
  const say = (said: readonly NewlyAsked[], chosenId: string) => {
    lesson.tap(said.map(one => askEvent({ lessonId, stageId: stage.id, ...one })));
    setQuestionWish(chosenId);
    toNextPass();
  };
  const canRide = stage.versionId !== null && question !== null && ride !== null;
  const mark = (tapped: TappedMark) => {
    if (!canRide) return;
    const begun = open ? null : startPass();
    const passId = open?.id ?? begun!.pass.id;
    lesson.tap([...(begun ? [begun] : []), markEvent(passId, tapped)]);
    setOpenId(passId);
  };
  return {
    ...{ lesson, stage, index, pair, pairId: pair.id, questions, question, ride, canRide, open, round, mark, way },
    endPass: () => {
      if (!open && canRide) lesson.tap([startPass()]);
      toNextPass();
    },
    /** Another pass, over one line of the track only. */
    startLine: (from: number, to: number) => {
      if (!canRide) return;
      const begun = startPass();
      lesson.tap([begun, markEvent(begun.pass.id, { kind: 'line', from, to })]);
      setOpenId(begun.pass.id);
      setRound(round + 1);
    },
    steer: (chosen: RideWay) => {
      setWish(chosen);
      // A pass that is open goes the way that is chosen.
      if (open) lesson.tap([{ type: 'amend', id: newId(), passId: open.id, ...chosen }]);
    },
    chooseQuestion: (id: string) => {
      setQuestionWish(id);
      toNextPass();
    },
    /** Asks a new question at this stage, of all. */
    askNew: (next: Question) => say([{ pairId: null, question: next }], next.id),
    /** Asks the chosen question otherwise: of this pair, or of all, where every pair keeps what is its own of it. */
    askOtherwise: (change: (question: Question) => Question | null, ofAll: boolean) => {
      const own = question && change(question);
      if (!own) return;
      const asked = { ...stage, asks: lesson.record.asks, pairIds: pairs.map(({ id }) => id) };
      say(ofAll ? askedOfAll(asked, question.id, change) : [{ pairId: pair.id, question: own }], own.id);
    },
    choosePair: (id: string) => {
      setPairId(id);
      toNextPass();
    },
    chooseStage: (chosen: number) => {
      setStageIndex(chosen);
      setQuestionWish(null);
      toNextPass();
    },
  };
}

export type Run = ReturnType<typeof useRun>;

/** The last stage that was begun, or the first. */
function stageBegun(stages: readonly RunStage[], { passes }: LessonRecord): number {
  const last = passes[passes.length - 1];
  return Math.max(
    0,
    stages.findIndex(({ id }) => id === last?.stageId),
  );
}

import { newId } from '@/components/newId';
import {
  amend,
  askedOfAll,
  nearestWay,
  questionsNow,
  sayMark,
  tapHistory,
  writtenDownAtMs,
  type Layout,
  type LessonRecord,
  type NewlyAsked,
  type PassRecord,
  type Question,
  type RecordEvent,
  type RideWay,
  type Saying,
  type TappedMark,
} from '@/core';
import { useState } from 'react';
import { askedRide } from '@/app/ride/askedRide';
import { saying } from '@/app/ride/saying';
import { useLesson, type FirstRecord } from '../../_state/useLesson';
import { pairsNow } from '../pairsNow';
import type { KeptTaps } from './keptTaps';
import type { RunPair, RunStage } from '../runStage';

type RunSetting = {
  lessonId: string;
  /** The pairs that are planned, and those that have a record here. */
  pairs: readonly RunPair[];
  stages: readonly RunStage[];
  layouts: Readonly<Record<string, Layout>>;
  first: FirstRecord;
  /** When the lesson began, where it is written down afterwards: its passes take its day and times; null while it runs. */
  writtenDownFromMs: number | null;
  onSetup: (setup: string) => void;
};

/** Who rides which question of which stage how, which pass is being marked, and what taps do to it. */
export function useRun({ lessonId, stages, layouts, first, writtenDownFromMs, ...setting }: RunSetting) {
  const lesson = useLesson(lessonId, first, setting.onSetup);
  const { log, record } = lesson;
  const known = pairsNow(setting.pairs, log);
  const pairs = known.filter(({ rides }) => rides);
  const [stageIndex, setStageIndex] = useState(() => stageBegun(stages, record));
  const [pairId, setPairId] = useState(pairs[0]?.id ?? '');
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
  const pair = pairs.find(({ id }) => id === pairId) ?? pairs[0] ?? null;
  const questions = questionsNow(stage.questions, record.asks, stage.id, pair?.id ?? '');
  const question = questions.find(({ id }) => id === questionWish) ?? questions[0] ?? null;
  const open: PassRecord | null = record.passes.find(({ id }) => id === openId) ?? null;
  // An open pass is marked by what it was asked, over what it was begun over.
  const [layout, asked] = open
    ? [layouts[open.layoutVersionId] ?? stage.layout, open.question]
    : [stage.layout, question];
  const ride = layout && asked && pair ? askedRide(layout, asked, pair.strides) : null;
  const way: RideWay = open ?? (ride ? nearestWay(ride.ways, wish) : wish);
  const startPass = (own: Saying): RecordEvent & { type: 'pass' } => ({
    ...{ type: 'pass', id: own.newId(), by: own.by },
    ...(writtenDownFromMs === null ? {} : { saidAtMs: own.atMs }),
    pass: {
      ...{ id: own.newId(), pairId: pair!.id, layoutVersionId: stage.versionId!, lessonId },
      ...{ stageId: stage.id, stage: stage.name, question: question!, rein: way.rein, direction: way.direction },
      riddenAtMs:
        writtenDownFromMs === null
          ? own.atMs
          : Math.min(own.atMs, writtenDownAtMs({ stages: [...stages] }, writtenDownFromMs, stage.id, record.passes)),
    },
  });
  const say = (said: readonly NewlyAsked[], chosenId: string) => {
    const { atMs, by } = saying();
    lesson.tap(said.map(one => ({ type: 'ask', id: newId(), lessonId, stageId: stage.id, ...one, atMs, by })));
    setQuestionWish(chosenId);
    toNextPass();
  };
  /** Strides that were counted when the page was closed are gone on with, if what they are of is still there. */
  const bringBack = (taps: KeptTaps): boolean => {
    const at = stages.findIndex(({ id }) => id === taps.stageId);
    if (at < 0 || !pairs.some(({ id }) => id === taps.pairId)) return false;
    setStageIndex(at);
    setPairId(taps.pairId);
    setQuestionWish(taps.questionId);
    setOpenId(taps.openId);
    return true;
  };
  const canRide = stage.versionId !== null && question !== null && ride !== null;
  /** Marks of one tap, each to be undone by itself; the first of a pass begins it. */
  const sayMarks = (said: readonly TappedMark[]): string | null => {
    if (!canRide || said.length === 0) return null;
    const own = saying();
    const begun = open ? null : startPass(own);
    const passId = open?.id ?? begun!.pass.id;
    const marks = said.map((one, index) => sayMark(log, passId, one, { ...own, atMs: own.atMs + index }));
    lesson.tap([...(begun ? [begun] : []), ...marks]);
    return passId;
  };
  const mark = (...said: TappedMark[]) => {
    const passId = sayMarks(said);
    if (passId !== null) setOpenId(passId);
  };
  /** A mark of the open pass taken back by itself. */
  const unmark = (markId: string) => {
    const value = { on: 'mark', of: markId, what: 'counts', was: true, to: false } as const;
    lesson.tap([amend(log, lessonId, value, saying())]);
  };
  return {
    ...{
      lesson,
      stage,
      index,
      pair,
      pairs,
      known,
      questions,
      question,
      ride,
      canRide,
      open,
      round,
      mark,
      unmark,
      way,
      layout,
      asked,
      bringBack,
    },
    /** What was tapped of this pair at this stage, and can be taken back or done again. */
    history: tapHistory(log, { pairId: pair?.id ?? '', stageId: stage.id }),
    /** @param counted - what was counted and not said yet */
    endPass: (counted: readonly TappedMark[] = []) => {
      if (sayMarks(counted) === null && !open && canRide) lesson.tap([startPass(saying())]);
      toNextPass();
    },
    /** Another pass, over one line of the track only. */
    startLine: (from: number, to: number) => {
      if (!canRide) return;
      const own = saying();
      const begun = startPass(own);
      lesson.tap([begun, sayMark(log, begun.pass.id, { kind: 'line', from, to }, own)]);
      setOpenId(begun.pass.id);
      setRound(round + 1);
    },
    walkBreak: () => {
      const { atMs, by } = saying();
      if (pair) lesson.tap([{ type: 'break', id: newId(), lessonId, pairId: pair.id, stageId: stage.id, atMs, by }]);
    },
    steer: (chosen: RideWay) => {
      setWish(chosen);
      // A pass that is open goes the way that is chosen.
      if (!open) return;
      const was = { rein: open.rein, direction: open.direction };
      const to = { rein: chosen.rein, direction: chosen.direction };
      lesson.tap([amend(log, lessonId, { on: 'pass', of: open.id, what: 'way', was, to }, saying())]);
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
      if (!own || !pair) return;
      const all = { ...stage, asks: record.asks, pairIds: pairs.map(({ id }) => id) };
      say(ofAll ? askedOfAll(all, question.id, change) : [{ pairId: pair.id, question: own }], own.id);
    },
    /** The order in which pairs ride from now on. */
    orderPairs: (to: readonly string[]) => {
      const was = pairs.map(({ id }) => id);
      lesson.tap([amend(log, lessonId, { on: 'lesson', of: lessonId, what: 'order', was, to: [...to] }, saying())]);
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

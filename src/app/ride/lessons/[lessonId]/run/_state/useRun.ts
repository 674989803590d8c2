import { newId } from '@/components/newId';
import type { LessonRecord, PassRecord, Rein, RideDirection, TappedMark } from '@/core';
import { useState } from 'react';
import type { RunPair, RunStage } from '../runStage';
import { markEvent, passEvent, useLesson } from './useLesson';

export type Way = { rein: Rein; direction: RideDirection };

/** Who rides which stage how, which pass is being marked, and what taps do to it. */
export function useRun(lessonId: string, pairs: readonly RunPair[], stages: readonly RunStage[], first: LessonRecord) {
  const lesson = useLesson(lessonId, first);
  const [stageIndex, setStageIndex] = useState(() => stageBegun(stages, first));
  const [pairId, setPairId] = useState(pairs[0]!.id);
  const [way, setWay] = useState<Way>({ rein: 'left', direction: 'as-drawn' });
  const [openId, setOpenId] = useState<string | null>(null);
  /** Which pass is being marked, counted here: another one begins at its first fence. */
  const [round, setRound] = useState(0);
  const toNextPass = () => {
    setOpenId(null);
    setRound(round + 1);
  };
  const index = Math.min(stageIndex, stages.length - 1);
  const stage = stages[index]!;
  const open: PassRecord | null = lesson.record.passes.find(({ id }) => id === openId) ?? null;
  const startPass = () => passEvent({ pairId, layoutVersionId: stage.versionId!, lessonId, stage: stage.name, ...way });
  const mark = (tapped: TappedMark) => {
    if (!stage.versionId) return;
    const begun = open ? null : startPass();
    const passId = open?.id ?? begun!.pass.id;
    lesson.tap([...(begun ? [begun] : []), markEvent(passId, tapped)]);
    setOpenId(passId);
  };
  return {
    ...{ lesson, stage, index, pairId, open, round, mark, way: open ?? way },
    endPass: () => {
      if (!open && stage.versionId) lesson.tap([startPass()]);
      toNextPass();
    },
    /** Another pass, over one line of the track only. */
    startLine: (from: number, to: number) => {
      if (!stage.versionId) return;
      const begun = startPass();
      lesson.tap([begun, markEvent(begun.pass.id, { kind: 'line', from, to })]);
      setOpenId(begun.pass.id);
      setRound(round + 1);
    },
    steer: (change: Partial<Way>) => {
      const { rein, direction } = { ...(open ?? way), ...change };
      setWay({ rein, direction });
      // A pass that is open goes the way that is chosen.
      if (open) lesson.tap([{ type: 'amend', id: newId(), passId: open.id, rein, direction }]);
    },
    choosePair: (id: string) => {
      setPairId(id);
      toNextPass();
    },
    chooseStage: (chosen: number) => {
      setStageIndex(chosen);
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
    stages.findIndex(({ name }) => name === last?.stage),
  );
}

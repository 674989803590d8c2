import { lineLayout, lineQuestion, testHorse } from '@/components/testing/testLine';
import { NO_EARLIER_WORK } from '@/core';
import type { RunPair, RunStage } from './runStage';

/** For tests: a stage over the line, or with nothing on the sand where it has no version. */
export const runStage = (id: string, versionId: string | null, ...questions: string[]): RunStage =>
  ({
    ...{ id, name: id, focus: '', seat: null, minutes: 10, policy: 'same question again', eachRein: 2 },
    ...{ stop: { when: 'repetitions' }, layoutId: versionId === null ? null : 'layout', lacks: 0 },
    ...{ layoutName: 'A line', versionId, layout: versionId === null ? null : lineLayout() },
    questions: questions.map(one => ({ question: lineQuestion(one, 5), ofPairs: {} })),
  }) as unknown as RunStage;

/** For tests: a pair of a horse that is so high. */
export const runPair = (horse: string, heightM: number): RunPair => ({
  ...{ id: horse, horseId: `h-${horse}`, horse, rider: `r-${horse}`, earlier: NO_EARLIER_WORK, planned: true },
  strides: testHorse(horse, heightM, `h-${horse}`),
});

import { DEFAULT_LEG, layoutHorse, newItem, NO_EARLIER_WORK, type Layout, type Question } from '@/core';
import type { RunPair, RunStage } from './runStage';

const fence = (id: string, yM: number) => newItem('vertical', id, { xM: 10, yM }, Math.PI / 2);
const through = ['ash', 'birch'].map(item => ({ item, reversed: false }));

/** For tests: two fences, 18 m from one to the other. */
export const LINE_LAYOUT: Layout = {
  ...{ name: 'A line', arena: { widthM: 20, lengthM: 60, letters: 'none' }, fall: null, school: 'whole-stride' },
  ...{ horses: [], kit: null, items: [fence('ash', 15), fence('birch', 33)] },
  tracks: [
    {
      ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1, through },
      legs: [DEFAULT_LEG],
    },
  ],
} as Layout;

/** For tests: the line, with so many strides asked. */
export const lineQuestion = (id: string, strides = 5): Question => ({
  ...{ id, name: null, what: { kind: 'track', trackId: 'line' }, gait: 'course-canter', rein: null, asked: [strides] },
  state: { out: [], asPole: [], raisedM: {}, heightM: {}, form: {} },
});

/** For tests: a stage over the line, or with nothing on the sand where it has no version. */
export const runStage = (id: string, versionId: string | null, ...questions: string[]): RunStage =>
  ({
    ...{ id, name: id, focus: '', seat: null, minutes: 10, policy: 'same question again', eachRein: 2 },
    ...{ stop: { when: 'repetitions' }, layoutId: versionId === null ? null : 'layout', lacks: 0 },
    ...{ layoutName: 'A line', versionId, layout: versionId === null ? null : LINE_LAYOUT },
    questions: questions.map(one => ({ question: lineQuestion(one), ofPairs: {} })),
  }) as unknown as RunStage;

/** For tests: a pair of a horse that is so high. */
export const runPair = (horse: string, heightM: number): RunPair => ({
  ...{ id: horse, horseId: `h-${horse}`, horse, rider: `r-${horse}`, earlier: NO_EARLIER_WORK, planned: true },
  strides: layoutHorse({ id: `h-${horse}`, name: horse, heightM, type: 'all-round', level: 'novice', strides: {} }),
});

import {
  daysOf,
  packDay,
  unpackDay,
  UNTOLD_QUESTION,
  type DayPass,
  type PackedDay,
  type Question,
  type ReviewPass,
} from '@/core';
import type { ReadPass } from '../reviewPasses';
import type { Ground, OverGround } from './grounds';

/**
 * A day of a pair as it is kept: its passes without their marks, and what they say, ground by ground. What many of them share is
 * written once.
 */
export type KeptDay = {
  grounds: [layoutVersionId: string, questionId: string | null, isMirrored: boolean][];
  words: (string | null)[];
  passes: KeptPass[];
  /** Which of the passes they are, and what they say. */
  days: [number[], PackedDay][];
};

/** `lesson`, `stageId` and `stage` are the how manieth of the words. */
type KeptPass = [
  id: string,
  ground: number,
  lesson: number,
  stageId: number,
  stage: number,
  rein: DayPass['rein'],
  direction: DayPass['direction'],
  riddenAtMs: number,
  isVoid: boolean,
  line: DayPass['line'],
  faults: DayPass['faults'],
];

/** The how manieth something is in a list of different things, which it joins where it is new. */
function indexIn<Value>(list: Value[], value: Value, isSame: (a: Value, b: Value) => boolean = Object.is): number {
  const index = list.findIndex(one => isSame(one, value));
  return index < 0 ? list.push(value) - 1 : index;
}

/** The passes of a day of one pair, to be kept. */
export function packKeptDay(read: readonly ReadPass[]): KeptDay {
  const grounds: KeptDay['grounds'] = [];
  const words: KeptDay['words'] = [];
  const passes = read.map(({ pass }) => pass);
  const kept = read.map(({ pass, questionId }): KeptPass => {
    const { id, layoutVersionId, lessonId, stageId, stage, rein, direction, riddenAtMs, isVoid, line, faults } = pass;
    const ground = indexIn(
      grounds,
      [layoutVersionId, questionId, direction === 'mirrored'],
      (a, b) => a.join() === b.join(),
    );
    const [lesson, stageAt, called] = [lessonId, stageId, stage].map(word => indexIn(words, word));
    return [id, ground, lesson!, stageAt!, called!, rein, direction, riddenAtMs, isVoid, line, faults];
  });
  const days = daysOf(passes).map((day): [number[], PackedDay] => [
    day.map(pass => passes.indexOf(pass as ReviewPass)),
    packDay(day as readonly ReviewPass[]),
  ]);
  return { grounds, words, passes: kept, days };
}

/** The grounds that a kept day stands on. */
export function groundsOfKept({ grounds }: KeptDay): OverGround[] {
  return grounds.map(([layoutVersionId, questionId, isMirrored]) => ({
    ...{ layoutVersionId, questionId, direction: isMirrored ? 'mirrored' : 'as-drawn' },
  }));
}

/** The passes of a day as they were kept; what they say is known without their marks. */
export function unpackKeptDay(
  kept: KeptDay,
  { pairId, day }: { pairId: string; day: string },
  groundOf: (over: OverGround) => Ground | null,
  questions: ReadonlyMap<string, Question>,
): DayPass[] {
  const grounds = groundsOfKept(kept).map(over => {
    const ground = groundOf(over);
    // Only what stands on a ground was kept.
    if (!ground) throw new RangeError(`unpackKeptDay: no ground of ${over.layoutVersionId}`);
    return { over, ground, question: questions.get(over.questionId ?? '') ?? UNTOLD_QUESTION };
  });
  const { words } = kept;
  // Written out: years have so many passes that objects put together from others take several times as long.
  const passes = kept.passes.map((one): DayPass => {
    const { over, ground, question } = grounds[one[1]]!;
    return {
      id: one[0],
      pairId,
      layoutVersionId: over.layoutVersionId,
      lessonId: words[one[2]] ?? null,
      stageId: words[one[3]] ?? null,
      stage: words[one[4]] ?? '',
      rein: one[5],
      direction: one[6],
      riddenAtMs: one[7],
      question,
      ground: ground.ground,
      questionWords: ground.questionWords,
      key: ground.key,
      day,
      isVoid: one[8],
      line: one[9],
      faults: one[10],
    };
  });
  for (const [indexes, packed] of kept.days)
    unpackDay(
      indexes.map(index => passes[index]!),
      packed,
    );
  return passes;
}

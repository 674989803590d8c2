import { isVoid, lineRidden, passFaults, type PassFault } from '../record/passJudged';
import { standingMarks, type PassMark } from '../record/passMark';
import type { PassRecord } from '../record/passRecord';
import type { RiddenGround } from './ground';

/**
 * A pass with what it was ridden over, the day it was ridden on by the yard's clock ("2026-05-04"), and what is asked of it
 * again and again: the last word on each thing, and what went wrong.
 */
export type ReviewPass = Omit<PassRecord, 'marks'> & {
  ground: RiddenGround;
  /** What its question is called. */
  questionWords: string;
  /** The same for passes of one question, over whichever setting of a layout: they may be compared. */
  key: string;
  day: string;
  marks: PassMark[];
  faults: PassFault[];
  isVoid: boolean;
  line: { from: number; to: number } | null;
};

/** A pass without its marks: what days are made of where what they say was kept. */
export type DayPass = Omit<ReviewPass, 'marks'>;

/** A pass as the review looks at it. */
export function reviewPass(
  pass: PassRecord,
  ground: RiddenGround,
  asked: Pick<ReviewPass, 'questionWords' | 'key'>,
  day: string,
): ReviewPass {
  return {
    ...{
      ...pass,
      ...asked,
      ground,
      day,
      marks: standingMarks(pass.marks),
      isVoid: isVoid(pass),
      line: lineRidden(pass),
    },
    faults: passFaults(pass),
  };
}

/** The month of a day: what a season is looked at by. */
export const monthOf = (day: string) => day.slice(0, 7);

/** Groups by a key, in the order in which the keys first come. */
export function grouped<Value, Key = string>(
  values: readonly Value[],
  keyOf: (value: Value) => Key,
): Map<Key, Value[]> {
  const groups = new Map<Key, Value[]>();
  for (const value of values) {
    const key = keyOf(value);
    const group = groups.get(key);
    if (group) group.push(value);
    else groups.set(key, [value]);
  }
  return groups;
}

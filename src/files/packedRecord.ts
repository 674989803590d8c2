import type { LessonRecord, PassRecord, Question } from '@/core';

/** The record of a lesson as it is sent: what was asked is told once, not with every pass. */
export type PackedRecord = Omit<LessonRecord, 'passes'> & {
  questions: Question[];
  /** `question`: which of the questions, from 0. */
  passes: (Omit<PassRecord, 'question'> & { question: number })[];
};

export function packRecord({ passes, ...record }: LessonRecord): PackedRecord {
  const places = new Map<string, number>();
  const questions: Question[] = [];
  const placeOf = (question: Question) => {
    const text = JSON.stringify(question);
    const known = places.get(text);
    if (known !== undefined) return known;
    places.set(text, questions.length);
    return questions.push(question) - 1;
  };
  return { ...record, questions, passes: passes.map(pass => ({ ...pass, question: placeOf(pass.question) })) };
}

export function unpackRecord({ questions, passes, ...record }: PackedRecord): LessonRecord {
  return { ...record, passes: passes.map(pass => ({ ...pass, question: questions[pass.question]! })) };
}

import type { LoggedAsk, LoggedPass, Question, RecordLog } from '@/core';

/** Which of the questions that come with it, from 0. */
type Packed<One extends { question: Question }> = Omit<One, 'question'> & { question: number };

/** What was recorded in a lesson as it is sent: what was asked is told once, not with every pass. */
export type PackedLog = Omit<RecordLog, 'passes' | 'asks'> & {
  questions: Question[];
  passes: (Omit<LoggedPass, 'pass'> & { pass: Packed<LoggedPass['pass']> })[];
  asks: (Omit<LoggedAsk, 'ask'> & { ask: Packed<LoggedAsk['ask']> })[];
};

/** What the server answers: the number of the record, and what changed of it since the number that was asked for. */
export type RecordAnswer = {
  number: number;
  log: PackedLog;
  /** Whether the log is all of it, not only what changed. */
  afresh: boolean;
  /** What the lesson is ridden over and by whom, as a word: another one when something of it was changed. Told to who asks, not to who tells. */
  setup?: string;
};

export function packLog({ passes, asks, ...log }: RecordLog): PackedLog {
  const places = new Map<string, number>();
  const questions: Question[] = [];
  const placeOf = (question: Question) => {
    const text = JSON.stringify(question);
    const known = places.get(text);
    if (known !== undefined) return known;
    places.set(text, questions.length);
    return questions.push(question) - 1;
  };
  return {
    ...{ ...log, questions },
    passes: passes.map(({ pass, ...one }) => ({ ...one, pass: { ...pass, question: placeOf(pass.question) } })),
    asks: asks.map(({ ask, ...one }) => ({ ...one, ask: { ...ask, question: placeOf(ask.question) } })),
  };
}

export function unpackLog({ questions, passes, asks, ...log }: PackedLog): RecordLog {
  return {
    ...log,
    passes: passes.map(({ pass, ...one }) => ({ ...one, pass: { ...pass, question: questions[pass.question]! } })),
    asks: asks.map(({ ask, ...one }) => ({ ...one, ask: { ...ask, question: questions[ask.question]! } })),
  };
}

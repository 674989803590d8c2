import { AS_LAID_OUT, overState } from './builtState';
import type { Question } from './question';

/** What is asked of one pair otherwise than of all: its counts, the heights of fences, and fences as poles. */
export type PairAsk = {
  /** By leg; null for the counts of the question. */
  asked: readonly (number | null)[] | null;
  heightM: Readonly<Record<string, number>>;
  asPole: readonly string[];
};

/** A question with what is asked otherwise of some pairs, by their ids. */
export type AskedQuestion = { question: Question; ofPairs: Readonly<Record<string, PairAsk>> };

export const AS_OF_ALL: PairAsk = { asked: null, heightM: {}, asPole: [] };

/** A question as it is asked of one pair. */
export function questionOfPair({ question, ofPairs }: AskedQuestion, pairId: string): Question {
  const own = ofPairs[pairId];
  if (!own) return question;
  const above = { ...AS_LAID_OUT, asPole: own.asPole, heightM: own.heightM };
  return { ...question, state: overState(question.state, above), asked: own.asked ?? question.asked };
}

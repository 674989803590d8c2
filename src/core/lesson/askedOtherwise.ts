import type { AskedQuestion } from '../question/pairAsk';
import type { Question } from '../question/question';
import type { AskOnTheDay } from '../record/lessonRecord';
import { questionsNow } from './questionsNow';

/** What is asked of whom from now on: of a pair, or (null) of all. */
export type NewlyAsked = { pairId: string | null; question: Question };

type Stage = {
  id: string;
  questions: readonly AskedQuestion[];
  asks: readonly Omit<AskOnTheDay, 'id' | 'atMs'>[];
  /** Who rides in the lesson. */
  pairIds: readonly string[];
};

/**
 * A question of a stage changed for all: what is asked of all, and behind it what was asked otherwise of some pairs, each with
 * the same change, so that nobody takes over the counts and heights of another.
 * @param change - a question with the change; null where nothing would be left of it
 */
export function askedOfAll(
  { id, questions, asks, pairIds }: Stage,
  questionId: string,
  change: (question: Question) => Question | null,
): NewlyAsked[] {
  const ofAll = questionsNow(
    questions.map(({ question }) => ({ question, ofPairs: {} })),
    asks.filter(({ pairId }) => pairId === null),
    id,
    '',
  ).find(question => question.id === questionId);
  const own = pairIds.flatMap(pairId => {
    const question = questionsNow(questions, asks, id, pairId).find(one => one.id === questionId);
    return question ? [{ pairId, question }] : [];
  });
  const base = ofAll ?? own[0]?.question;
  if (!base) return [];
  const text = JSON.stringify(base);
  const others = own.filter(({ question }) => JSON.stringify(question) !== text);
  return [{ pairId: null, question: base }, ...others].flatMap(({ pairId, question }) => {
    const changed = change(question);
    return changed ? [{ pairId, question: changed }] : [];
  });
}

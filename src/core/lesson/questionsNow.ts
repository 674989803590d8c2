import type { AskedQuestion } from '../question/pairAsk';
import { questionOfPair } from '../question/pairAsk';
import type { Question } from '../question/question';
import type { AskOnTheDay } from '../record/lessonRecord';

/**
 * The questions of a stage as one pair is asked them now: as planned, then as was said on the day, the last word of each. What
 * is asked of all takes the place of what was asked of one pair before; a new question comes behind the others.
 */
export function questionsNow(
  planned: readonly AskedQuestion[],
  asks: readonly Omit<AskOnTheDay, 'id' | 'atMs'>[],
  stageId: string,
  pairId: string,
): Question[] {
  const now = new Map(planned.map(asked => [asked.question.id, questionOfPair(asked, pairId)]));
  for (const ask of asks)
    if (ask.stageId === stageId && (ask.pairId === null || ask.pairId === pairId))
      now.set(ask.question.id, ask.question);
  return [...now.values()];
}
